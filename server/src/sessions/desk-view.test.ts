import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import type { DeskView } from '@zeitpunkt/contract';
import { reading, respond, type Browser, schoolWithRoom, type SchoolWithRoom } from '../testing/school.js';

let [school, , room] = [] as unknown as SchoolWithRoom;
beforeEach(async () => ([school, , room] = await schoolWithRoom()));
afterEach(() => school.remove());

describe('what a desk is told', () => {
  test('nothing of the key at any step before the reveal, and the pupil’s own mark after it', async () => {
    const [anouk, bashir] = [await room.join('Anouk'), await room.join('Bashir')];
    const line = await school.app.injectWS('/ws/desk', { headers: { host: 'school.test', cookie: anouk.cookie } });
    const pushed = () =>
      new Promise<DeskView>((resolve) => {
        line.on('message', function hear(data) {
          const message = JSON.parse(String(data)) as { type: string; view: DeskView };
          if (message.type !== 'view') return;
          line.off('message', hear);
          resolve(message.view);
        });
      });
    await room.tell({ type: 'begin' });
    const { steps } = prepareLesson(room.detail.lesson);
    for (const { beat, ref } of steps) {
      await room.tell({ type: 'go', to: ref });
      if (beat.kind === 'ask' && beat.itemId === 'q1') {
        await respond(anouk, reading('8', '30'));
        await respond(bashir, reading('7', '30'));
      }
      const view = (await anouk.send('GET', '/api/desk')).json<DeskView>();
      const text = JSON.stringify(view);
      // What is pushed is put together from texts that all desks share, and says the same.
      line.send('{"type":"sync"}');
      expect(await pushed()).toEqual(view);
      if (beat.kind === 'ask' || beat.kind === 'think') {
        expect(view.question?.reveal).toBeNull();
        expect(text).not.toMatch(/verdict|misconception|sayToPupil|timeSec|half past seven|7:30|"7"/);
      }
      if (beat.kind === 'answer' && beat.itemId === 'q1') {
        expect(view.question!.reveal).toMatchObject({
          stage: { display: { hour: '7', minute: '30' }, words: ['half past seven', 'seven thirty'] },
          own: { verdict: 'partly', sayToPupil: expect.stringContaining('short hand') },
        });
      }
      expect(text).not.toContain('Bashir');
      expect(view.stage?.beat?.text ?? '').toBe('');
    }
  });
});

test('leaping from the question over its answer does not show it, on whatever step the teacher lands', async () => {
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q3');
  const { steps } = prepareLesson(room.detail.lesson);
  await room.tell({ type: 'go', to: steps.at(-1)!.ref });
  const hidden = JSON.stringify((await anouk.send('GET', '/api/desk')).json());
  expect(hidden).not.toMatch(/"hour":"9"|nine thirty|half past nine|has passed 9|Deg":285/);
  await room.goTo('answer', 'q3');
  await room.tell({ type: 'go', to: steps.at(-1)!.ref });
  expect(JSON.stringify((await anouk.send('GET', '/api/desk')).json())).toMatch(/"hour":"9"/);
});

describe('beside the script', () => {
  const ring = { type: 'numeral', numeral: 6 };
  const show = (aside: object | null) => room.tell({ type: 'aside', aside });
  const stageOf = async (pupil: Browser) => (await pupil.send('GET', '/api/desk')).json<DeskView>();

  test('desks see the hands as the teacher turns them, but a pupil who is answering keeps the question', async () => {
    const anouk = await room.join('Anouk');
    await room.tell({ type: 'begin' });
    await show({ timeSec: 16_500, marks: [ring], shows: null });
    expect(await stageOf(anouk)).toMatchObject({
      stage: { before: { dial: { pose: { hourDeg: 137.5, minuteDeg: 210 }, marks: [ring] } }, beat: null, glides: true },
    });
    await room.goTo('ask', 'q1');
    await show({ timeSec: 16_500, marks: [], shows: null });
    expect(await stageOf(anouk)).toMatchObject({ stage: null, question: { phase: 'open' } });
    await room.tell({ type: 'close', askingId: 'q1' });
    expect(await stageOf(anouk)).toMatchObject({ stage: { before: { dial: { pose: { minuteDeg: 210 } } } }, question: null });
    await show(null);
    expect(await stageOf(anouk)).toMatchObject({ stage: null, question: { phase: 'closed' } });
  });

  test('marks lie on top of what the script plays, and are there after a restart', async () => {
    const anouk = await room.join('Anouk');
    await room.tell({ type: 'begin' });
    await room.tell({ type: 'go', to: prepareLesson(room.detail.lesson).steps.find(({ beat }) => beat.kind === 'sweep')!.ref });
    await show({ timeSec: null, marks: [ring], shows: null });
    await school.stop();
    await school.start();
    expect(await stageOf(anouk)).toMatchObject({ stage: { beat: { kind: 'sweep' }, marks: [ring], glides: false } });
  });

  test('marks that are none, a time out of the day and too many marks are refused, and nothing changes', async () => {
    await room.tell({ type: 'begin' });
    for (const [aside, place] of [
      [{ timeSec: 86_400, marks: [], shows: null }, 'timeSec'],
      [{ timeSec: null, marks: [{ type: 'numeral', numeral: 13 }], shows: null }, 'marks'],
      [{ timeSec: null, marks: Array(21).fill(ring), shows: null }, 'marks'],
      [{ marks: [], shows: null }, 'timeSec'],
    ] as const)
      expect((await show(aside)).json()).toMatchObject({ code: 'REQUEST_SHAPE', detail: expect.stringContaining(place) });
    expect((await room.live()).room.aside).toBeNull();
  });
});
