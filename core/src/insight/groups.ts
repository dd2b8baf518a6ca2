import type { LikelyIdea } from '../diagnosis/information.js';
import { rungAfter, RUNG_IDS, RUNGS, type RungId } from '../ladder/registry.js';
import { misconceptionOf, type MisconceptionId } from '../misconceptions/registry.js';
import { openRungs } from './stands-on.js';
import { isHeld, mostOf, type ClassPicture, type PupilPicture } from './class-picture.js';
import { MS_PER_DAY } from '../time/spans.js';

/** What a group is for, as its key: an idea to work on, a rung to practise, a rung to go on to. Keys stand in what teachers moved: never rename them. */
export type GroupKey = `idea:${MisconceptionId}` | `rung:${RungId}` | `next:${RungId}`;

/** Pupils who do the same next. A proposal: the teacher's own moves go before it. */
export interface Group {
  readonly key: GroupKey;
  /** "Takes the nearest numeral", "Half past, once more", "Ready for quarter past". */
  readonly name: string;
  readonly rung: RungId;
  readonly pupils: readonly { readonly id: string; readonly name: string; readonly moved: boolean }[];
  /** Further ideas that some of these pupils hold, and that the group works on as well. */
  readonly also: readonly MisconceptionId[];
  /** Why these pupils stand together, in one sentence. */
  readonly reason: string;
  /** What to do with them. */
  readonly nextMove: string;
  /** What its set of questions is to tell apart, the likeliest first. */
  readonly ideas: readonly LikelyIdea[];
}

export interface Groups {
  readonly groups: readonly Group[];
  /** Pupils of whom too little is known: look at them first. */
  readonly lookFirst: readonly { readonly id: string; readonly name: string; readonly why: string }[];
  /** Ideas that pupils hold and their group does not work on, those of most first: a follow-up at their own pace. */
  readonly besides: readonly FollowUp[];
}

/** A few questions at their own pace for those who hold an idea that their group does not work on. */
export interface FollowUp {
  readonly idea: MisconceptionId;
  /** On which it was seen most. */
  readonly rung: RungId;
  readonly pupils: readonly { readonly id: string; readonly name: string }[];
}

/** A pupil whom the teacher put into a group. */
export interface Moved {
  readonly pupilId: string;
  readonly key: GroupKey;
}

export const MOST_GROUPS = 4;
/** Ideas that a group works on besides its own at most: more would be no lesson about any of them. */
const MOST_ALSO = 2;
/** With fewer answers nothing is proposed for a pupil. */
const LEAST_ANSWERS = 4;
/** So many of a group are sure of something that it is said of the group. */
const MOSTLY = 0.6;
/** So little speaks for going on while there is something to work on. */
const UNLIKELY = 0.05;
/** Somebody who was not heard of for so long is looked at first. */
const SILENT_DAYS = 28;

/** A group that a pupil could be in, and how much speaks for it. */
interface Option {
  readonly key: GroupKey;
  readonly weight: number;
}

/**
 * Groups for the next lesson: at most four, by ideas that pupils share, then by the rung that they stand on. The ideas of most
 * pupils are taken first, each pupil goes where most speaks for it, and whoever the teacher moved is where they were put.
 */
export function groupsFor(picture: ClassPicture, moves: readonly Moved[] = []): Groups {
  const moved = new Map(moves.map(({ pupilId, key }) => [pupilId, key]));
  const lookFirst = picture.pupils.flatMap((pupil) => {
    const why = moved.has(pupil.id) ? null : whyLookFirst(pupil, picture.nowMs);
    return why === null ? [] : [{ id: pupil.id, name: pupil.name, why }];
  });
  const unknown = new Set(lookFirst.map(({ id }) => id));
  const placed = picture.pupils
    .filter(({ id }) => !unknown.has(id))
    .map((pupil) => ({ pupil, options: optionsOf(pupil, picture), own: moved.get(pupil.id) ?? null }));
  const keys = chosenKeys(placed);
  const also = alsoWorkedOn(
    placed.flatMap(({ own, options }) => (own === null ? [options] : [])),
    keys,
    picture,
  );
  const members = new Map<GroupKey, (typeof placed)[number][]>(keys.map((key) => [key, []]));
  for (const one of placed) members.get(one.own ?? bestKey(takenIn(one.options, also), keys))!.push(one);
  const groups = [...members]
    .filter(([, list]) => list.length > 0)
    .map(([key, list]) => groupOf(key, list.map(({ pupil, own }) => ({ pupil, isMoved: own !== null })), also.get(key) ?? [], picture)); // prettier-ignore
  return { groups: groups.sort((one, other) => orderOf(one.key) - orderOf(other.key)), lookFirst, besides: besidesOf(groups, picture) };
}

