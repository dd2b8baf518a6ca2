import { rightActs, type Acts } from '../acts/acts.js';
import type { LessonSettings } from '../lesson/settings.js';
import { misconceptionOf, type MisconceptionId } from './registry.js';

/** The acts of a pupil who holds some ideas: each distorts what the ones before it leave. None gives the right acts. */
export function actsOf(held: readonly MisconceptionId[], settings: LessonSettings): Acts {
  return held.reduce<Acts>((acts, id) => ({ ...acts, ...misconceptionOf(id).distorts(acts, settings) }), rightActs(settings));
}
