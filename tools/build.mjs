import { build } from './lib/build.mjs';
import { install } from './lib/install.mjs';

await install();
await build();
