import { build } from './lib/build.mjs';
import { findChromium, findTools } from './lib/chromium.mjs';
import { install } from './lib/install.mjs';
import { bin } from './lib/shell.mjs';

await install();
await build();
findTools();
process.exit(
  findChromium() && bin('@playwright/test/cli.js', ['test', '-c', 'e2e', '--project', 'journeys', ...process.argv.slice(2)]) ? 0 : 1,
);
