import { signal } from '@angular/core';
import type { DeskView } from '@zeitpunkt/contract';
import { deskView } from '../../testing/desk';
import { render, until } from '../../testing/render';
import { DeskStore } from './desk-store';
import { OwnSteps } from './own-steps';
import { OwnVoice } from './own-voice';
import { VoiceClock } from './voice-clock';

// A browser without sound: the test says how far the voice has come.
let audio: FakeAudio;
class FakeAudio {
  currentTime = 0;
  playbackRate = 1;
  defaultPlaybackRate = 1;
  preservesPitch = false;
  paused = true;
  src = '';
  onended: () => void = () => undefined;
  refusal: string | null = null;
  async play() {
    if (this.refusal) throw new DOMException('', this.refusal);
    this.paused = false;
  }
  pause() {
    this.paused = true;
  }
  end() {
    this.paused = true;
    this.onended();
  }
}

const steps = ['b1', 'b2', 'b3', 'b4'].map((beatId) => ({ beatId, step: 'beat' }));
type Voice = NonNullable<NonNullable<DeskView['own']>['voice']>;
const take = (takeId: string): Voice['here'] => ({
  takeId,
  durationMs: 3000,
  cues: [
    { fromMs: 0, toMs: 1400, text: `First of ${takeId}.` },
    { fromMs: 1500, toMs: 3000, text: 'And then.' },
  ],
});
const own = (at: number, voice: Voice, change: Partial<DeskView> = {}): DeskView =>
  deskView({
    question: null,
    own: { narration: '', at, farthest: 3, steps, total: 9, done: false, lines: [], lastDay: '2026-12-04', voice },
    ...change,
  });

async function open(first = own(0, { here: take('one'), nextTakeId: 'two' })) {
  audio = new FakeAudio();
  Object.assign(globalThis, { Audio: jest.fn(() => audio) });
  URL.createObjectURL = () => 'blob:sound';
  URL.revokeObjectURL = () => undefined;
  const fetched: string[] = [];
  const line = { up: true };
  window.fetch = async (url) => {
    fetched.push(String(url).split('/').at(-1)!);
    if (!line.up) throw new TypeError('fetch failed');
    return { ok: true, blob: async () => new Blob(['sound']) } as Response;
  };
  localStorage.clear();
  const view = signal<DeskView | null>(first);
  const gone: number[] = [];
  const ways = { onceMore: signal(0), goTo: (step: number) => gone.push(step) };
  const clock = new VoiceClock();
  const screen = await render(OwnVoice, {}, [
    { provide: DeskStore, useValue: { view } },
    { provide: OwnSteps, useValue: ways },
    { provide: VoiceClock, useValue: clock },
  ]);
  const turn = async () => {
    await new Promise((resolve) => setTimeout(resolve, 5));
    await screen.settled();
  };
  const listen = async () => {
    await screen.press('Listen');
    await turn();
  };
  return { ...screen, view, gone, fetched, clock, line, turn, listen };
}

test('until the first press all words are read and the stage moves by itself; then it goes along with the voice, and on at its end', async () => {
  const { listen, clock, gone, fetched, view, turn, find } = await open();
  expect([clock.elapsedMs(), clock.speaks(), find.queryByText('First of one.')]).toEqual([null, false, null]);
  expect(fetched).toEqual(['two']); // the next one is fetched ahead
  await listen();
  expect(fetched).toEqual(['two', 'one']);
  expect([clock.speaks(), find.queryByText('First of one.') !== null]).toEqual([true, true]);
  audio.currentTime = 1.6;
  expect(clock.elapsedMs()!()).toBe(1600);
  await until(() => find.queryByText('And then.') !== null);
  audio.end();
  await until(() => gone.length === 1);
  expect(gone).toEqual([1]);
  audio.currentTime = 0;
  view.set(own(1, { here: take('two'), nextTakeId: null }));
  await turn();
  expect(audio.paused).toBe(false); // no second press
  expect(find.getByText('First of two.')).toBeTruthy();
  expect(fetched).toEqual(['two', 'one']);
});

test('at a question it stops, also at one that is being answered; and once the last step is said', async () => {
  const question = { askingId: 'q1', phase: 'open' } as DeskView['question'];
  const { listen, gone, view, turn } = await open(own(3, { here: take('one'), nextTakeId: null }, { question }));
  await listen();
  audio.end();
  await new Promise((resolve) => setTimeout(resolve, 600));
  expect(gone).toEqual([]);
  view.set(own(2, { here: null, nextTakeId: null }));
  await turn();
  expect(audio.paused).toBe(true);
});

test('slower is 0.8 of the pace with the voice as high as before, and stays so; again begins anew', async () => {
  const { listen, press, turn, find } = await open();
  await press('Slower');
  await listen();
  expect([audio.playbackRate, audio.preservesPitch]).toEqual([0.8, true]);
  await press('Slower');
  expect(audio.playbackRate).toBe(1);
  await press('Pause');
  expect(audio.paused).toBe(true);
  await press('Again');
  await turn();
  expect(audio.paused).toBe(false);
  await press('Captions');
  expect(find.queryByText('First of one.')).toBeNull();
  expect(localStorage.getItem('zp-captions')).toBe('off');
});

test('a device that cannot play it says so and shows the words; a lost line is waited for', async () => {
  const { listen, find, clock, line, view, turn } = await open();
  audio.refusal = 'NotSupportedError';
  await listen();
  expect(find.getByRole('alert').textContent).toContain('This device cannot play the voice');
  expect(clock.speaks()).toBe(false);
  line.up = false;
  audio.refusal = null;
  view.set(own(1, { here: take('three'), nextTakeId: null }));
  await turn();
  expect(find.getByRole('status').textContent).toContain('Waiting for the line');
});

test('whoever stops the voice has all words again, here and at the next step, until it is wished for', async () => {
  const { listen, press, clock, view, turn } = await open();
  await listen();
  audio.currentTime = 1;
  await press('Pause');
  expect([clock.speaks(), clock.elapsedMs()!()]).toEqual([false, 1000]); // the stage stands where the voice does
  view.set(own(1, { here: take('two'), nextTakeId: null }));
  await turn();
  expect([audio.paused, clock.speaks(), clock.elapsedMs()]).toEqual([true, false, null]);
  await listen();
  expect([audio.paused, clock.speaks()]).toEqual([false, true]);
});
