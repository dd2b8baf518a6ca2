import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { become, ROOT } from './shell.mjs';

/** How Node runs the server: it keeps less garbage before it clears it away, for a machine that does other things too. */
const FLAGS = JSON.parse(readFileSync(join(ROOT, 'server/v8-flags.json'), 'utf8'));

/** Starts the server with arguments of its command line; this process ends with it. */
export const becomeServer = (...args) => become(process.execPath, [...FLAGS, 'server/dist/main.js', ...args]);
