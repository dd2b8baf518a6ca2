import { build } from './lib/build.mjs';
import { install } from './lib/install.mjs';

install();
await build();
