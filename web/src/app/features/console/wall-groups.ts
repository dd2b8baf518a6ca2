import { isRightVerdict, LatestAttempts, misconceptionOf, type Asking } from '@zeitpunkt/core';
import type { MarkedResponse, Participant, SessionDetail } from '@zeitpunkt/contract';
import { namesOfIdeas } from '../../shared/verdict-words';

/** A pupil on the wall with the latest response to the question, if there is one. */
export interface WallPupil {
  readonly participant: Participant;
  readonly response: MarkedResponse | null;
}

export interface WallGroup {
  readonly id: string;
  readonly title: string;
  /** What the teacher may do about it: the next move of a misconception. */
  readonly hint: string | null;
  readonly pupils: readonly WallPupil[];
}

/**
 * The wall in groups, most urgent first: who is still thinking; before the reveal simply who has answered; after it the
 * right ones last, the others by the misconceptions that explain them, the most frequent first.
 */
export function wallGroups(detail: SessionDetail, { id, phase }: Asking): WallGroup[] {
  const latest = new LatestAttempts(detail.live.responses).at(id);
  const pupils = detail.live.participants.map((participant) => ({ participant, response: latest.get(participant.pupilId) ?? null }));
  const silent = pupils.filter((pupil) => !pupil.response);
  const answered = pupils.filter((pupil) => pupil.response);
  const groups: WallGroup[] = [];
  if (silent.length) groups.push({ id: 'silent', title: phase === 'open' ? 'Still thinking' : 'No answer', hint: null, pupils: silent });
  if (phase !== 'revealed') {
    if (answered.length) groups.push({ id: 'answered', title: 'Answered', hint: null, pupils: answered });
    return groups;
  }
  return [...groups, ...byIdea(answered)];
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
  const groups: WallGroup[] = named.map(([key, pupils]) => {
    const ideas = pupils[0]!.response!.mark.misconceptions.map(misconceptionOf);
    return { id: key, title: namesOfIdeas(ideas.map((idea) => idea.name)), hint: ideas[0]!.nextMove, pupils };
  });
  const other = wrong.get('');
  if (other) groups.push({ id: 'other', title: 'Another answer', hint: null, pupils: other });
  if (right.length) groups.push({ id: 'right', title: 'Right', hint: null, pupils: right });
  return groups;
}
