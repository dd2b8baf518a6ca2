import type { networkInterfaces } from 'node:os';

/**
 * The addresses at which others can reach this server, the likeliest first: the one that was set, or else those that the
 * machine has in its networks. Only where it has none is its own name given, which no other device can open.
 * @param publicUrl as it was set, "https://zeit.school.test"; null where it was not
 * @param host what the server listens to; one address alone where it is not all of them
 */
export function addressesOf(at: {
  readonly publicUrl: string | null;
  readonly host: string;
  readonly port: number;
  readonly interfaces: ReturnType<typeof networkInterfaces>;
}): readonly string[] {
  const { publicUrl, host, port, interfaces } = at;
  if (publicUrl !== null) return [publicUrl];
  const urlOf = (name: string) => `http://${name.includes(':') ? `[${name}]` : name}:${port}`;
  const isEveryAddress = host === '0.0.0.0' || host === '::';
  if (!isEveryAddress) return [urlOf(host)];
  const found = Object.values(interfaces).flatMap((all) => all ?? []);
  const reachable = found.filter(({ internal, family, address }) => !internal && family === 'IPv4' && !address.startsWith('169.254.'));
  // A network at home or in a school has private addresses (RFC 1918); those of a virtual machine mostly begin with 172.
  const rank = ({ address }: { readonly address: string }) => (/^(192\.168|10)\./.test(address) ? 0 : address.startsWith('172.') ? 2 : 1);
  const names = reachable.sort((a, b) => rank(a) - rank(b)).map(({ address }) => address);
  return (names.length > 0 ? names : ['localhost']).map(urlOf);
}
