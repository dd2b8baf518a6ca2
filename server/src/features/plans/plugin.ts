import { CoreError, sameJson } from '@zeitpunkt/core';
import { PlanDetail, PlanSaved } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { Store } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import type { Feature } from '../../http/feature.js';
import type { RequireTeacher } from '../auth/guard.js';
import { mustOwnClass } from '../classes/queries.js';
import { planOf, savePlan } from './queries.js';

export interface PlansOptions {
  readonly store: Store;
  readonly requireTeacher: RequireTeacher;
}

const Params = Type.Object({ id: Type.String() });

/** What is planned for each class: lessons to come, days off, daily cards. */
export const plansPlugin: Feature<PlansOptions> = async (app, { store, requireTeacher }) => {
  const { db } = store;
  const mustOwn = (teacherId: string, classId: string) => mustOwnClass(db, teacherId, classId);

  app.get('/api/classes/:id/plan', { schema: { params: Params, response: { 200: PlanDetail } } }, (request) =>
    planOf(db, mustOwn(requireTeacher(request).id, request.params.id)),
  );

  app.post('/api/classes/:id/plan', { schema: { params: Params, body: PlanDetail, response: { 200: PlanSaved } } }, (request) => {
    const owned = mustOwn(requireTeacher(request).id, request.params.id);
    const { revision } = request.body;
    const plan = stored.plan(request.body.plan, owned.name);
    const known = planOf(db, owned);
    // Sent again after its answer was lost: it is there already.
    if (known.revision === revision + 1 && sameJson(known.plan, plan)) return { revision: known.revision };
    if (known.revision !== revision) {
      throw new CoreError('PLAN_CHANGED', `The plan of ${owned.name} was changed meanwhile, from another window. Nothing was overwritten.`);
    }
    savePlan(db, owned.id, revision + 1, plan);
    return { revision: revision + 1 };
  });
};
