import {
  isNotSure,
  isRightVerdict,
  kindOf,
  textOfResponse,
  LatestAttempts,
  misconceptionOf,
  type Asking,
  type Item,
  type ItemView,
  type LessonSettings,
  type MisconceptionId,
  type Response,
} from '@zeitpunkt/core';
import type { MarkedResponse, Pupil, SessionDetail } from '@zeitpunkt/contract';
import { counts } from '../../shared/late';

/** One question that was asked, with what the class made of it. */
export interface ReviewQuestion {
  readonly askingId: string;
  /** In the order asked, from 1. */
  readonly number: number;
  /** Kind and key: "Read a dial, 7:30"; from the second time on "…, again". */
  readonly title: string;
  readonly key: Response;
  /** The asking that this one repeats; null where it is the first. */
  readonly againOf: string | null;
  readonly item: Item;
  /** The question as pupils saw it. */
  readonly view: ItemView;
  /** A response in a few characters or words. */
  readonly textOf: (response: Response) => string;
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
  /** The latest that counts; where none does, the latest that came late. */
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
  const { responses, room } = detail.live;
  const { settings } = detail.lesson;
  const latest = new LatestAttempts(responses.filter(counts));
  const late = new LatestAttempts(responses);
  const attemptsOf = (pupilId: string, askingId: string) =>
    responses.filter((one) => one.pupilId === pupilId && one.askingId === askingId).sort((a, b) => a.attempt - b.attempt);
  const questions = room.run.askings.map((asking, index) => {
    const before = room.run.askings.slice(0, index).find(({ item }) => item.id === asking.item.id)?.id ?? null;
    return question(asking, index + 1, before, [...latest.at(asking.id).values()], settings);
  });
  const joined = new Set([...detail.live.participants.map((one) => one.pupilId), ...detail.live.responses.map((one) => one.pupilId)]);
  const rows = detail.pupils
    .filter((pupil) => joined.has(pupil.id))
    .map((pupil) => ({
      pupil,
      cells: questions.map((one) => ({
        pupil,
        question: one,
        attempts: attemptsOf(pupil.id, one.askingId),
        last: latest.of(pupil.id, one.askingId) ?? late.of(pupil.id, one.askingId) ?? null,
      })),
    }));
  return { questions, rows, absent: detail.pupils.filter((pupil) => !joined.has(pupil.id)) };
}

function question(
  { id, item }: Asking,
  number: number,
  againOf: string | null,
  last: readonly MarkedResponse[],
  settings: LessonSettings,
): ReviewQuestion {
  const kind = kindOf(item);
  const key = kind.keyOf(item, settings);
  const counts = new Map<MisconceptionId, number>();
  for (const { mark } of last) for (const idea of mark.misconceptions) counts.set(idea, (counts.get(idea) ?? 0) + 1);
  return {
    askingId: id,
    number,
    title: `${kind.name}, ${textOfResponse(item, key, settings)}${againOf === null ? '' : ', again'}`,
    key,
    againOf,
    item,
    view: kind.viewOf(item, settings),
    textOf: (response) => textOfResponse(item, response, settings),
    answered: last.length,
    right: last.filter(({ mark }) => isRightVerdict(mark.verdict)).length,
    ideas: [...counts]
      .sort(([, a], [, b]) => b - a)
      .map(([idea, count]) => ({ id: idea, count, name: misconceptionOf(idea).name, nextMove: misconceptionOf(idea).nextMove })),
  };
}

/** In which order pupils stand: as in the class, or those first whose answers are to be looked at. */
export type RowOrder = 'class' | 'look' | 'name';
/** Which pupils are shown: all, or those with such an answer. */
export type RowFilter = 'all' | 'not-right' | 'idea' | 'unsure' | 'late';

const wrong = (row: ReviewRow) => row.cells.filter(({ last }) => last && !isRightVerdict(last.mark.verdict)).length;
const FITS: Record<RowFilter, (cell: MarkedResponse) => boolean> = {
  all: () => true,
  'not-right': ({ mark }) => !isRightVerdict(mark.verdict),
  idea: ({ mark }) => mark.misconceptions.length > 0,
  unsure: ({ response }) => isNotSure(response),
  late: (one) => !counts(one),
};

/** The pupils that are wanted, in the order that is wanted. */
export function rowsFor({ rows }: ReviewTable, order: RowOrder, filter: RowFilter): readonly ReviewRow[] {
  const some = filter === 'all' ? rows : rows.filter(({ cells }) => cells.some(({ last }) => last && FITS[filter](last)));
  if (order === 'class') return some;
  const names = (one: ReviewRow, other: ReviewRow) => one.pupil.name.localeCompare(other.pupil.name);
  return [...some].sort((one, other) => (order === 'look' ? wrong(other) - wrong(one) : 0) || names(one, other));
}
