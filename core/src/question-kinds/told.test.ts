import { RUNG_IDS, RUNGS } from '../ladder/registry.js';
import { DEFAULT_SETTINGS, type LessonSettings } from '../lesson/settings.js';
import { MISCONCEPTION_IDS } from '../misconceptions/registry.js';
import { actsOf } from '../misconceptions/distorted-acts.js';
import { seededRng } from '../random/rng.js';
import { markOf } from './marking.js';
import { NOT_SURE } from './not-sure.js';
import { QUESTION_KINDS, kindOf, type Item, type KindResponse, type QuestionKindId, type Response } from './registry.js';

/**
 * A reader of its own for what pupils are told of their own answers: it knows the sentences that praise or place something, and
 * compares each with the answer by what is written in it, not by how it was marked.
 */
interface Told {
  readonly item: Item;
  readonly given: Response;
  readonly key: KindResponse;
  readonly said: string;
}

interface Digits {
  readonly hour: string;
  readonly minute: string;
}
interface Hands {
  readonly hourDeg: number;
  readonly minuteDeg: number;
}

const apart = (a: number, b: number, round: number) => Math.min((((a - b) % round) + round) % round, (((b - a) % round) + round) % round);
const typed = ({ given, key }: Told) => [given, key] as unknown as [Digits, Digits];
const posed = ({ given, key }: Told) => [given, key] as unknown as [Hands, Hands];
const isTurned = ({ hourDeg, minuteDeg }: Hands) => hourDeg !== 0 || minuteDeg !== 0;
const sameMinutes = (told: Told) => {
  const [given, key] = typed(told);
  const within = told.item.kind === 'hour-hand-alone' ? 10 : 0;
  return given.minute !== '' && apart(Number(given.minute), Number(key.minute), 60) <= within;
};
const sameHour = (told: Told) => {
  const [given, key] = typed(told);
  return given.hour !== '' && Number(given.hour) % 12 === Number(key.hour) % 12;
};
const isRight = ({ item, given }: Told, settings: LessonSettings) => markOf(item, given, settings).verdict.startsWith('right');

/** What each sentence claims; a sentence with praise in it that none of them reads fails the test. */
const CLAIMS: readonly (readonly [RegExp, (told: Told, settings: LessonSettings) => boolean])[] = [
  [/Your minutes are right|Deine Minuten stimmen/, sameMinutes],
  [/Your hour is right|Deine Stunde stimmt/, sameHour],
  [/Both hands are in place|Beide Zeiger stehen richtig/, (told) => {
    const [given, key] = posed(told);
    return apart(given.hourDeg, key.hourDeg, 360) <= 3 && apart(given.minuteDeg, key.minuteDeg, 360) <= 3;
  }], // prettier-ignore
  [/belongs a little further on|noch ein Stück weiter/, (told) => {
    const [given, key] = posed(told);
    return (((key.hourDeg - given.hourDeg) % 360) + 360) % 360 < 15 && apart(given.hourDeg, key.hourDeg, 360) > 3;
  }], // prettier-ignore
  [/belongs a little further back|noch ein Stück zurück/, (told) => {
    const [given, key] = posed(told);
    return (((given.hourDeg - key.hourDeg) % 360) + 360) % 360 < 15 && apart(given.hourDeg, key.hourDeg, 360) > 3;
  }], // prettier-ignore
  [/Your long hand is right|Dein langer Zeiger stimmt/, (told) => {
    const [given, key] = posed(told);
    return isTurned(given) && apart(given.minuteDeg, key.minuteDeg, 360) <= 3;
  }], // prettier-ignore
  [/Your short hand is right|Dein kurzer Zeiger stimmt/, (told) => {
    const [given, key] = posed(told);
    return isTurned(given) && apart(given.hourDeg, key.hourDeg, 360) <= 12;
  }], // prettier-ignore
  [/minutes always have two digits(?!:)|Minuten haben immer zwei Ziffern(?!:)/, (told) => sameHour(told) && typed(told)[0].minute.length === 1],
  [/The time is right\. After 12|Die Zeit stimmt\. Nach 12/, (told) => !(Number(typed(told)[0].hour) >= 1 && Number(typed(told)[0].hour) <= 12)],
  [/That is the right time|Die Zeit stimmt\. Eine 12/, (told) => sameHour(told) && sameMinutes(told)],
  [/Today we write it in words|Heute schreiben wir sie in Wörtern|on the second line|in der zweiten Zeile/, ({ given }) => 'lines' in given && given.lines.some((line) => line !== '')],
  [/Some of it is right|Some of yours are right|Etwas davon stimmt|Einige von deinen stimmen/, ({ item, given, key }) => sharesSomething(item, given, key)],
  [/^(Yes|Ja)\b/, isRight],
  [/^Good that you told me|^Gut, dass du es sagst/, ({ given }) => given === NOT_SURE],
]; // prettier-ignore

