import { typecheck } from './lib/typecheck.mjs';

process.exit(typecheck() ? 0 : 1);
