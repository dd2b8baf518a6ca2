import { InsightBook } from '../insight/insight-book.js';
import { rungOfItem } from '../insight/rung-of-item.js';
import { RUNGS, type RungId } from '../ladder/registry.js';
import { draftLesson } from '../draft/draft.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { markOf } from '../question-kinds/marking.js';
import { seededRng } from '../random/rng.js';
import { simulateResponse } from '../rehearsal/simulated-pupil.js';
import { DAY_MS } from './insight.js';

const PUPILS = 26;

/** A class that was taught a drafted lesson on each of some rungs: half of it holds no idea, a third one, the rest two. */
export function simulatedClass(rungs: readonly RungId[], seed: number) {
  const rng = seededRng(seed);
  const usual = [...new Set(rungs.flatMap((rung): readonly MisconceptionId[] => RUNGS[rung].misconceptions))];
  const lessons = rungs.map((rung, index) =>
    draftLesson({ rung, minutes: 20, delivery: 'live', settings: DEFAULT_SETTINGS, seed: 10 * seed + index }),
  );
  const held = new Map(
    Array.from({ length: PUPILS }, (_, index): [string, readonly MisconceptionId[]] => {
      const [part, own] = [rng(), new Set<MisconceptionId>()];
      while (own.size < (part < 0.5 ? 0 : part < 0.83 ? 1 : 2)) own.add(usual[Math.floor(rng() * usual.length)]!);
      return [`p${index}`, [...own]];
    }),
  );
  const answers = [...held].flatMap(([pupilId, misconceptions]) => {
    const pupil = { misconceptions, firmness: 0.6 + 0.35 * rng(), carelessness: 0.03 + 0.15 * rng(), skill: 0.92, paceMs: 8000 };
    return lessons.flatMap(({ items, rung }, lesson) =>
      items.map((item, place) => {
        const { response } = simulateResponse(pupil, item, DEFAULT_SETTINGS, rng);
        const { verdict } = markOf(item, response, DEFAULT_SETTINGS);
        const asked = { askingId: `${lesson} ${place}`, sessionId: `s${lesson}`, item, rung: rungOfItem(item, { rung: rung ?? null }) };
        const times = { atMs: lesson * DAY_MS + place * 60_000, responseTimeMs: 8000, source: 'device' as const };
        return { ...asked, ...times, id: `${pupilId} ${lesson} ${place}`, pupilId, response, verdict, settings: DEFAULT_SETTINGS };
      }),
    );
  });
  return {
    book: new InsightBook(
      [...held.keys()].map((id) => ({ id, name: id })),
      answers,
    ),
    held,
  };
}
