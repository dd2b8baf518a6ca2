import { type Pose, gearedPose } from '@zeitpunkt/core/dial/pose';
import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import { misconceptionOf, type MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import { isNotSure } from '@zeitpunkt/core/question-kinds/not-sure';
import { kindOf, textOfResponse, type Item, type ItemView, type Response } from '@zeitpunkt/core/question-kinds/registry';
import { isRightVerdict } from '@zeitpunkt/core/question-kinds/verdict';
import type { Asking } from '@zeitpunkt/core/run/asking';
import { LatestAttempts } from '@zeitpunkt/core/run/latest';
import { dialLetter } from '@zeitpunkt/core/scene/describe-stage';
import type { MarkedResponse, Pupil, SessionDetail } from '@zeitpunkt/contract';
import { counts } from '../../shared/late';

/** One question that was asked, with what the class made of it. */
export interface ReviewQuestion {
  readonly askingId: string;
  /** What it is called: its number in the order asked, from 1; on a sheet in versions the number on paper and the version, "1 B". */
  readonly name: string;
  /** Kind and key: "Read a dial, 7:30"; from the second time on "…, again". */
  readonly title: string;
  readonly key: Response;
  /** The asking that this one repeats; null where it is the first. */
  readonly againOf: string | null;
  readonly item: Item;
  /** The hands at the time that it is about; null where it is about none. */
  readonly dial: Pose | null;
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
  /** Questions that stand in one column, each pupil having been asked one of them: those in one place of a sheet in versions. */
  readonly columns: readonly (readonly ReviewQuestion[])[];
  readonly rows: readonly ReviewRow[];
  /** Pupils who never joined. */
  readonly absent: readonly Pupil[];
}

/**
 * Questions by pupils, from a session's responses.
 * @param versions of the sheet that was answered, as asking ids in the order on paper; none where there was no sheet
 */
export function reviewTable(detail: SessionDetail, versions: readonly (readonly string[])[] = []): ReviewTable {
  const { responses, room } = detail.live;
  const { settings } = detail.lesson;
  const latest = new LatestAttempts(responses.filter(counts));
  const late = new LatestAttempts(responses);
  const attemptsOf = (pupilId: string, askingId: string) =>
    responses.filter((one) => one.pupilId === pupilId && one.askingId === askingId).sort((a, b) => a.attempt - b.attempt);
  const questions = room.run.askings.map((asking, index) => {
    const before = room.run.askings.slice(0, index).find(({ item }) => item.id === asking.item.id)?.id ?? null;
    return question(asking, nameOf(asking.id, index, versions), before, [...latest.at(asking.id).values()], settings);
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
  const places = versions.length > 1 ? Math.max(...versions.map(({ length }) => length)) : 0;
  const columns =
    places === 0
      ? questions.map((one) => [one])
      : Array.from({ length: places }, (_, place) => questions.filter(({ askingId }) => versions.some((ids) => ids[place] === askingId)));
  return { questions, columns, rows, absent: detail.pupils.filter((pupil) => !joined.has(pupil.id)) };
}

function nameOf(askingId: string, index: number, versions: readonly (readonly string[])[]): string {
  const version = versions.findIndex((ids) => ids.includes(askingId));
  if (versions.length < 2 || version < 0) return String(index + 1);
  return `${versions[version]!.indexOf(askingId) + 1} ${dialLetter(version)}`;
}

function question(
  { id, item }: Asking,
  name: string,
  againOf: string | null,
  last: readonly MarkedResponse[],
  settings: LessonSettings,
): ReviewQuestion {
  const kind = kindOf(item);
  const key = kind.keyOf(item, settings);
  const times = kind.timesOf(item);
  const counts = new Map<MisconceptionId, number>();
  for (const { mark } of last) for (const idea of mark.misconceptions) counts.set(idea, (counts.get(idea) ?? 0) + 1);
  return {
    askingId: id,
    name,
    title: `${kind.name}, ${textOfResponse(item, key, settings)}${againOf === null ? '' : ', again'}`,
    key,
    againOf,
    item,
    dial: times[0] === undefined ? null : gearedPose(times[0]),
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

/** Whether a pupil answered, and everything right, in time. */
export const isAllRight = ({ cells }: ReviewRow): boolean => {
  const given = cells.flatMap(({ last }) => (last ? [last] : []));
  return given.length > 0 && given.every((last) => isRightVerdict(last.mark.verdict) && counts(last));
};

/** The pupils that are wanted, in the order that is wanted. */
export function rowsFor({ rows }: ReviewTable, order: RowOrder, filter: RowFilter): readonly ReviewRow[] {
  const some = filter === 'all' ? rows : rows.filter(({ cells }) => cells.some(({ last }) => last && FITS[filter](last)));
  if (order === 'class') return some;
  const names = (one: ReviewRow, other: ReviewRow) => one.pupil.name.localeCompare(other.pupil.name);
  return [...some].sort((one, other) => (order === 'look' ? wrong(other) - wrong(one) : 0) || names(one, other));
}
