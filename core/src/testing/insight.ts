import type { InsightAnswer } from '../insight/insight-answer.js';
import { rungOfItem } from '../insight/rung-of-item.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { markOf } from '../question-kinds/marking.js';
import type { Item, Response } from '../question-kinds/registry.js';
import { secondOfDay } from '../time/second-of-day.js';

export const DAY_MS = 86_400_000;

/** Reading a dial: what was shown, and what was typed; "?" for not sure. */
export function answered(pupilId: string, shown: string, typed: string, more: Partial<InsightAnswer> = {}): InsightAnswer {
  const [hour = 0, minute = 0] = shown.split(':').map(Number);
  const [typedHour = '', typedMinute = ''] = typed.split(':');
  const item: Item = { id: shown, kind: 'read-dial', timeSec: secondOfDay(hour, minute) };
  const response: Response = typed === '?' ? { kind: 'not-sure' } : { kind: 'read-dial', hour: typedHour, minute: typedMinute };
  const sessionId = more.sessionId ?? 's1';
  return {
    id: `${sessionId} ${pupilId} ${shown}`,
    pupilId,
    sessionId,
    askingId: shown,
    item,
    response,
    settings: DEFAULT_SETTINGS,
    rung: rungOfItem(item, {}),
    verdict: markOf(item, response, DEFAULT_SETTINGS).verdict,
    responseTimeMs: 4000,
    source: 'device',
    atMs: 0,
    ...more,
  };
}

/** All of some shown times answered by one pupil, in one way. */
export const all = (pupilId: string, shown: readonly string[], typed: (shown: string) => string, more: Partial<InsightAnswer> = {}) =>
  shown.map((one) => answered(pupilId, one, typed(one), more));
