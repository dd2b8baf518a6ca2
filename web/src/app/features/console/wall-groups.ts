import { isRightVerdict, LatestAttempts, misconceptionOf, type Asking } from '@zeitpunkt/core';
import type { MarkedResponse, Participant, SessionDetail } from '@zeitpunkt/contract';
import { counts } from '../../shared/late';
import { namesOfIdeas } from '../../shared/verdict-words';

/** A pupil on the wall with the latest response to the question, if there is one. */
export interface WallPupil {
  readonly participant: Participant;
  readonly response: MarkedResponse | null;
}

export type WallTone = 'silent' | 'answered' | 'idea' | 'other' | 'right' | 'late';

const SIGNS: Record<Exclude<WallTone, 'idea'>, string> = { silent: '…', answered: '•', other: '?', right: '✓', late: '!' };

export interface WallGroup {
  readonly id: string;
  readonly tone: WallTone;
  /** The same in the bar and above the group: A, B, C … for the ideas, the most frequent first. */
  readonly sign: string;
  readonly title: string;
  /** What the teacher may do about it: the next move of a misconception. */
  readonly hint: string | null;
  readonly pupils: readonly WallPupil[];
}

/** A group that stands for no idea; none where nobody is in it. */
function group(tone: Exclude<WallTone, 'idea'>, title: string, pupils: readonly WallPupil[]): WallGroup[] {
  return pupils.length ? [{ id: tone, tone, sign: SIGNS[tone], title, hint: null, pupils }] : [];
}

/**
 * The wall in groups, most urgent first: who is still thinking; before the reveal simply who has answered; after it the
 * right ones last, the others by the misconceptions that explain them, the most frequent first. What came late and does not
 * count stands by itself.
 */
export function wallGroups(detail: SessionDetail, { id, phase }: Asking): WallGroup[] {
  const counting = new LatestAttempts(detail.live.responses.filter(counts)).at(id);
  const late = new LatestAttempts(detail.live.responses.filter((one) => !counts(one))).at(id);
  const inRoom = detail.live.participants.filter(({ waits }) => !waits);
  const pupils = inRoom.map((participant) => ({ participant, response: counting.get(participant.pupilId) ?? null }));
  const silent = pupils.filter(({ participant, response }) => !response && !late.has(participant.pupilId));
  const answered = pupils.filter(({ response }) => response);
  const came = inRoom.flatMap((participant) => {
    const response = late.get(participant.pupilId);
    return response ? [{ participant, response }] : [];
  });
  return [
    ...group('silent', phase === 'open' ? 'Still thinking' : 'No answer', silent),
    ...group('late', 'Came late', came),
    ...(phase === 'revealed' ? byIdea(answered) : group('answered', 'Answered', answered)),
  ];
}

function byIdea(answered: readonly WallPupil[]): WallGroup[] {
  const right: WallPupil[] = [];
  const wrong = new Map<string, WallPupil[]>();
  for (const pupil of answered) {
    const { mark } = pupil.response!;
    if (isRightVerdict(mark.verdict)) right.push(pupil);
    else {
      const key = mark.misconceptions.join(' ');
      wrong.set(key, [...(wrong.get(key) ?? []), pupil]);
    }
  }
  const named = [...wrong].filter(([key]) => key !== '').sort(([, a], [, b]) => b.length - a.length);
  const groups = named.map(([key, pupils], index): WallGroup => {
    const ideas = pupils[0]!.response!.mark.misconceptions.map(misconceptionOf);
    const sign = String.fromCharCode(65 + (index % 26));
    return { id: key, tone: 'idea', sign, title: namesOfIdeas(ideas.map((idea) => idea.name)), hint: ideas[0]!.nextMove, pupils };
  });
  return [...groups, ...group('other', 'Another answer', wrong.get('') ?? []), ...group('right', 'Right', right)];
}
