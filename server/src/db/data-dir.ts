import { CoreError } from '@zeitpunkt/core/errors';
import { accessSync, chmodSync, constants, existsSync, mkdirSync, readdirSync, statSync } from 'node:fs';

/**
 * Makes sure that a data directory can be used, and that only its owner can read it: one that is made here, or that holds
 * nothing but a school. The rights of a directory that is used for other things too are left alone.
 * @throws CoreError START_DATA_DIR
 */
export function prepareDataDir(dataDir: string): void {
  try {
    if (existsSync(dataDir) && !statSync(dataDir).isDirectory()) throw new Error('a file stands in its place');
    mkdirSync(dataDir, { recursive: true, mode: 0o700 });
    accessSync(dataDir, constants.R_OK | constants.W_OK | constants.X_OK);
    if (readdirSync(dataDir).every((name) => name.startsWith('zeitpunkt.'))) chmodSync(dataDir, 0o700);
  } catch (error) {
    throw new CoreError('START_DATA_DIR', `The data directory ${dataDir} cannot be used: ${(error as Error).message}.`, {
      dataDir,
      why: (error as Error).message,
    });
  }
}
