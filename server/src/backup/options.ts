import { CoreError } from '@zeitpunkt/core/errors';
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { USUAL_MOST, type Keeping } from './kept.js';

interface Common {
  readonly dataDir: string;
  readonly passphrase: string | null;
}

export type BackupOptions =
  | (Common & { readonly act: 'backup'; readonly to: string; readonly school: string; readonly keeping: Keeping })
  | (Common & { readonly act: 'restore'; readonly file: string });

type Env = Readonly<Record<string, string | undefined>>;

/**
 * Reads the command line of `npm run backup` and `npm run restore`. A passphrase is never an argument: those can be seen by
 * whoever else is on the machine.
 * @throws CoreError START_OPTION with one plain sentence
 */
export function readBackupOptions(args: readonly string[], env: Env): BackupOptions {
  const [act, ...others] = args;
  const { values, positionals } = parse(others);
  const common = {
    dataDir: resolve(values.data ?? env['ZEITPUNKT_DATA'] ?? 'data'),
    passphrase: passphraseOf(values['passphrase-file'], env),
  };
  if (act === 'restore') {
    const [file] = positionals;
    if (!file || positionals.length > 1) throw wrong('Say which backup is restored: npm run restore -- FILE --data DIRECTORY.', {});
    return { ...common, act, file: resolve(file) };
  }
  if (positionals.length > 0) throw wrong(`A backup takes no file, but “${positionals[0]}” came.`, { came: positionals[0]! });
  return {
    ...common,
    act: 'backup',
    to: resolve(values.to ?? env['ZEITPUNKT_BACKUPS'] ?? 'backups'),
    school: values.name ?? env['ZEITPUNKT_NAME'] ?? 'school',
    keeping: { most: numberOf('keep', values.keep, USUAL_MOST), days: numberOf('days', values.days, null) },
  };
}

function parse(args: string[]) {
  const text = { type: 'string' } as const;
  try {
    return parseArgs({
      args,
      allowPositionals: true,
      options: { data: text, to: text, name: text, keep: text, days: text, 'passphrase-file': text },
    });
  } catch (error) {
    const [sentence] = (error as Error).message.split('\n');
    throw wrong(`${sentence} The options are --data, --to, --name, --keep, --days and --passphrase-file.`, { why: sentence ?? '' });
  }
}

function numberOf(name: string, text: string | undefined, usual: number | null): number | null {
  if (text === undefined) return usual;
  const number = Number(text);
  if (!Number.isInteger(number) || number < 1) throw wrong(`--${name} is a whole number from 1 on, but “${text}” came.`, { name, text });
  return number;
}

function passphraseOf(file: string | undefined, env: Env): string | null {
  if (file === undefined) return env['ZEITPUNKT_PASSPHRASE'] ?? null;
  let text: string;
  try {
    text = readFileSync(file, 'utf8').split('\n')[0]!.trim();
  } catch (error) {
    throw wrong(`The file of the passphrase cannot be read: ${(error as Error).message}.`, { file, why: (error as Error).message });
  }
  if (text === '') throw wrong(`The first line of ${file} is empty: it is to be the passphrase.`, { file });
  return text;
}

const wrong = (sentence: string, params: Readonly<Record<string, string>>) => new CoreError('START_OPTION', sentence, params);
