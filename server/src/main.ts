import { CoreError } from '@zeitpunkt/core/errors';
import { checkMachine } from './check/check.js';
import { machineFacts } from './check/facts.js';
import { whenIdle } from './idle.js';
import { readOptions, type StartOptions } from './options.js';
import { serve } from './serve.js';
import { stopInOrder } from './stop.js';

/** Starts the server from the command line. */
async function main(): Promise<void> {
  process.umask(0o077); // whatever is written is for whoever runs the school
  const options = readOptions(process.argv.slice(2), process.env);
  if (options.check) return check(options);
  const { app, store, backups, greeting } = await serve(options, import.meta.dirname);
  const stop = stopInOrder(app, store);
  if (options.idleMs !== null) {
    whenIdle(app.server, options.idleMs, () => {
      console.log('Nobody was here for a while: it sleeps until somebody comes.');
      void (backups?.settled() ?? Promise.resolve()).then(stop);
    });
  }
  console.log(`${greeting}\n\n  Stop with Ctrl+C.\n`);
}

const SIGNS = { fine: '  fine ', mind: '  mind ', wrong: '  WRONG' } as const;

/** Says what is wrong with this machine before a lesson is; the code of the process says whether a lesson works. */
async function check(options: StartOptions): Promise<void> {
  const findings = checkMachine(await machineFacts(options, import.meta.dirname));
  for (const { what, how, sentence } of findings) console.log(`${SIGNS[how]}  ${what}: ${sentence}`);
  process.exitCode = findings.some(({ how }) => how === 'wrong') ? 1 : 0;
}

main().catch((error: unknown) => {
  console.error(error instanceof CoreError ? `Zeitpunkt did not start: ${error.message}` : error);
  process.exit(1);
});
