import { CoreError } from '@zeitpunkt/core/errors';
import { writeDialBuild } from '@zeitpunkt/core/formats/stored';
import { DialOrder, DialRead, DialSave, DialSaved, SavedDialList, type SavedDial } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { Store } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import type { Feature } from '../../http/feature.js';
import type { RequireTeacher } from '../auth/gives.js';
import { dialQueries } from './queries.js';

export interface DialsOptions {
  readonly store: Store;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
}

const Params = Type.Object({ id: Type.String() });
const Nothing = { 204: Type.Null() };
/** What a dial file says that it is. */
const DIAL_FILE = 'zeitpunkt-dial';
/** A deleted dial can be brought back this long. */
const KEEP_DELETED_MS = 24 * 3600 * 1000;

/** Saved dials: keep, rename, order, delete and bring back. */
export const dialsPlugin: Feature<DialsOptions> = async (app, { store, requireTeacher, nowMs }) => {
  const queries = dialQueries(store.db);
  const mustChange = (changes: number) => {
    if (changes === 0) throw new CoreError('NOT_FOUND', 'There is no such dial among yours.');
  };

  app.get('/api/dials', { schema: { response: { 200: SavedDialList } } }, (request) => {
    const teacher = requireTeacher(request);
    queries.purge(nowMs() - KEEP_DELETED_MS);
    return queries.list(teacher.id).map(({ id, name, version, build }) => ({ id, name, version, ...readBuild(name, build) }));
  });

  // The version that was changed makes this safe: a save that comes late, or from another window, overwrites nothing.
  app.post('/api/dials', { schema: { body: DialSave, response: { 200: DialSaved } } }, (request) => {
    const teacher = requireTeacher(request);
    const { id, name, version } = request.body;
    const build = writeDialBuild(request.body.build);
    const known = queries.find(id);
    if (!known) {
      if (version > 0) throw new CoreError('DIAL_CHANGED', `“${name}” is gone for good: it was deleted more than a day ago.`, { name });
      queries.insert({ id, teacherId: teacher.id, name, build, version: 1, place: queries.nextPlace(teacher.id), deletedAtMs: null });
      return { version: 1 };
    }
    mustChange(known.teacherId === teacher.id ? 1 : 0);
    if (known.deletedAtMs !== null)
      throw new CoreError('DIAL_CHANGED', `“${known.name}” was deleted meanwhile, from another window.`, { name: known.name });
    // Sent again after its answer was lost: it is there already.
    if (known.version === version + 1 && known.name === name && known.build === build) return { version: known.version };
    if (known.version !== version)
      throw new CoreError('DIAL_CHANGED', `“${known.name}” was changed meanwhile, from another window.`, { name: known.name });
    queries.update(teacher.id, id, { name, build, version: version + 1 });
    return { version: version + 1 };
  });

  /** A dial file: through the door of saved dials, whatever version it was written by. */
  app.post('/api/dials/read', { schema: { body: Type.Object({ file: Type.Unknown() }), response: { 200: DialRead } } }, (request) => {
    requireTeacher(request);
    return readDialFile(request.body.file);
  });

  app.post('/api/dials/order', { schema: { body: DialOrder, response: Nothing } }, (request, reply) => {
    const teacher = requireTeacher(request);
    store.sqlite.transaction(() => {
      for (const [place, id] of request.body.ids.entries()) mustChange(queries.update(teacher.id, id, { place }));
    })();
    void reply.code(204);
    return null;
  });

  for (const [verb, deletedAtMs] of [
    ['delete', () => nowMs()],
    ['restore', () => null],
  ] as const) {
    app.post(`/api/dials/:id/${verb}`, { schema: { params: Params, response: Nothing } }, (request, reply) => {
      mustChange(queries.update(requireTeacher(request).id, request.params.id, { deletedAtMs: deletedAtMs() }));
      void reply.code(204);
      return null;
    });
  }
};

/** A stored build, or in one sentence why this version cannot read it. It stays stored as it is. */
function readBuild(name: string, text: string): Pick<SavedDial, 'build' | 'problem'> {
  try {
    return { build: stored.dialBuild(text, name), problem: null };
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return { build: null, problem: error.message };
  }
}

/** @throws CoreError DIAL_UNREADABLE with the path, FORMAT_NEWER */
function readDialFile(file: unknown): DialRead {
  const { format, name, dial } = (typeof file === 'object' && file !== null ? file : {}) as Record<string, unknown>;
  if (format !== DIAL_FILE || typeof name !== 'string' || name.trim() === '' || typeof dial !== 'object' || dial === null) {
    throw new CoreError('DIAL_UNREADABLE', `This is no dial file: it needs "format": "${DIAL_FILE}", a name and a dial.`, {
      format: DIAL_FILE,
    });
  }
  return { name: name.trim().slice(0, 80), build: stored.dialBuild(JSON.stringify(dial), name.slice(0, 80)) };
}
