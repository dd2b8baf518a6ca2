import { gearedPose } from '../dial/pose.js';
import type { LessonSettings } from '../lesson/settings.js';
import { actsOf } from '../misconceptions/distorted-acts.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { secondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import type { TypedTime } from '../acts/typed-time.js';

const known = new WeakMap<LessonSettings, Map<string, ReadonlyMap<string, readonly SecondOfDay[]>>>();
const digits = ({ hour, minute }: TypedTime) => `${hour}:${minute}`;

/**
 * Dials that somebody with an idea reads as a time, and that show another one: what such a pupil takes for it.
 * @param minutes those past the hour that dials may have, 0 to 59
 */
export function dialsReadAs(
  typed: TypedTime,
  idea: MisconceptionId,
  minutes: readonly number[],
  settings: LessonSettings,
): readonly SecondOfDay[] {
  let tables = known.get(settings);
  if (!tables) known.set(settings, (tables = new Map<string, ReadonlyMap<string, readonly SecondOfDay[]>>()));
  const key = `${idea} ${minutes.join()}`;
  let table = tables.get(key);
  if (!table) tables.set(key, (table = tableOf(idea, minutes, settings)));
  return table.get(digits(typed)) ?? [];
}

function tableOf(idea: MisconceptionId, minutes: readonly number[], settings: LessonSettings): ReadonlyMap<string, readonly SecondOfDay[]> {
  const [{ read }, right] = [actsOf([idea], settings), actsOf([], settings)];
  const table = new Map<string, SecondOfDay[]>();
  for (let hour = 0; hour < 12; hour++) {
    for (const minute of minutes) {
      const at = secondOfDay(hour, minute);
      const shown = digits(right.read(gearedPose(at))[0]!);
      for (const typed of read(gearedPose(at)).map(digits)) {
        if (typed !== shown) table.set(typed, [...(table.get(typed) ?? []), at]);
      }
    }
  }
  return table;
}
