import { criteriaOf } from '../ladder/criteria.js';
import { RUNGS, type RungId } from '../ladder/registry.js';
import type { Lesson } from '../lesson/lesson.js';
import type { LessonSettings } from '../lesson/settings.js';
import { tongueOf } from '../talk/registry.js';

/** A lesson on a rung with nothing in it but its goal, said: the beginning of one that is built by hand. */
export function emptyLesson(rung: RungId, minutes: number, settings: LessonSettings): Lesson {
  const { name, topic, criteria } = RUNGS[rung];
  const tongue = tongueOf(settings);
  return {
    format: 'zeitpunkt-lesson',
    formatVersion: 3,
    title: `${name}, my own`,
    goal: topic[tongue],
    successCriteria: criteriaOf(RUNGS[rung], settings),
    rung,
    targetMinutes: minutes,
    settings,
    items: [],
    beats: [{ id: 'b1', kind: 'say', text: criteria[tongue].join(' ') }],
  };
}
