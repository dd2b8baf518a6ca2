import { build } from './lib/build.mjs';
import { install } from './lib/install.mjs';
import { become } from './lib/shell.mjs';

await install();
await build();
become(process.execPath, ['server/dist/main.js', ...process.argv.slice(2)]);
