import { CoreError } from '@zeitpunkt/core/errors';
import { resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { reset } from './reset.js';

/** Helps a teacher in who cannot sign in any more, from the command line of the machine. */
async function main(): Promise<void> {
  process.umask(0o077);
  const { values, positionals } = optionsOf(process.argv.slice(2));
  const done = await reset({
    dataDir: resolve(values.data ?? process.env['ZEITPUNKT_DATA'] ?? 'data'),
    migrationsDir: resolve(import.meta.dirname, '../drizzle'),
    signInName: positionals[0] ?? null,
    first: values.first ?? false,
    nowMs: Date.now(),
  });
  if (done.kind === 'list') {
    console.log('\nWho teaches here, and how they sign in:\n');
    for (const { name, signInName, isFirst } of done.teachers)
      console.log(`  ${signInName}  (${name}${isFirst ? ', the first teacher' : ''})`);
    console.log('\nA one-time code for one of them:  npm run reset -- SIGN-IN-NAME');
    console.log('The same, and the role of the first teacher:  npm run reset -- SIGN-IN-NAME --first');
    return;
  }
  const until = new Date(done.expiresAtMs).toLocaleString('en-GB', { dateStyle: 'full', timeStyle: 'short' });
  console.log(`\nThe code for ${done.name}, shown this once:  ${done.code}`);
  console.log(`It is typed in at /reset of the school's address, with a new password, until ${until}.`);
}

function optionsOf(args: string[]) {
  try {
    return parseArgs({ args, allowPositionals: true, options: { data: { type: 'string' }, first: { type: 'boolean' } } });
  } catch (error) {
    const [sentence] = (error as Error).message.split('\n');
    throw new CoreError('START_OPTION', `${sentence} The options are --data and --first.`, { why: sentence ?? '' });
  }
}

main().catch((error: unknown) => {
  console.error(error instanceof CoreError ? `\n${error.message}` : error);
  process.exit(1);
});