/** Ideas that were said of pupils and that no group is for, taken in by the group whose idea shows on a rung nearest to theirs. */
function alsoWorkedOn(
  free: readonly (readonly Option[])[],
  keys: readonly GroupKey[],
  { ideas }: ClassPicture,
): ReadonlyMap<GroupKey, readonly MisconceptionId[]> {
  const also = new Map<GroupKey, MisconceptionId[]>();
  const ideaKeys = keys.filter((key) => key.startsWith('idea:'));
  const rungsOf = (id: MisconceptionId) => {
    const holders = ideas.find((one) => one.id === id)?.holders ?? [];
    return holders.length === 0 ? 0 : RUNG_IDS.indexOf(mostOf(holders.map(({ rung }) => rung)));
  };
  const left = free.filter((options) => !options.some(({ key }) => ideaKeys.includes(key)));
  const counts = new Map<MisconceptionId, number>();
  for (const options of left) for (const { key } of options) if (key.startsWith('idea:')) counts.set(ideaOf(key), (counts.get(ideaOf(key)) ?? 0) + 1); // prettier-ignore
  for (const [id] of [...counts].sort((one, other) => other[1] - one[1])) {
    const open = ideaKeys.filter((key) => (also.get(key)?.length ?? 0) < MOST_ALSO);
    if (open.length === 0) break;
    const far = (key: GroupKey) => Math.abs(rungsOf(ideaOf(key)) - rungsOf(id));
    const nearest = open.reduce((best, key) => (far(key) < far(best) ? key : best));
    also.set(nearest, [...(also.get(nearest) ?? []), id]);
  }
  return also;
}

const ideaOf = (key: GroupKey): MisconceptionId => key.slice('idea:'.length) as MisconceptionId;

/** The options of a pupil with an idea that a group takes in counted for that group. */
function takenIn(options: readonly Option[], also: ReadonlyMap<GroupKey, readonly MisconceptionId[]>): readonly Option[] {
  return options.map(({ key, weight }) => {
    const into = [...also].find(([, ids]) => ids.some((id) => key === `idea:${id}`));
    return into ? { key: into[0], weight } : { key, weight };
  });
}

/** What pupils hold besides what their group works on. */
function besidesOf(groups: readonly Group[], { ideas }: ClassPicture): readonly FollowUp[] {
  const workedOn = new Map(groups.flatMap(({ key, also, pupils: list }) => list.map(({ id }) => [id, [...(key.startsWith('idea:') ? [ideaOf(key)] : []), ...also]] as const))); // prettier-ignore
  const left = ideas.flatMap(({ id, holders }): FollowUp[] => {
    const others = holders.filter(({ pupilId }) => workedOn.get(pupilId)?.includes(id) === false);
    return others.length === 0
      ? []
      : [{ idea: id, rung: mostOf(others.map(({ rung }) => rung)), pupils: others.map(({ pupilId, name }) => ({ id: pupilId, name })) }];
  });
  return left.sort((one, other) => other.pupils.length - one.pupils.length);
}

/** Ideas stand first, who goes on last. */
const orderOf = (key: GroupKey) => (key.startsWith('idea:') ? 0 : key.startsWith('rung:') ? 1 : 2);

function whyLookFirst({ answers, lastMs }: PupilPicture, nowMs: number): string | null {
  if (lastMs === null || answers === 0) return 'has not answered anything yet';
  if (answers < LEAST_ANSWERS) return `${answers === 1 ? 'one answer' : `${answers} answers`} so far`;
  const days = Math.floor((nowMs - lastMs) / MS_PER_DAY);
  return days > SILENT_DAYS ? `not heard of for ${Math.floor(days / 7)} weeks` : null;
}

