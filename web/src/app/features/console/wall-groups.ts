import { misconceptionOf } from '@zeitpunkt/core/misconceptions/registry';
import { isNotSure } from '@zeitpunkt/core/question-kinds/not-sure';
import type { Item } from '@zeitpunkt/core/question-kinds/registry';
import { isRightVerdict } from '@zeitpunkt/core/question-kinds/verdict';
import type { Asking } from '@zeitpunkt/core/run/asking';
import { LatestAttempts } from '@zeitpunkt/core/run/latest';
import type { MarkedResponse, Participant, SessionDetail } from '@zeitpunkt/contract';
import { pairOfAnswer, type IdeaPair } from '@zeitpunkt/core/misconceptions/idea-pair';
import { ideaWords } from '@zeitpunkt/core/misconceptions/idea-words';
import { counts } from '../../shared/late';
import { CONSOLE_WORDS } from './words';

/** A pupil on the wall with the latest response to the question, if there is one. */
export interface WallPupil {
  readonly participant: Participant;
  readonly response: MarkedResponse | null;
}

export type WallTone = 'silent' | 'unsure' | 'answered' | 'idea' | 'other' | 'right' | 'late';

const SIGNS: Record<Exclude<WallTone, 'idea'>, string> = { silent: '…', unsure: '~', answered: '•', other: '?', right: '✓', late: '!' };

export interface WallGroup {
  readonly id: string;
  readonly tone: WallTone;
  /** The same in the bar and above the group: A, B, C … for the ideas, the most frequent first. */
  readonly sign: string;
  readonly title: string;
  /** What was asked and what most of the group answered, as two dials; null where it is no matter of a dial. */
  readonly pair: IdeaPair | null;
  /** What the teacher may do about it: the next move of a misconception. */
  readonly hint: string | null;
  readonly pupils: readonly WallPupil[];
}

/** How the wall is grouped: by what explains the answers, or only by who has answered, in the order in which they came. */
export type WallOrder = 'idea' | 'arrival';

/** A group that stands for no idea; none where nobody is in it. */
function group(tone: Exclude<WallTone, 'idea'>, title: string, pupils: readonly WallPupil[]): WallGroup[] {
  return pupils.length ? [{ id: tone, tone, sign: SIGNS[tone], title, pair: null, hint: null, pupils }] : [];
}

/**
 * The wall in groups, most urgent first: who is still thinking, who is not sure, then by the ideas that explain the answers,
 * the most frequent first, and the right ones last. What came late and does not count stands by itself.
 */
export function wallGroups(detail: SessionDetail, { id, phase, item }: Asking, order: WallOrder = 'idea'): WallGroup[] {
  const counting = new LatestAttempts(detail.live.responses.filter(counts)).at(id);
  const late = new LatestAttempts(detail.live.responses.filter((one) => !counts(one))).at(id);
  const inRoom = detail.live.participants.filter(({ waits }) => !waits);
  const pupils = inRoom.map((participant) => ({ participant, response: counting.get(participant.pupilId) ?? null }));
  const silent = pupils.filter(({ participant, response }) => !response && !late.has(participant.pupilId));
  const answered = pupils.filter(({ response }) => response);
  const words = CONSOLE_WORDS().wallPlace.group;
  const came = inRoom.flatMap((participant) => {
    const response = late.get(participant.pupilId);
    return response ? [{ participant, response }] : [];
  });
  return [
    ...group('silent', phase === 'open' ? words.silent : words.none, silent),
    ...group('late', words.late, came),
    ...(order === 'idea' ? byIdea(answered, item) : group('answered', words.answered, [...answered].sort(byArrival))),
  ];
}

const byArrival = (one: WallPupil, other: WallPupil) => one.response!.receivedAtMs - other.response!.receivedAtMs;

function byIdea(answered: readonly WallPupil[], item: Item): WallGroup[] {
  const [unsure, right]: [WallPupil[], WallPupil[]] = [[], []];
  const wrong = new Map<string, WallPupil[]>();
  for (const pupil of answered) {
    const { mark, response } = pupil.response!;
    if (isNotSure(response)) unsure.push(pupil);
    else if (isRightVerdict(mark.verdict)) right.push(pupil);
    else {
      const key = mark.misconceptions.join(' ');
      wrong.set(key, [...(wrong.get(key) ?? []), pupil]);
    }
  }
  const named = [...wrong].filter(([key]) => key !== '').sort(([, a], [, b]) => b.length - a.length);
  const groups = named.map(([key, pupils], index): WallGroup => {
    const { mark, response } = pupils[0]!.response!;
    const sign = String.fromCharCode(65 + (index % 26));
    return {
      id: key,
      tone: 'idea',
      pair: pairOf(pupils, item),
      sign,
      title: ideaWords(mark.misconceptions, item, response),
      hint: misconceptionOf(mark.misconceptions[0]!).nextMove,
      pupils,
    };
  });
  const words = CONSOLE_WORDS().wallPlace.group;
  const others = group('other', words.other, wrong.get('') ?? []).map((one) => ({ ...one, pair: pairOf(one.pupils, item) }));
  return [...group('unsure', words.unsure, unsure), ...groups, ...others, ...group('right', words.right, right)];
}

/** What was asked and what most of a group answered. */
function pairOf(pupils: readonly WallPupil[], item: Item): IdeaPair | null {
  const typical = typicalResponse({ pupils });
  return typical && pairOfAnswer(item, typical.response);
}

/** The answer that most of a group gave: what the class talks about when it talks about the group. Null where there is none. */
export function typicalResponse({ pupils }: Pick<WallGroup, 'pupils'>): MarkedResponse | null {
  const byText = new Map<string, MarkedResponse[]>();
  for (const { response } of pupils) {
    if (!response || isNotSure(response.response)) continue;
    const text = JSON.stringify(response.response);
    byText.set(text, [...(byText.get(text) ?? []), response]);
  }
  const [most] = [...byText.values()].sort((one, other) => other.length - one.length);
  return most?.[0] ?? null;
}
