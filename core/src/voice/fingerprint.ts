import type { BeatBase } from '../beats/registry.js';
import { narrationAt, stepAt } from '../stage/player.js';
import type { PreparedLesson } from '../lesson/prepare.js';
import type { StepRef } from '../lesson/step-ref.js';

/**
 * What a take of a step depends on, as a short text: its beat, its words and its question. Notes, times and whatever else of
 * the lesson may change without a new take.
 * @throws CoreError ROOM_POSITION_RANGE
 */
export function fingerprintOf(prepared: PreparedLesson, at: StepRef): string {
  const { beat, context } = stepAt(prepared, at);
  const { id: _id, note: _note, plannedSec: _plannedSec, ...shown } = beat as typeof beat & Partial<BeatBase>;
  // How long a pupil may think, and how that is shown, is not spoken of.
  const said = shown.kind === 'think' ? { kind: shown.kind } : shown;
  const item = 'itemId' in beat ? context.itemOf(beat.itemId) : null;
  return hash(sorted({ said, item, words: narrationAt(prepared, at) }));
}

/** JSON with the members of each object in order, so that the same data gives the same text. */
function sorted(data: unknown): string {
  return JSON.stringify(data, (_key, value: unknown) =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  );
}

/** 53 bits of a text. Source: "cyrb53" by bryc, public domain. It tells texts apart and keeps no secret. */
function hash(text: string): string {
  let [one, two] = [0xdeadbeef, 0x41c6ce57];
  for (let index = 0; index < text.length; index++) {
    const code = text.charCodeAt(index);
    one = Math.imul(one ^ code, 2_654_435_761);
    two = Math.imul(two ^ code, 1_597_334_677);
  }
  one = Math.imul(one ^ (one >>> 16), 2_246_822_507) ^ Math.imul(two ^ (two >>> 13), 3_266_489_909);
  two = Math.imul(two ^ (two >>> 16), 2_246_822_507) ^ Math.imul(one ^ (one >>> 13), 3_266_489_909);
  return (4_294_967_296 * (2_097_151 & two) + (one >>> 0)).toString(36);
}
