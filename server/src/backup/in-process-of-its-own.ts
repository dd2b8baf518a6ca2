import { execFile } from 'node:child_process';
import { resolve } from 'node:path';

interface OwnProcess {
  /** The folder of the running script: that of backups lies beside it. */
  readonly here: string;
  readonly dataDir: string;
  readonly to: string;
  readonly school: string;
  readonly keep: number;
}

/**
 * Makes a backup in a process of its own, that gives way to the school which is served meanwhile. The passphrase goes along in
 * the environment. @throws Error with what the backup says of itself
 */
export function backUpInOwnProcess({ here, dataDir, to, school, keep }: OwnProcess): Promise<void> {
  const args = ['backup', '--data', dataDir, '--to', to, '--name', school, '--keep', String(keep)];
  return new Promise((done, failed) => {
    execFile(process.execPath, [resolve(here, 'backup.js'), ...args], (error, _said, complaint) => {
      if (!error) return done();
      const sentence = complaint.trim().split('\n').find(Boolean);
      failed(new Error(sentence ?? `The backup ended with ${error.code ?? error.signal}.`));
    });
  });
}
