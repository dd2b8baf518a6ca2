import { displayText24, minuteDigits } from '../time/display.js';
import { hour12, minuteOfHour, type SecondOfDay } from '../time/second-of-day.js';
import type { DisplayState } from './stage-state.js';

/** A display at another time: halves left for pupils to fill stay empty, covered digits covered, 24 hours stay 24. */
export function displayAt(display: DisplayState, at: SecondOfDay): DisplayState {
  const hour = display.of24 ? displayText24(at).slice(0, 2) : String(hour12(at));
  return {
    ...display,
    hour: display.hour === null ? null : hour,
    minute: display.minute === null ? null : minuteDigits(minuteOfHour(at)),
  };
}
