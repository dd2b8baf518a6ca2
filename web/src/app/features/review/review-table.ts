import { kindOf, misconceptionOf, type Item, type MisconceptionId } from '@zeitpunkt/core';
import type { MarkedResponse, Pupil, SessionDetail } from '@zeitpunkt/contract';
import { isRight } from '../../shared/verdict-words';

/** One question of the taught lesson with what the class made of it. */
export interface ReviewQuestion {
  readonly item: Item;
  readonly number: number;
  /** Kind and key: "Read a dial, 7:30". */
  readonly title: string;
  readonly answered: number;
  readonly right: number;
  /** Misconceptions that responses are consistent with, the most frequent first. */
  readonly ideas: readonly { readonly id: MisconceptionId; readonly name: string; readonly count: number; readonly nextMove: string }[];
}

export interface ReviewCell {
  readonly pupil: Pupil;
  readonly question: ReviewQuestion;
  /** Every attempt, the first first; the last one counts. Empty where the pupil gave none. */
  readonly attempts: readonly MarkedResponse[];
  readonly last: MarkedResponse | null;
}

export interface ReviewRow {
  readonly pupil: Pupil;
  readonly cells: readonly ReviewCell[];
}

export interface ReviewTable {
  readonly questions: readonly ReviewQuestion[];
  readonly rows: readonly ReviewRow[];
  /** Pupils who never joined. */
  readonly absent: readonly Pupil[];
}

/** Questions by pupils, from a session's responses. */
export function reviewTable(detail: SessionDetail): ReviewTable {
  const attempts = new Map<string, MarkedResponse[]>();
  for (const response of detail.live.responses) {
    const place = `${response.pupilId} ${response.itemId}`;
    attempts.set(
      place,
      [...(attempts.get(place) ?? []), response].sort((a, b) => a.attempt - b.attempt),
    );
  }
  const lastOf = (pupilId: string, itemId: string) => attempts.get(`${pupilId} ${itemId}`)?.at(-1) ?? null;
  const questions = detail.lesson.items.map((item, index) =>
    question(
      item,
      index + 1,
      detail.pupils.map((pupil) => lastOf(pupil.id, item.id)).filter((one) => one !== null),
    ),
  );
  const joined = new Set([...detail.live.participants.map((one) => one.pupilId), ...detail.live.responses.map((one) => one.pupilId)]);
  const rows = detail.pupils
    .filter((pupil) => joined.has(pupil.id))
    .map((pupil) => ({
      pupil,
      cells: questions.map((one) => ({
        pupil,
        question: one,
        attempts: attempts.get(`${pupil.id} ${one.item.id}`) ?? [],
        last: lastOf(pupil.id, one.item.id),
      })),
    }));
  return { questions, rows, absent: detail.pupils.filter((pupil) => !joined.has(pupil.id)) };
}

function question(item: Item, number: number, last: readonly MarkedResponse[]): ReviewQuestion {
  const kind = kindOf(item);
  const counts = new Map<MisconceptionId, number>();
  for (const { mark } of last) for (const id of mark.misconceptions) counts.set(id, (counts.get(id) ?? 0) + 1);
  return {
    item,
    number,
    title: `${kind.name}, ${kind.responseText(kind.keyOf(item))}`,
    answered: last.length,
    right: last.filter(({ mark }) => isRight(mark)).length,
    ideas: [...counts]
      .sort(([, a], [, b]) => b - a)
      .map(([id, count]) => ({ id, count, name: misconceptionOf(id).name, nextMove: misconceptionOf(id).nextMove })),
  };
}
