import { build } from './lib/build.mjs';
import { install } from './lib/install.mjs';
import { become, say } from './lib/shell.mjs';

await install();
await build();
say('Starting the demo …');
become(process.execPath, ['server/dist/main.js', '--demo', '--data', process.env.ZEITPUNKT_DATA ?? 'data/demo', ...process.argv.slice(2)]);
