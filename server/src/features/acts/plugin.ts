import { ActList, ActsKeep } from '@zeitpunkt/contract';
import type { Store } from '../../db/connection.js';
import { type Events, listenTo } from '../../events.js';
import type { Feature } from '../../http/feature.js';
import { mustBeFirst, type RequireTeacher } from '../auth/gives.js';
import { actsOf, deleteOldActs, keepActsFor, keepDaysOf } from './queries.js';

export interface ActsOptions {
  readonly store: Store;
  readonly events: Events;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
}

/** What was done at the school, for its first teacher to read. */
export const actsPlugin: Feature<ActsOptions> = async (app, { store, events, requireTeacher, nowMs }) => {
  const { db } = store;
  listenTo(events, { tidyUp: () => deleteOldActs(db, nowMs()) });

  app.get('/api/acts', { schema: { response: { 200: ActList } } }, (request) => {
    mustBeFirst(db, requireTeacher(request).id);
    return { acts: actsOf(db), keepDays: keepDaysOf(db) };
  });

  app.post('/api/acts/keep', { schema: { body: ActsKeep, response: { 200: ActList } } }, (request) => {
    mustBeFirst(db, requireTeacher(request).id);
    keepActsFor(db, request.body.keepDays);
    deleteOldActs(db, nowMs());
    return { acts: actsOf(db), keepDays: keepDaysOf(db) };
  });
};
