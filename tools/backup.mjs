import { buildServer } from './lib/build.mjs';
import { install } from './lib/install.mjs';
import { become } from './lib/shell.mjs';

// npm run backup, npm run restore: the server alone is needed, not its pages.
await install();
await buildServer();
become(process.execPath, ['server/dist/backup.js', ...process.argv.slice(2)]);
