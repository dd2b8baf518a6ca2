import { nameOfBeat, type Beat } from '../beats/registry.js';
import { kindOf } from '../question-kinds/registry.js';
import { displayText } from '../time/display.js';
import type { Lesson } from './lesson.js';

/** A beat with the question it is about: "Ask: read a dial, 7:30". */
export function nameInLesson(beat: Beat, { items, settings }: Lesson): string {
  const name = nameOfBeat(beat, settings);
  const item = 'itemId' in beat ? items.find(({ id }) => id === beat.itemId) : undefined;
  if (!item) return name;
  const kind = kindOf(item);
  const times = kind.timesOf(item).map((at) => displayText(at, settings.separator));
  return `${name}: ${kind.name.toLowerCase()}, ${times.join(', ')}`;
}

/** The words of a beat, or what it says first; empty where it has none of its own. */
export function wordsOf(beat: Beat): string {
  if (beat.kind === 'verse') return beat.lines[0]?.text ?? '';
  return 'text' in beat ? beat.text : '';
}
