import { randomUUID } from 'node:crypto';
import type { ReviewNotes } from '@zeitpunkt/contract';
import { heavyTasks } from '../../work/tasks.js';
import { workInPlace, type Work } from '../../work/work.js';
import { respond, schoolWithRoom, TestRoom, type Browser, type SchoolWithRoom } from '../../testing/school.js';

let [school, teacher, room] = [] as unknown as SchoolWithRoom;
beforeEach(async () => ([school, teacher, room] = await schoolWithRoom()));
afterEach(() => school.remove());

const codeOf = (reply: { json: () => { code: string } }) => reply.json().code;
const ofClass = (path: string, body?: object, who: Browser = teacher) =>
  who.send('POST', `/api/classes/${room.detail.classId}/${path}`, body);
/** A lesson in which half past seven is written in words. */
async function wordsLesson(): Promise<string> {
  const lessons = (await teacher.send('GET', '/api/lessons')).json<{ id: string }[]>();
  const source = (await teacher.send('GET', `/api/lessons/${lessons[0]!.id}`)).json();
  const item = { id: 'w1', kind: 'write-words', timeSec: 27_000, from: 'display', lines: 1 };
  const file = { ...source.lesson, title: 'In words', items: [item], beats: [{ id: 'b1', kind: 'ask', itemId: 'w1', text: '' }, { id: 'b2', kind: 'answer', itemId: 'w1' }] }; // prettier-ignore
  return (await teacher.send('POST', '/api/lessons/files', { id: randomUUID(), file })).json<{ id: string }>().id;
}
async function write(pupil: Browser, words: string): Promise<string> {
  const post = { id: randomUUID(), askingId: 'w1', response: { kind: 'write-words', lines: [words] }, responseTimeMs: 3000 };
  await respond(pupil, post);
  return post.id;
}
const marksOf = async (of: TestRoom) => (await of.live()).responses.map(({ mark }) => mark.verdict);

test('a wording that is let count is right in every answer of the class that says so, and in those to come', async () => {
  const lessonId = await wordsLesson();
  const first = await TestRoom.open(school, teacher, lessonId);
  const [anouk, bashir] = [await first.join('Anouk'), await first.join('Bashir')];
  await first.goTo('ask', 'w1');
  const odd = await write(anouk, 'seven and a half');
  await write(bashir, 'half past eight');
  expect(await marksOf(first)).toEqual(['not-yet', 'not-yet']);

  const wrong = await ofClass('wordings', { id: randomUUID(), responseId: odd, wording: 'quarter to four' });
  expect(codeOf(wrong)).toBe('NOT_FOUND');
  const wordingId = randomUUID();
  const accept = { id: wordingId, responseId: odd, wording: 'seven and a half' };
  const after = (await ofClass('wordings', accept)).json<ReviewNotes>();
  expect(after.wordings).toMatchObject([{ wording: 'seven and a half', timeSec: 27_000, answers: 1 }]);
  expect(await marksOf(first)).toEqual(['right', 'not-yet']);
  const ceri = await first.join('Ceri');
  await write(ceri, 'seven and a half');
  expect(await marksOf(first)).toEqual(['right', 'not-yet', 'right']);
  expect((await ofClass('wordings', accept)).json<ReviewNotes>().wordings).toHaveLength(1);

  const second = await TestRoom.open(school, teacher, lessonId);
  const again = await second.join('Bashir');
  await second.goTo('ask', 'w1');
  await write(again, 'Seven and a half.');
  expect(await marksOf(second)).toEqual(['right']);

  const back = (await ofClass(`wordings/${wordingId}/take-back`)).json<ReviewNotes>();
  expect(back.wordings).toEqual([]);
  const { acts } = (await teacher.send('GET', '/api/acts')).json<{ acts: { act: string; about: string }[] }>();
  expect(acts.slice(0, 2)).toMatchObject([
    { act: 'wording-taken-back', about: 'seven and a half' },
    { act: 'wording-accepted', about: 'seven and a half' },
  ]);
  expect((await marksOf(first)).slice(0, 2)).toEqual(['not-yet', 'not-yet']);
  await write(anouk, 'seven and a half');
  expect((await marksOf(first)).at(-1)).toBe('not-yet');
});

test('a wording let count in one lesson counts in another that runs, also where nobody is left who said so before', async () => {
  const lessonId = await wordsLesson();
  const [first, second] = [await TestRoom.open(school, teacher, lessonId), await TestRoom.open(school, teacher, lessonId)];
  for (const one of [first, second]) await one.goTo('ask', 'w1');
  await write(await first.join('Anouk'), 'seven and a half');
  await ofClass(`pupils/${first.pupilId('Anouk')}/delete`);
  const responseId = await write(await second.join('Bashir'), 'seven and a half');
  await ofClass('wordings', { id: randomUUID(), responseId, wording: 'seven and a half' });
  await write(await first.join('Ceri'), 'seven and a half');
  expect(await marksOf(first)).toEqual(['right']);
});

test('a wording is let count by the class whose answer says it, not by another class of the same teacher', async () => {
  const first = await TestRoom.open(school, teacher, await wordsLesson());
  await first.goTo('ask', 'w1');
  const responseId = await write(await first.join('Anouk'), 'seven and a half');
  const otherId = randomUUID();
  await teacher.send('POST', '/api/classes', { id: otherId, name: 'Gannets' });
  const accept = { id: randomUUID(), responseId, wording: 'seven and a half' };
  expect(codeOf(await teacher.send('POST', `/api/classes/${otherId}/wordings`, accept))).toBe('NOT_FOUND');
  expect(await marksOf(first)).toEqual(['not-yet']);
});

test('an answer that comes while the others are looked through for a wording is marked by it, too', async () => {
  let meanwhile: () => Promise<unknown> = async () => undefined;
  await school.stop();
  await school.start((store) => {
    const work = workInPlace(heavyTasks(store));
    const ask: Work['ask'] = async (name, ...input) => {
      const found = await work.ask(name, ...input);
      if (name === 'madeRight') await meanwhile();
      meanwhile = async () => undefined;
      return found as never;
    };
    return { work: { ...work, ask } };
  });
  const lessonId = await wordsLesson();
  const first = await TestRoom.open(school, teacher, lessonId);
  const [anouk, bashir] = [await first.join('Anouk'), await first.join('Bashir')];
  await first.goTo('ask', 'w1');
  const responseId = await write(anouk, 'seven and a half');
  meanwhile = () => write(bashir, 'seven and a half');
  await ofClass('wordings', { id: randomUUID(), responseId, wording: 'seven and a half' });
  expect(await marksOf(first)).toEqual(['right', 'right']);
});
