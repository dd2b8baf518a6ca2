import { buildServer } from './lib/build.mjs';
import { install } from './lib/install.mjs';
import { become } from './lib/shell.mjs';

// npm run reset: a one-time code for a teacher who cannot sign in any more.
await install();
await buildServer();
become(process.execPath, ['server/dist/reset.js', ...process.argv.slice(2)]);
