import { CoreError } from '@zeitpunkt/core/errors';
import { resolve } from 'node:path';
import { handedOver } from './handed-over.js';
import { USUAL_MOST } from './backup/kept.js';
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
  /** Only looks at the machine, and says what is wrong with it. */
  readonly check: boolean;
  /** Where figures for monitoring are served, on the machine itself; null where they are not. */
  readonly metricsPort: number | null;
  /** How large the school may become, in bytes; null where its disk alone bounds it. */
  readonly quotaBytes: number | null;
  /** It ends by itself when nobody had a line for so long, in milliseconds; null where it goes on. */
  readonly idleMs: number | null;
  /** The listening socket that was handed over; null where it opens one. */
  readonly socket: { readonly fd: number } | null;
  /** Where the school is backed up each day, when and under which name; null where that was not set. */
  readonly backups: BackupSetting | null;
}

export interface BackupSetting {
  readonly to: string;
  readonly school: string;
  /** Minutes since midnight. */
  readonly atMin: number;
  readonly keep: number;
}

/** After school, where nothing else is said. */
const USUAL_BACKUP_AT = '17:00';

/**
 * Reads the command line, and the environment for what is not given there.
 * @throws CoreError START_OPTION with one plain sentence
 */
export function readOptions(args: readonly string[], env: Readonly<Record<string, string | undefined>>): StartOptions {
  const values = parse(joined(args));
  const port = portOf(values.port ?? env['PORT'] ?? '4780');
  const metrics = values.metrics ?? env['ZEITPUNKT_METRICS'];
  const socket = handedOver(env, process.pid);
  const url = values.url ?? env['ZEITPUNKT_URL'] ?? null;
  return {
    port,
    host: values.host ?? env['HOST'] ?? '0.0.0.0',
    dataDir: resolve(values.data ?? env['ZEITPUNKT_DATA'] ?? 'data'),
    demo: values.demo ?? false,
    publicUrl: url === null ? null : originOf(url),
    behindProxy: values.proxy ?? env['ZEITPUNKT_PROXY'] === '1',
    check: values.check ?? false,
    metricsPort: metrics === undefined ? null : portOf(metrics),
    quotaBytes: quotaOf(values.quota ?? env['ZEITPUNKT_QUOTA']),
    idleMs: idleOf(values.idle ?? env['ZEITPUNKT_IDLE'], socket !== null),
    socket,
    backups: backupsOf(values, env),
  };
}

function portOf(text: string): number {
  const port = Number(text);
  if (text.trim() === '' || !Number.isInteger(port) || port < 0 || port > 65_535) {
    throw new CoreError('START_OPTION', `A port is a whole number from 0 to 65535, but “${text}” came.`, { port: text });
  }
  return port;
}

/** @param wakes whether it is begun again when somebody asks: then it sleeps after an hour where nothing else is said */
function idleOf(text: string | undefined, wakes: boolean): number | null {
  const minutes = text ?? (wakes ? '60' : '0');
  if (!/^\d{1,5}(\.\d+)?$/.test(minutes)) {
    throw new CoreError('START_OPTION', `After how many minutes it ends is a number, 0 for never, but “${minutes}” came.`, { minutes });
  }
  return Number(minutes) === 0 ? null : Number(minutes) * 60_000;
}

function quotaOf(text: string | undefined): number | null {
  if (text === undefined) return null;
  if (!/^[1-9]\d{1,6}$/.test(text)) {
    throw new CoreError('START_OPTION', `How large the school may become is a whole number of megabytes from 10 on, but “${text}” came.`, {
      quota: text,
    });
  }
  return Number(text) * 2 ** 20;
}

function parse(args: string[]) {
  try {
    const text = { type: 'string' } as const;
    const flag = { type: 'boolean' } as const;
    const backups = { backups: text, 'backup-at': text, 'backup-keep': text, name: text };
    return parseArgs({
      args,
      options: {
        port: text,
        host: text,
        data: text,
        url: text,
        demo: flag,
        proxy: flag,
        check: flag,
        metrics: text,
        quota: text,
        idle: text,
        ...backups,
      },
    }).values;
  } catch (error) {
    const [sentence] = (error as Error).message.split('\n');
    throw new CoreError(
      'START_OPTION',
      `${sentence} The options are --port, --host, --data, --url, --proxy, --demo, --check, --metrics, --quota, --idle, --backups, --backup-at, --backup-keep and --name.`,
      {
        why: sentence ?? '',
      },
    );
  }
}

function backupsOf(
  values: Readonly<Partial<Record<'backups' | 'backup-at' | 'backup-keep' | 'name', string | boolean>>>,
  env: Readonly<Record<string, string | undefined>>,
): BackupSetting | null {
  const set = (option: keyof typeof values, name: string) => values[option]?.toString() ?? env[name];
  const to = set('backups', 'ZEITPUNKT_BACKUPS');
  if (to === undefined) return null;
  const at = set('backup-at', 'ZEITPUNKT_BACKUP_AT') ?? USUAL_BACKUP_AT;
  const [, hour, minute] = /^([01]?\d|2[0-3]):([0-5]\d)$/.exec(at) ?? [];
  if (hour === undefined) throw new CoreError('START_OPTION', `A time for backups is written like 17:00, but “${at}” came.`, { at });
  const keep = set('backup-keep', 'ZEITPUNKT_BACKUP_KEEP') ?? String(USUAL_MOST);
  if (!/^[1-9]\d{0,3}$/.test(keep))
    throw new CoreError('START_OPTION', `So many backups are kept is a whole number from 1 on, but “${keep}” came.`, { keep });
  return {
    to: resolve(to),
    school: set('name', 'ZEITPUNKT_NAME') ?? 'school',
    atMin: Number(hour) * 60 + Number(minute),
    keep: Number(keep),
  };
}

/** A value that begins with a minus, "--port -1", is a value all the same, and told to be wrong as such. */
const joined = (args: readonly string[]): string[] =>
  args.reduce<string[]>((all, arg) => {
    const before = all.at(-1);
    if (/^-\d/.test(arg) && before && /^--[a-z-]+$/.test(before)) return [...all.slice(0, -1), `${before}=${arg}`];
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