function optionsOf(pupil: PupilPicture, { rungs }: ClassPicture): Option[] {
  const ideas = pupil.diagnosis.ideas.filter(isHeld).map((one): Option => ({ key: `idea:${one.id}`, weight: one.probability }));
  const [rung] = openRungs(pupil);
  const top = rungs.filter((id) => RUNGS[id].byMinutes).at(-1) ?? rungs.at(-1) ?? 'whole-hours';
  const next = rungAfter(top) ?? top;
  const further: Option[] = [
    ...(rung ? [{ key: `rung:${rung}` as const, weight: 0.4 }] : []),
    { key: `next:${next}`, weight: rung || ideas.length > 0 ? UNLIKELY : 0.4 },
  ];
  return [...ideas, ...further];
}

/** At most four: those of the teacher, one for each way without an idea that is needed, and the ideas of most pupils. */
function chosenKeys(placed: readonly { readonly options: readonly Option[]; readonly own: GroupKey | null }[]): GroupKey[] {
  const keys = new Set(placed.flatMap(({ own }) => (own ? [own] : [])));
  const free = placed.filter(({ own }) => own === null);
  const first = ({ options }: { readonly options: readonly Option[] }) =>
    options.reduce((best, one) => (one.weight > best.weight ? one : best)).key;
  for (const prefix of ['rung:', 'next:']) {
    const wanted = free.map(first).filter((key) => key.startsWith(prefix));
    // Of several rungs the one of most: the others are close by, and need not be a group of their own.
    if (wanted.length > 0 && keys.size < MOST_GROUPS && ![...keys].some((key) => key.startsWith(prefix))) keys.add(mostOf(wanted));
  }
  const covered = (options: readonly Option[]) => options.some(({ key }) => key.startsWith('idea:') && keys.has(key));
  while (keys.size < MOST_GROUPS) {
    const weights = new Map<GroupKey, number>();
    for (const { options } of free) {
      if (covered(options)) continue;
      for (const { key, weight } of options) if (key.startsWith('idea:')) weights.set(key, (weights.get(key) ?? 0) + weight);
    }
    if (weights.size === 0) break;
    keys.add([...weights].reduce((best, one) => (one[1] > best[1] ? one : best))[0]);
  }
  if (keys.size === 0) keys.add('next:whole-hours');
  return [...keys];
}

/**
 * Of the groups that there are the one for which most speaks. Whoever has an idea or a rung to work on that none of them is for
 * practises with the others, and does not go on.
 */
function bestKey(options: readonly Option[], keys: readonly GroupKey[]): GroupKey {
  const own = options.filter(({ key, weight }) => keys.includes(key) && weight > UNLIKELY);
  if (own.length > 0) return own.reduce((best, one) => (one.weight > best.weight ? one : best)).key;
  const practises = options.some(({ key, weight }) => !key.startsWith('next:') && weight > UNLIKELY);
  return keys.find((key) => key.startsWith(practises ? 'rung:' : 'next:')) ?? keys.find((key) => !key.startsWith('idea:')) ?? keys.at(-1)!;
}

function groupOf(
  key: GroupKey,
  members: readonly { readonly pupil: PupilPicture; readonly isMoved: boolean }[],
  also: readonly MisconceptionId[],
  picture: ClassPicture,
): Group {
  const pupils = members.map(({ pupil, isMoved }) => ({ id: pupil.id, name: pupil.name, moved: isMoved }));
  const ids = new Set(pupils.map(({ id }) => id));
  const [kind, id] = key.split(':') as [string, string];
  const ideas = likelyIn(members.map(({ pupil }) => pupil));
  if (kind === 'idea') {
    const idea = id as MisconceptionId;
    const worked = [idea, ...also];
    const holders = picture.ideas.filter((one) => worked.includes(one.id)).flatMap((one) => one.holders.filter(({ pupilId }) => ids.has(pupilId))); // prettier-ignore
    const rung = holders.length > 0 ? mostOf(holders.map((one) => one.rung)) : (picture.rungs.at(-1) ?? 'whole-hours');
    const nextMove = worked.map((one) => misconceptionOf(one).nextMove).join(' ');
    const others = ideas.filter((one) => !worked.includes(one.id));
    return {
      key,
      name: misconceptionOf(idea).name,
      rung,
      pupils,
      reason: ideaReason(holders),
      nextMove,
      also,
      ideas: [...worked.map((one) => ({ id: one, weight: Math.max(1, holders.length) })), ...others],
    };
  }
  const rung = id as RungId;
  const { name } = RUNGS[rung];
  const usual = RUNGS[rung].misconceptions.map((one, place) => ({ id: one, weight: 0.3 / (1 + place) }));
  const all = [...ideas, ...usual.filter((one) => !ideas.some((known) => known.id === one.id))];
  return kind === 'rung'
    ? { key, name: `${name}, once more`, rung, pupils, also: [], reason: rungReason(rung, members), nextMove: `Examples of ${name.toLowerCase()} with the minute ring on, then without it; each pupil sets and reads.`, ideas: all } // prettier-ignore
    : { key, name: `Ready for ${name.toLowerCase()}`, rung, pupils, also: [], reason: nextReason(members), nextMove: `Begin ${name.toLowerCase()}: sweep to it and back, then the first examples.`, ideas: all }; // prettier-ignore
}

