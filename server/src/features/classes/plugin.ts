import { ClassList } from '@zeitpunkt/contract';
import type { FastifyPluginAsyncTypebox } from '@fastify/type-provider-typebox';
import type { Store } from '../../db/connection.js';
import type { RequireTeacher } from '../auth/guard.js';
import { classesOf } from './queries.js';

/** A teacher's classes. */
export const classesPlugin: FastifyPluginAsyncTypebox<{ store: Store; requireTeacher: RequireTeacher }> = async (app, options) => {
  app.get('/api/classes', { schema: { response: { 200: ClassList } } }, (request) =>
    classesOf(options.store.db, options.requireTeacher(request).id),
  );
};
