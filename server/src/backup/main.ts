import { CoreError } from '@zeitpunkt/core/errors';
import { resolve } from 'node:path';
import { backUp } from './back-up.js';
import { readBackupOptions } from './options.js';
import { restore } from './restore.js';

/** Progress is said so often where nobody looks on, in parts of the whole. */
const SAY_EACH = 0.25;

/** Backs a school up, or brings one back, from the command line. */
async function main(): Promise<void> {
  process.umask(0o077); // whatever is written is for whoever runs the school
  const options = readBackupOptions(process.argv.slice(2), process.env);
  const stopped = new AbortController();
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => stopped.abort());
  const shared = {
    dataDir: options.dataDir,
    passphrase: options.passphrase,
    migrationsDir: resolve(import.meta.dirname, '../drizzle'),
    onProgress: progressOn(process.stdout),
    signal: stopped.signal,
  };
  if (options.act === 'restore') {
    await restore({ ...shared, file: options.file });
    console.log(`\nThe school is back in ${options.dataDir}. Start it with: npm start -- --data ${options.dataDir}`);
    console.log('Whoever was deleted since that backup was made is in it again, and is to be deleted once more.');
    return;
  }
  const { to, school, keeping } = options;
  const { file, bytes, deleted } = await backUp({ ...shared, to, school, keeping, nowMs: Date.now() });
  console.log(
    `\nBacked up to ${file} (${(bytes / 2 ** 20).toFixed(1)} MB${options.passphrase === null ? '' : ', sealed'}), opened and checked.`,
  );
  for (const one of deleted) console.log(`Deleted ${one}: it is kept no longer.`);
}

/** One line that changes where somebody looks on, a line now and then where it goes to a log. */
function progressOn(out: NodeJS.WriteStream): (part: number) => void {
  let said = 0;
  return (part) => {
    const isDone = part >= 1;
    if (out.isTTY) out.write(`\r${Math.floor(part * 100)} % …`);
    else if ((isDone || part >= said + SAY_EACH) && said < 1) {
      said = isDone ? 1 : part;
      out.write(`${Math.floor(part * 100)} %\n`);
    }
  };
}

main().catch((error: unknown) => {
  const isGivenUp = (error as { readonly name?: unknown }).name === 'AbortError';
  console.error(isGivenUp ? '\nGiven up: nothing was changed.' : error instanceof CoreError ? `\n${error.message}` : error);
  process.exit(1);
});
