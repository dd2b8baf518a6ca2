import { TestBed } from '@angular/core/testing';
import { fireEvent } from '@testing-library/dom';
import { provideRouter, Router } from '@angular/router';
import { provideState, provideStore } from '@ngrx/store';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { dayOf, daysOn } from '@zeitpunkt/core/series/school-days';
import type { Take } from '@zeitpunkt/core/voice/take';
import { voicedSteps } from '@zeitpunkt/core/voice/takes-of';
import { fingerprintOf } from '@zeitpunkt/core/voice/fingerprint';
import { authFeature } from '../../state/auth';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { sessionDetail } from '../../testing/session';
import { Give } from './give';

const { lesson } = sessionDetail();
const GIVE = 'POST /api/own-pace';
const TODAY = dayOf(Date.now());
const pupil = (name: string, change: object = {}) => ({ id: name, name, reference: null, leftAtMs: null, cardAtMs: null, ...change });

async function open(takes: readonly Take[] = [], address: object = {}) {
  const server = new FakeServer({
    'GET /api/lessons/l1': { id: 'l1', revision: 1, lesson },
    'GET /api/classes': [
      { id: 'c1', name: 'Terns', pupilCount: 3 },
      { id: 'c2', name: 'Gulls', pupilCount: 1 },
    ],
    'GET /api/classes/c1': { pupils: [pupil('Anouk', { cardAtMs: 5 }), pupil('Bashir'), pupil('Ceri'), pupil('Dov', { leftAtMs: 5 })] },
    'GET /api/classes/c2': { pupils: [pupil('Elin')] },
    'GET /api/lessons/l1/recording': { takes },
    [GIVE]: { id: 'o1' },
  });
  const screen = await render(Give, { id: 'l1', ...address }, [provideRouter([]), provideStore(), provideState(authFeature)]);
  await until(() => screen.find.queryByRole('button', { name: /^Give it to [1-9]/ }) !== null);
  const went = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  const tick = async (name: RegExp) => {
    fireEvent.click(screen.find.queryByRole('radio', { name }) ?? screen.find.getByRole('checkbox', { name }));
    await screen.settled();
  };
  return { ...screen, server, went, tick };
}

test('unless something else is said it is given to the whole class for a week, by card, and then looked on at', async () => {
  const { press, server, went, page } = await open();
  expect(textOf(page)).toContain('Nothing is recorded for this lesson');
  await press('Give it to 3 pupils');
  await until(() => went.mock.calls.length > 0);
  expect(server.sent(GIVE)).toEqual([
    {
      id: expect.stringMatching(/^[0-9a-f-]{36}$/),
      lessonId: 'l1',
      classId: 'c1',
      pupilIds: null,
      firstDay: TODAY,
      lastDay: daysOn(TODAY, 7),
      byKey: false,
      voice: false,
    },
  ]);
  expect(went).toHaveBeenCalledWith(['/own-pace', 'o1']);
});

test('whom the address names are chosen already', async () => {
  const { press, server, went } = await open([], { of: 'c1', to: 'Anouk,Ceri,nobody' });
  await press('Give it to 2 pupils');
  await until(() => went.mock.calls.length > 0);
  expect(server.sent(GIVE)).toEqual([expect.objectContaining({ classId: 'c1', pupilIds: ['Anouk', 'Ceri'] })]);
});

test('some pupils alone get it, those without a join card are counted, and another class begins anew', async () => {
  const { press, server, went, tick, find, page, settled, choose } = await open();
  await tick(/^these pupils/);
  expect(find.getByRole<HTMLButtonElement>('button', { name: 'Give it to 0 pupils' }).disabled).toBe(true);
  await tick(/^Anouk/);
  await tick(/^Bashir/);
  await tick(/^by join card alone/);
  expect(textOf(page)).toContain('1 of them has no join card yet.');
  await press('Give it to 2 pupils');
  await until(() => went.mock.calls.length > 0);
  expect(server.sent(GIVE)).toMatchObject([{ pupilIds: ['Anouk', 'Bashir'], byKey: false }]);
  await choose('Class', /^Puffins|c2|.*, 1 pupil/);
  await until(() => find.queryByRole('checkbox', { name: /^Elin/ }) !== null);
  await settled();
  expect(find.getByRole('button', { name: 'Give it to 0 pupils' })).toBeTruthy();
});

test('a recorded voice leads through it, but for steps that were changed since; it can be left out', async () => {
  const prepared = prepareLesson(lesson);
  const spoken = voicedSteps(prepared, []).map(({ step }) => step);
  const takeOf = (step: (typeof spoken)[number], fingerprint: string) => ({ id: step.ref.beatId, at: step.ref, fingerprint, cues: [], said: '' }) as unknown as Take; // prettier-ignore
  const [first, second] = spoken;
  const { page, press, server, went, tick } = await open([
    takeOf(first!, fingerprintOf(prepared, first!.ref)),
    takeOf(second!, 'changed since'),
  ]);
  expect(textOf(page)).toContain(`1 of ${spoken.length} steps are recorded as they are now; the others are read.`);
  await press('Give it to 3 pupils');
  await until(() => went.mock.calls.length === 1);
  await tick(/^your recorded voice/);
  await press('Give it to 3 pupils');
  await until(() => went.mock.calls.length === 2);
  // Sent twice under one id: it is given out once.
  const sent = server.sent(GIVE) as { id: string; voice: boolean }[];
  expect(sent.map(({ voice }) => voice)).toEqual([true, false]);
  expect(sent[0]!.id).toBe(sent[1]!.id);
});

test('days that cannot be are refused with the reason, and what was chosen stays', async () => {
  const { press, server, find, tick, went } = await open();
  server.on(GIVE, new Refusal('OWN_PACE_DAYS', 'The last day is before the first.', 400));
  await tick(/^these pupils/);
  await tick(/^Ceri/);
  await press('Give it to 1 pupil');
  await until(() => find.queryByRole('alert') !== null);
  expect(textOf(find.getByRole('alert'))).toBe('The last day is before the first.');
  expect(find.getByRole<HTMLInputElement>('checkbox', { name: /^Ceri/ }).checked).toBe(true);
  expect(went).not.toHaveBeenCalled();
});
