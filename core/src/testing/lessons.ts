import type { Beat, NewBeat } from '../beats/registry.js';
import type { Lesson } from '../lesson/lesson.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import type { Item } from '../question-kinds/registry.js';

/** A lesson as tests of core, server and pages need one: everything but what a test is about is as it usually is. */
export function lessonWith(own: Partial<Lesson> = {}): Lesson {
  return {
    format: 'zeitpunkt-lesson',
    formatVersion: 3,
    title: 'The school ferry',
    goal: 'Read half past.',
    successCriteria: [],
    targetMinutes: 5,
    settings: DEFAULT_SETTINGS,
    items: [],
    beats: [{ id: 'b1', kind: 'say', text: 'Hello.' }],
    ...own,
  };
}

/** Beats with the ids b1, b2 and so on. */
export const numbered = (beats: readonly NewBeat[]): Beat[] => beats.map((beat, index) => ({ ...beat, id: `b${index + 1}` }) as Beat);

/** A lesson that asks some items one after the other, each with five seconds to think and its answer. */
export function lessonAsking(items: readonly Item[], own: Partial<Lesson> = {}): Lesson {
  const beats = items.flatMap(({ id: itemId }): NewBeat[] => [
    { kind: 'ask', itemId, text: '' },
    { kind: 'think', itemId, seconds: 5, text: '' },
    { kind: 'answer', itemId },
  ]);
  return lessonWith({ items: [...items], beats: numbered(beats), ...own });
}
