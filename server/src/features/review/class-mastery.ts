import { RUNG_IDS, type MasteryWord, type RungId } from '@zeitpunkt/core';
import { masteryAnswer, masteryOf } from '@zeitpunkt/core/insight/mastery';
import { rungOfItem } from '@zeitpunkt/core/insight/rung-of-item';
import type { ClassMastery, InsightLine, Pupil } from '@zeitpunkt/contract';
import { setImmediate } from 'node:timers/promises';

type Given = ReturnType<typeof masteryAnswer>;

/** How many of a class are at which word on each rung on which anything was answered. @param lines all that the class answered */
export async function classMastery(lines: AsyncIterable<string>, pupils: readonly Pupil[], nowMs: number): Promise<ClassMastery> {
  const answers = new Map(pupils.map(({ id }) => [id, new Map<RungId, Given[]>()]));
  for await (const text of lines) {
    const line = JSON.parse(text) as InsightLine;
    // Which lesson cannot be read is told in the class review.
    if (line.line !== 'session') continue;
    const asked = new Map(line.askings.map(({ id, item }) => [id, { item, rung: rungOfItem(item, line) }]));
    for (const { pupilId, askingId, verdict, atMs } of line.answers) {
      const [own, question] = [answers.get(pupilId), asked.get(askingId)];
      if (!own || !question) continue;
      const given = masteryAnswer({ item: question.item, settings: line.settings, verdict, atMs });
      const before = own.get(question.rung);
      if (before) before.push(given);
      else own.set(question.rung, [given]);
    }
  }
  const words = new Map<RungId, Record<MasteryWord, number>>();
  for (const own of answers.values()) {
    await setImmediate();
    for (const [rung, given] of own) {
      const counts = words.get(rung) ?? { sure: 0, nearly: 0, partly: 0, 'not-yet': 0, 'too-few': 0 };
      given.sort((one, other) => one.atMs - other.atMs);
      counts[masteryOf(given, nowMs).word] += 1;
      words.set(rung, counts);
    }
  }
  return { rungs: RUNG_IDS.flatMap((rung) => (words.has(rung) ? [{ rung, words: words.get(rung)! }] : [])) };
}
