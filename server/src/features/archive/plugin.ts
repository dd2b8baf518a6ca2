import { ArchiveFound } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { FastifyRequest } from 'fastify';
import { Readable } from 'node:stream';
import type { Store } from '../../db/connection.js';
import { readZip, type ZipLimits } from '../../files/read-zip.js';
import { writeZip } from '../../files/write-zip.js';
import type { Feature } from '../../http/feature.js';
import type { RequireTeacher } from '../auth/guard.js';
import { mustOwnClass, record } from '../classes/queries.js';
import { lookAtArchive, readArchive, takeArchive } from './in.js';
import { archiveOf } from './out.js';

export interface ArchiveOptions {
  readonly store: Store;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
}

const Params = Type.Object({ id: Type.String() });
const MB = 2 ** 20;
/** Packed, a school year of a class is about 2 MB. */
const ARCHIVE_BYTES = 48 * MB;
const LIMITS: ZipLimits = { files: 2000, fileBytes: 96 * MB, totalBytes: 128 * MB };

/** Everything of a class as one file, and such a file made a class again, on this server or another. */
export const archivePlugin: Feature<ArchiveOptions> = async (app, { store, requireTeacher, nowMs }) => {
  const { db } = store;
  app.addContentTypeParser('application/octet-stream', { parseAs: 'buffer' }, (_request, body, done) => done(null, body));

  app.get('/api/classes/:id/everything.zip', { schema: { params: Params } }, (request, reply) => {
    const teacher = requireTeacher(request);
    const owned = mustOwnClass(db, teacher.id, request.params.id);
    record(db, { classId: owned.id, act: 'class-exported', count: 1, atMs: nowMs() });
    return reply.type('application/zip').send(Readable.from(writeZip(archiveOf(db, teacher.id, owned), new Date(nowMs()))));
  });

  // Whoever is not signed in is sent away before so large a body is read.
  const onRequest = async (request: FastifyRequest) => void requireTeacher(request);
  const body = { schema: { response: { 200: ArchiveFound } }, bodyLimit: ARCHIVE_BYTES, onRequest };
  const read = async (request: FastifyRequest) => readArchive(await readZip(request.body as Buffer, LIMITS));

  app.post('/api/archives/look', body, async (request) => lookAtArchive(db, await read(request)));

  app.post('/api/archives/take', body, async (request) => {
    const teacher = requireTeacher(request);
    const archive = await read(request);
    const take = store.sqlite.transaction(() => {
      const found = lookAtArchive(db, archive);
      const classId = takeArchive(db, teacher.id, archive, nowMs());
      record(db, { classId, act: 'class-taken', count: archive.file.pupils.length, atMs: nowMs() });
      return { ...found, classId };
    });
    return take.immediate();
  });
};
