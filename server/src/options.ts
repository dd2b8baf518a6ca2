import { CoreError } from '@zeitpunkt/core/errors';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';

/** How the server was started. */
export interface StartOptions {
  readonly port: number;
  readonly host: string;
  readonly dataDir: string;
  /** Fills an empty data directory with the demo school. */
  readonly demo: boolean;
  /** Where pupils reach the school, without a path; null where it was not set. */
  readonly publicUrl: string | null;
  readonly behindProxy: boolean;
}

/**
 * Reads the command line, and the environment for what is not given there.
 * @throws CoreError START_OPTION with one plain sentence
 */
export function readOptions(args: readonly string[], env: Readonly<Record<string, string | undefined>>): StartOptions {
  const values = parse(joined(args));
  const portText = values.port ?? env['PORT'] ?? '4780';
  const port = Number(portText);
  if (portText.trim() === '' || !Number.isInteger(port) || port < 0 || port > 65_535) {
    throw new CoreError('START_OPTION', `A port is a whole number from 0 to 65535, but “${portText}” came.`, { port: portText });
  }
  const url = values.url ?? env['ZEITPUNKT_URL'] ?? null;
  return {
    port,
    host: values.host ?? env['HOST'] ?? '0.0.0.0',
    dataDir: resolve(values.data ?? env['ZEITPUNKT_DATA'] ?? 'data'),
    demo: values.demo ?? false,
    publicUrl: url === null ? null : originOf(url),
    behindProxy: values.proxy ?? env['ZEITPUNKT_PROXY'] === '1',
  };
}

function parse(args: string[]) {
  try {
    const text = { type: 'string' } as const;
    const flag = { type: 'boolean' } as const;
    return parseArgs({ args, options: { port: text, host: text, data: text, url: text, demo: flag, proxy: flag } }).values;
  } catch (error) {
    const [sentence] = (error as Error).message.split('\n');
    throw new CoreError('START_OPTION', `${sentence} The options are --port, --host, --data, --url, --proxy and --demo.`, {
      why: sentence ?? '',
    });
  }
}

/** A value that begins with a minus, "--port -1", is a value all the same, and told to be wrong as such. */
const joined = (args: readonly string[]): string[] =>
  args.reduce<string[]>((all, arg) => {
    const before = all.at(-1);
    if (/^-\d/.test(arg) && before && /^--[a-z]+$/.test(before)) return [...all.slice(0, -1), `${before}=${arg}`];
    return [...all, arg];
  }, []);

function originOf(text: string): string {
  const url = URL.canParse(text) ? new URL(text) : null;
  if (!url || !/^https?:$/.test(url.protocol) || url.username || url.pathname !== '/' || url.search || url.hash) {
    throw new CoreError('START_OPTION', `The address of the school is written like https://zeit.school.test, but “${text}” came.`, {
      url: text,
    });
  }
  return url.origin;
}
