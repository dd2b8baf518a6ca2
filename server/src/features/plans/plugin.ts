import { CoreError } from '@zeitpunkt/core/errors';
import { sameJson } from '@zeitpunkt/core/same-json';
import { dayOf, daysOn } from '@zeitpunkt/core/series/school-days';
import { DaysFound, PlanDetail, PlanSaved, SIZES } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { Store } from '../../db/connection.js';
import { stored } from '../../db/stored.js';
import type { Feature } from '../../http/feature.js';
import { fileOf, takesFiles } from '../../http/takes-files.js';
import type { Work } from '../../work/work.js';
import type { RequireTeacher } from '../auth/gives.js';
import { mustOwnClass } from '../classes/gives.js';
import { ownLesson } from '../lessons/gives.js';
import { calendarOf } from './calendar.js';
import { planOf, savePlan } from './queries.js';

export interface PlansOptions {
  readonly store: Store;
  readonly work: Work;
  readonly requireTeacher: RequireTeacher;
  readonly nowMs: () => number;
}

const Params = Type.Object({ id: Type.String() });
/** Days off are read from a while ago to the end of the next school year. */
const DAYS_BACK = 60;
const DAYS_ON = 500;

/** What is planned for each class: lessons to come, days off, daily cards. */
export const plansPlugin: Feature<PlansOptions> = async (app, { store, work, requireTeacher, nowMs }) => {
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
      const { name } = owned;
      throw new CoreError('PLAN_CHANGED', `The plan of ${name} was changed meanwhile, from another window. Nothing was overwritten.`, {
        name,
      });
    }
    savePlan(db, owned.id, revision + 1, plan);
    return { revision: revision + 1 };
  });

  app.get('/api/classes/:id/lessons.ics', { schema: { params: Params } }, (request, reply) => {
    const teacher = requireTeacher(request);
    const owned = mustOwn(teacher.id, request.params.id);
    const lessonOf = (id: string) => {
      const row = ownLesson(db, teacher.id, id);
      return row ? stored.lesson(row.draft, row.title) : null;
    };
    return reply.type('text/calendar; charset=utf-8').send(calendarOf(planOf(db, owned).plan, owned.name, lessonOf, nowMs()));
  });

  takesFiles(app);
  app.post('/api/calendars/look', { schema: { response: { 200: DaysFound } }, bodyLimit: SIZES.calendar.bytes }, (request) => {
    requireTeacher(request);
    const today = dayOf(nowMs());
    return work.ask('calendar', fileOf(request), daysOn(today, -DAYS_BACK), daysOn(today, DAYS_ON));
  });
};
