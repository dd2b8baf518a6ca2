import type { Server } from 'node:net';

/** The first socket that is handed over, after standard input, output and error. */
const FIRST_FD = 3;

/**
 * The listening socket that whoever started this process has opened for it, so that it begins with the first request and may end
 * when nobody asks; null where it is to open one by itself.
 * Source: sd_listen_fds(3): LISTEN_FDS says how many there are, LISTEN_PID for which process.
 */
export function handedOver(env: Readonly<Record<string, string | undefined>>, pid: number): { readonly fd: number } | null {
  return env['LISTEN_PID'] === String(pid) && Number(env['LISTEN_FDS']) >= 1 ? { fd: FIRST_FD } : null;
}

/** Has a server that listens to a socket of the file system which it did not make itself say so: Node tells no address of it. */
export function tellAddress(server: Server): void {
  const told = server.address.bind(server);
  server.address = () => told() ?? 'a socket that was handed over';
}
