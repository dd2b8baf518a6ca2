import { rightActs, type ActId, type Acts } from '../acts/acts.js';
import type { LessonSettings } from '../lesson/settings.js';
import { misconceptionOf, type MisconceptionId } from './registry.js';

/** Acts are functions of nothing but the ideas and the settings: they are made once for each of these. */
const made = new WeakMap<LessonSettings, Map<string, Acts>>();

/** The acts of a pupil who holds some ideas: each distorts what the ones before it leave. None gives the right acts. */
export function actsOf(held: readonly MisconceptionId[], settings: LessonSettings): Acts {
  let known = made.get(settings);
  if (!known) made.set(settings, (known = new Map<string, Acts>()));
  const key = held.length === 1 ? held[0]! : held.join();
  let acts = known.get(key);
  if (!acts) {
    acts = held.reduce<Acts>((so, id) => ({ ...so, ...misconceptionOf(id).distorts(so, settings) }), rightActs(settings));
    known.set(key, acts);
  }
  return acts;
}

/** The acts of a pupil whose ideas show only where they read or understand, and who sets hands right all the same. */
export function readingActsOf(held: readonly MisconceptionId[], settings: LessonSettings): Acts {
  return { ...actsOf(held, settings), set: actsOf([], settings).set };
}

/** Acts by which a time is taken in: an idea that changes one of them and setting, too, may be held in reading alone. */
const TAKES_IN: readonly ActId[] = ['read', 'mean', 'count'];

/** Whether an idea changes both how a dial is read and how it is set. */
export const readsAndSets = (id: MisconceptionId, settings: LessonSettings): boolean =>
  changesAnyOf(id, TAKES_IN, settings) && changesAnyOf(id, ['set'], settings);

const distorted = new Map<MisconceptionId, ReadonlySet<string>>();

/** Whether an idea changes any of some acts: where it changes none, it makes no difference. */
export function changesAnyOf(id: MisconceptionId, acts: readonly ActId[], settings: LessonSettings): boolean {
  let changed = distorted.get(id);
  if (!changed) distorted.set(id, (changed = new Set(Object.keys(misconceptionOf(id).distorts(rightActs(settings), settings)))));
  return acts.some((act) => changed.has(act));
}
