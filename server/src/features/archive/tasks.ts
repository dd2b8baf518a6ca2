import type { ArchiveFound } from '@zeitpunkt/contract';
import type { Db, Store } from '../../db/connection.js';
import { whenFree } from '../../db/when-free.js';
import { joined } from '../../files/joined.js';
import { readZip, type ZipLimits } from '../../files/read-zip.js';
import { writeZip } from '../../files/write-zip.js';
import { record } from '../classes/gives.js';
import { lookAtArchive, readArchive, readyArchive, takeArchive } from './in.js';
import { archiveOf, type OwnClass } from './out.js';

const MB = 2 ** 20;
const LIMITS: ZipLimits = { files: 2000, fileBytes: 96 * MB, totalBytes: 128 * MB };

/** What is done with whole archives of classes. */
export function archiveTasks(store: Store) {
  const { db } = store;
  const read = async (file: readonly Uint8Array[]) => readArchive(await readZip(joined(file), LIMITS));
  return {
    /** What an archive would bring. @throws CoreError CLASS_HERE, or what says why it cannot be read */
    lookAtArchive: async (file: readonly Uint8Array[]): Promise<ArchiveFound> => lookAtArchive(db, await read(file)),

    /** Makes a class of an archive, whole or not at all. @throws CoreError as above */
    async takeArchive(teacherId: string, file: readonly Uint8Array[], nowMs: number): Promise<ArchiveFound> {
      const archive = await readyArchive(await read(file));
      const take = store.sqlite.transaction(() => {
        const found = lookAtArchive(db, archive);
        const classId = takeArchive(db, teacherId, archive, nowMs);
        record(db, { classId, act: 'class-taken', count: archive.file.pupils.length, atMs: nowMs });
        return { ...found, classId };
      });
      return whenFree(() => take.immediate());
    },
  };
}

export function archiveFlow(db: Db) {
  return {
    everything: (teacherId: string, own: OwnClass, nowMs: number): AsyncGenerator<Uint8Array> =>
      writeZip(archiveOf(db, teacherId, own), new Date(nowMs)),
  };
}