/** Ideas of some pupils, each counted by how sure it is, those that are worth a question. */
function likelyIn(pupils: readonly PupilPicture[]): LikelyIdea[] {
  const weights = new Map<MisconceptionId, number>();
  for (const { diagnosis } of pupils) {
    for (const { id, probability } of diagnosis.ideas) weights.set(id, (weights.get(id) ?? 0) + probability);
  }
  return [...weights]
    .map(([id, weight]) => ({ id, weight }))
    .filter(({ weight }) => weight >= 0.2)
    .sort((one, other) => other.weight - one.weight);
}

function ideaReason(holders: ClassPicture['ideas'][number]['holders']): string {
  if (holders.length === 0) return 'You put these pupils together; their answers do not show this idea.';
  const sum = (of: (one: (typeof holders)[number]['finding']) => number) => holders.reduce((total, { finding }) => total + of(finding), 0);
  const settled = holders.filter(({ finding }) => finding.sureness === 'settled').length;
  const how =
    settled === holders.length ? 'settled' : settled === 0 ? 'likely' : `settled for ${settled}, likely for ${holders.length - settled}`;
  return `Seen in ${sum(({ hits }) => hits)} of ${sum(({ chances }) => chances)} answers that could show it: ${how}.`;
}

function rungReason(rung: RungId, members: readonly { readonly pupil: PupilPicture }[]): string {
  const withIdea = members.filter(({ pupil }) => pupil.diagnosis.ideas.some(isHeld)).length;
  const others = members.filter(({ pupil }) => !pupil.diagnosis.ideas.some(isHeld));
  const count = (word: string) => others.filter(({ pupil }) => pupil.mastery[rung]?.word === word).length;
  const [nearly, partly, notYet] = [count('nearly'), count('partly'), count('not-yet')];
  const elsewhere = others.length - nearly - partly - notYet;
  const there = [
    nearly > 0 ? `nearly there for ${nearly}` : '',
    partly > 0 ? `there now and then for ${partly}` : '',
    notYet > 0 ? `not yet there for ${notYet}` : '',
  ].filter(Boolean);
  const parts = [
    there.length > 0 ? `${RUNGS[rung].name} is ${there.join(', ')}` : '',
    elsewhere > 0 ? `${elsewhere} ${elsewhere === 1 ? 'is' : 'are'} on a rung close by` : '',
    withIdea > 0 ? `${withIdea} ${withIdea === 1 ? 'has an idea of their own' : 'have ideas of their own'} to work on` : '',
  ];
  return `${parts.filter(Boolean).join('; ')}.`;
}

function nextReason(members: readonly { readonly pupil: PupilPicture }[]): string {
  const shareSure = (id: RungId) => {
    const words = members.flatMap(({ pupil }) => pupil.mastery[id]?.word ?? []).filter((word) => word !== 'too-few');
    return words.length === 0 ? 0 : words.filter((word) => word === 'sure').length / words.length;
  };
  const known = RUNG_IDS.filter((id) => shareSure(id) >= MOSTLY).slice(-2);
  if (known.length === 0) return 'No wrong idea shows, and what was asked last is sure.';
  const names = known.map((id) => RUNGS[id].name.toLowerCase()).join(' and ');
  return `${known.every((id) => shareSure(id) === 1) ? 'Sure' : 'Mostly sure'} of ${names}, and no wrong idea shows.`;
}