/** Whether any part of an answer with several parts is as it should be. */
function sharesSomething(item: Item, given: Response, key: KindResponse): boolean {
  if ('chosen' in given && 'chosen' in key) return given.chosen.some((place) => key.chosen.includes(place));
  if ('pairs' in given && 'pairs' in key) return given.pairs.some((one, place) => one !== null && one === key.pairs[place]);
  if ('values' in given && 'values' in key)
    return given.values.some((one, place) => one !== '' && Number(one) === Number(key.values[place]));
  if ('order' in given && 'order' in key) {
    const gone = (list: readonly number[], out: number) => list.filter((one) => one !== out).join();
    return key.order.some((out) => gone(key.order, out) === gone(given.order, out));
  }
  if ('times' in given && 'times' in key)
    return given.times.some((one, place) => Number(one.minute || NaN) === Number(key.times[place]!.minute) || Number(one.hour || NaN) === Number(key.times[place]!.hour)); // prettier-ignore
  if ('lines' in given) return given.lines.some((line) => line !== '');
  throw new Error(`${item.kind} says that some of it is right`);
}

const PRAISE = /\b(right|Yes|in place|stimmt|stimmen|richtig|Ja,|good|Well done|You have|has its)\b/;
/** Sentences that speak of right and wrong without praising anything. */
const NO_PRAISE = /on the right\.|von rechts|rechten?\b/;

function answersTo(item: Item, settings: LessonSettings, rng: () => number): Response[] {
  const kind = kindOf(item);
  const answers: Response[] = [NOT_SURE, kind.keyOf(item, settings)];
  for (const id of MISCONCEPTION_IDS) answers.push(...kind.predict(item, actsOf([id], settings), settings));
  for (let draw = 0; draw < 4; draw++) answers.push(kind.slip(item, rng, settings));
  const view = kind.viewOf(item, settings);
  if (view.shape === 'time') {
    const key = kind.keyOf(item, settings) as unknown as Digits & { kind: 'read-dial' };
    for (const change of [{ minute: '' }, { hour: '' }, { minute: String(Number(key.minute)) }, { hour: String(Number(key.hour) + 12) }, { hour: '0' }])
      answers.push({ ...key, ...change } as Response); // prettier-ignore
  }
  if (view.shape === 'pose') {
    const key = kind.keyOf(item, settings) as unknown as Hands & { kind: 'set-dial' };
    answers.push({ kind: 'set-dial', hourDeg: 0, minuteDeg: 0 });
    if (view.hands === 'free')
      for (const off of [-11, -7, -4, 2, 5, 9, 13])
        answers.push({ kind: 'set-dial', hourDeg: (key.hourDeg + off + 360) % 360, minuteDeg: key.minuteDeg });
  }
  return answers.filter((given) => given === NOT_SURE || kind.isPossible(item, given as KindResponse, settings));
}

const SCHOOLS: readonly LessonSettings[] = [
  DEFAULT_SETTINGS,
  { ...DEFAULT_SETTINGS, pack: 'en-US', strictness: 'exact', readingOrder: 'minute-first', betweenRule: 'step-back' },
  { ...DEFAULT_SETTINGS, pack: 'de', separator: '.', strictness: 'proportion', betweenRule: 'zone' },
];

test.each(Object.keys(QUESTION_KINDS) as QuestionKindId[])('%s: what is said of an answer is true of that answer', (kindId) => {
  const wrong = new Set<string>();
  for (const settings of SCHOOLS) {
    for (const rung of RUNG_IDS.filter((id) => RUNGS[id].kinds.includes(kindId))) {
      for (let seed = 1; seed <= 6; seed++) {
        const rng = seededRng(seed * 31);
        const item = QUESTION_KINDS[kindId].make('q', rng, RUNGS[rung], settings) as Item;
        const key = kindOf(item).keyOf(item, settings);
        for (const given of answersTo(item, settings, rng)) {
          const { sayToPupil: said } = markOf(item, given, settings);
          const told: Told = { item, given, key, said };
          const read = CLAIMS.filter(([pattern]) => pattern.test(said));
          if (read.length === 0 && PRAISE.test(said) && !NO_PRAISE.test(said)) wrong.add(`not read: ${said}`);
          for (const [, holds] of read) if (!holds(told, settings)) wrong.add(`${said} of ${JSON.stringify(given)}, key ${JSON.stringify(key)}`); // prettier-ignore
          // Asked on the pupil's own hands, “which numeral has it passed?” would be answered with the mistake.
          if (kindId === 'set-dial' && /numeral has it passed|Zahl ist er vorbei/i.test(said) && !/your own clock|eigene Uhr/.test(said) && given !== NOT_SURE) wrong.add(`asks back: ${said}`); // prettier-ignore
        }
      }
    }
  }
  expect([...wrong].slice(0, 8)).toEqual([]);
});
