import { build } from './lib/build.mjs';
import { install } from './lib/install.mjs';
import { becomeServer } from './lib/server.mjs';
import { say } from './lib/shell.mjs';

await install();
await build();
say('Starting the demo …');
becomeServer('--demo', '--data', process.env.ZEITPUNKT_DATA ?? 'data/demo', ...process.argv.slice(2));
