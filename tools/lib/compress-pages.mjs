import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';

/** Smaller files gain nothing. */
const LEAST_BYTES = 1024;
const BROTLI = { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } };

/** Lays every script and style of a built application beside itself as .br and .gz: the server sends them as they are. */
export async function compressPages(dir) {
  const names = readdirSync(dir).filter((name) => /\.(js|css|svg)$/.test(name));
  for (const name of names) {
    const path = join(dir, name);
    const content = readFileSync(path);
    if (content.length < LEAST_BYTES) continue;
    const [br, gz] = await Promise.all([promisify(brotliCompress)(content, BROTLI), promisify(gzip)(content, { level: 9 })]);
    writeFileSync(`${path}.br`, br);
    writeFileSync(`${path}.gz`, gz);
  }
}
