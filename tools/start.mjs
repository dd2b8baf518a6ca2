import { build } from './lib/build.mjs';
import { install } from './lib/install.mjs';
import { becomeServer } from './lib/server.mjs';

await install();
await build();
becomeServer(...process.argv.slice(2));
