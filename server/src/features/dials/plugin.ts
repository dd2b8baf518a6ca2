import { CoreError } from '@zeitpunkt/core';
import { DialBuildSchema, DialOrder, DialSave, SavedDialList, type SavedDial } from '@zeitpunkt/contract';
import type { FastifyPluginAsyncTypebox } from '@fastify/type-provider-typebox';
import { Type } from '@sinclair/typebox';
import type { Store } from '../../db/connection.js';
import { fitsOf } from '../../http/fits.js';
import { whatIsWrong } from '../../http/what-is-wrong.js';
import type { RequireTeacher } from '../auth/guard.js';
import { dialQueries } from './queries.js';

export interface DialsOptions {
  readonly store: Store;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
}

const Params = Type.Object({ id: Type.String() });
const Nothing = { 204: Type.Null() };
/** A deleted dial can be brought back this long. */
const KEEP_DELETED_MS = 24 * 3600 * 1000;

/** Saved dials: keep, rename, order, delete and bring back. */
export const dialsPlugin: FastifyPluginAsyncTypebox<DialsOptions> = async (app, { store, requireTeacher, nowMs }) => {
  const queries = dialQueries(store.db);
  const mustChange = (changes: number) => {
    if (changes === 0) throw new CoreError('NOT_FOUND', 'There is no such dial among yours.');
  };

  app.get('/api/dials', { schema: { response: { 200: SavedDialList } } }, (request) => {
    const teacher = requireTeacher(request);
    queries.purge(nowMs() - KEEP_DELETED_MS);
    return queries.list(teacher.id).map(({ id, name, build }) => ({ id, name, ...readBuild(name, build) }));
  });

  app.post('/api/dials', { schema: { body: DialSave, response: Nothing } }, (request, reply) => {
    const teacher = requireTeacher(request);
    const { id, name } = request.body;
    const build = JSON.stringify(request.body.build);
    const owner = queries.owner(id);
    if (owner === undefined)
      queries.insert({ id, teacherId: teacher.id, name, build, place: queries.nextPlace(teacher.id), deletedAtMs: null });
    else mustChange(queries.update(teacher.id, id, { name, build }));
    void reply.code(204);
    return null;
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
function readBuild(name: string, stored: string): Pick<SavedDial, 'build' | 'problem'> {
  const build = JSON.parse(stored) as { formatVersion?: unknown };
  const fits = fitsOf<NonNullable<SavedDial['build']>>(DialBuildSchema);
  if (fits(build)) return { build, problem: null };
  const newer = typeof build.formatVersion === 'number' && build.formatVersion > 1;
  const why = newer
    ? `“${name}” was saved by a newer version of Zeitpunkt; open it there.`
    : whatIsWrong(`The saved dial “${name}”`, fits.errors);
  return { build: null, problem: why };
}
