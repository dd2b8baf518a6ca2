import { Component } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideRouter, Router, withComponentInputBinding, RouterOutlet } from '@angular/router';
import { fireEvent, within } from '@testing-library/dom';
import { provideState, provideStore } from '@ngrx/store';
import { RUNGS } from '@zeitpunkt/core/ladder/registry';
import { seededRng } from '@zeitpunkt/core/random/rng';
import { NEW_PLAN, type ClassPlan, type Weekday } from '@zeitpunkt/core/series/plan';
import { dayOf, daysOn } from '@zeitpunkt/core/series/school-days';
import { designSet } from '@zeitpunkt/core/diagnosis/design-set';
import { poolOf } from '@zeitpunkt/core/diagnosis/pool';
import type { HomePageKept, ReviewNotes } from '@zeitpunkt/contract';
import { Designer } from '../../shared/diagnosis/designer';
import { authFeature } from '../../state/auth';
import { longDay } from '../../shared/words/days';
import { classLines, terns } from '../../testing/class-lines';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { placesInFrame } from '../../teacher.routes';

@Component({ imports: [RouterOutlet], template: '<router-outlet />' })
class Page {}

/** Chooses questions in the page: there are no workers here. */
class DirectDesigner {
  design({ wish, rung, settings, seed }: Parameters<Designer['design']>[0]) {
    const pool = [...poolOf(60, RUNGS[rung], settings, seed)];
    const set = designSet(pool, wish, RUNGS[rung], settings, seededRng(seed), () => 20)!;
    return { done: Promise.resolve(set), stop: () => undefined };
  }
}

const NOTES: ReviewNotes = { comments: [], moves: [], wordings: [], homePages: [] };
const TODAY = dayOf(Date.now());
const PLAN: ClassPlan = {
  ...NEW_PLAN,
  series: { startsOn: daysOn(TODAY, 1), weekdays: [1, 2, 3, 4, 5] as Weekday[], lessonIds: ['l1', 'l2'], skipped: [] },
};

let server: FakeServer;
beforeEach(() => {
  HTMLDialogElement.prototype.showModal = function () {
    this.open = true;
  };
  HTMLDialogElement.prototype.close = function () {
    this.open = false;
  };
  classLines.lines = terns(Date.now());
  classLines.problem = null;
  server = new FakeServer({
    'GET /api/me': { id: 't1', name: 'Ms Odalys Fenn', mayInvite: true },
    'GET /api/classes/c1/notes': NOTES,
    'GET /api/classes/c1/plan': { revision: 3, plan: PLAN },
  });
});

async function open(look: string, before?: string) {
  const routes = [...placesInFrame.filter(({ path }) => path === 'classes/:id/review'), { path: '**', component: Page }];
  const providers = [
    provideRouter(routes, withComponentInputBinding()),
    provideStore(),
    provideState(authFeature),
    { provide: Designer, useClass: DirectDesigner },
  ];
  const screen = await render(Page, {}, providers);
  const router = TestBed.inject(Router);
  await router.navigateByUrl(`/classes/c1/review/${look}`);
  await until(() => screen.page.querySelector(before ?? '.look > :not(router-outlet)') !== null);
  await screen.settled();
  return { ...screen, router };
}

test('groups say who, why and what next; a pupil is moved by hand; the lesson is drafted with its questions, on its day', async () => {
  server.on('POST /api/classes/c1/moves', undefined);
  server.on('POST /api/lessons', {});
  server.on('POST /api/classes/c1/plan', {});
  const { find, page, press, router, settled } = await open('next');
  await until(() => page.textContent!.includes('6 questions, made to measure'));
  expect(textOf(page)).toContain('From 60 answers in 2 lessons. A hint with its evidence, never a grade.');
  const group = find.getByRole('region', { name: 'They take the nearest numeral' });
  expect(textOf(group)).toContain('Seen in 12 of 12 answers that could show it: settled.');
  expect(textOf(page)).toContain('Dov : has not answered anything yet');
  await press('Move Ceri');
  fireEvent.click(within(document.body).getByRole('menuitem', { name: 'to “They take the nearest numeral”' }));
  await until(() => textOf(find.getByRole('region', { name: 'They take the nearest numeral' })).includes('Ceri'));
  expect(server.sent('POST /api/classes/c1/moves')).toEqual([{ pupilId: 'Ceri', key: 'idea:nearest-hour' }]);

  fireEvent.click(find.getByRole('combobox', { name: 'The next lesson' }));
  await settled();
  const second = within(document.body).getAllByRole('option')[1]!;
  const day = textOf(second);
  fireEvent.click(second);
  await settled();
  const navigate = jest.spyOn(router, 'navigate').mockResolvedValue(true);
  await press(/^Draft the lesson for .*They take the nearest numeral$/);
  await until(() => navigate.mock.calls.length > 0);
  const [wish] = server.sent('POST /api/lessons') as [
    { id: string; rung: string; insight: { items: unknown[]; misconceptions: string[] } },
  ];
  expect(wish).toMatchObject({ classId: 'c1', rung: 'quarter-to', insight: { misconceptions: expect.arrayContaining(['nearest-hour']) } });
  expect(wish!.insight.items).toHaveLength(6);
  const [{ revision, plan }] = server.sent('POST /api/classes/c1/plan') as [{ revision: number; plan: ClassPlan }];
  expect(revision).toBe(3);
  expect(plan).toEqual({ ...PLAN, beside: [{ lessonId: wish!.id, date: expect.any(String) }] });
  expect(longDay(plan.beside[0]!.date)).toBe(day);
  expect(navigate).toHaveBeenCalledWith(['/lessons', wish!.id]);
});

test('in the class’s place a group’s lesson moves the others on, which is said before', async () => {
  server.on('POST /api/lessons', {});
  server.on('POST /api/classes/c1/plan', { revision: 4 });
  const { page, press, router, find } = await open('next');
  await until(() => page.textContent!.includes('6 questions, made to measure'));
  fireEvent.click(find.getByText('in its place'));
  await until(() => /The class’s lesson goes to .*, and 1 more moves/.test(textOf(page)));
  const navigate = jest.spyOn(router, 'navigate').mockResolvedValue(true);
  await press(/^Draft the lesson for .*They take the nearest numeral$/);
  await until(() => navigate.mock.calls.length > 0);
  const [{ plan }] = server.sent('POST /api/classes/c1/plan') as [{ plan: ClassPlan }];
  expect(plan.series!.lessonIds).toEqual([expect.any(String), 'l1', 'l2']);
});

test('what the group of a pupil does not work on becomes a follow-up at a press, to be given to them', async () => {
  server.on('GET /api/classes/c1/notes', { ...NOTES, moves: [{ pupilId: 'Anouk', key: 'rung:quarter-past' }] });
  server.on('POST /api/lessons', {});
  const { find, press, router } = await open('next');
  expect(textOf(find.getByRole('list', { name: 'Besides, at their own pace' }))).toContain('Takes the nearest numeral: Anouk');
  const navigate = jest.spyOn(router, 'navigate').mockResolvedValue(true);
  await press(/^Draft a follow-up.*Takes the nearest numeral$/);
  await until(() => navigate.mock.calls.length > 0);
  const [wish] = server.sent('POST /api/lessons') as [{ id: string }];
  expect(wish).toMatchObject({ classId: 'c1', rung: 'quarter-to', insight: { misconceptions: ['nearest-hour'] } });
  expect(navigate).toHaveBeenCalledWith(['/lessons', wish.id, 'give'], { queryParams: { of: 'c1', to: 'Anouk' } });
});

test('a move that could not be kept is taken back, and the reason said', async () => {
  server.on('POST /api/classes/c1/moves', new Refusal('PUPIL_UNKNOWN', 'This class has no such pupil.'));
  const { find, page, press } = await open('next');
  await press('Move Ceri');
  fireEvent.click(within(document.body).getByRole('menuitem', { name: 'to “They take the nearest numeral”' }));
  await until(() => page.textContent!.includes('This class has no such pupil.'));
  expect(textOf(find.getByRole('region', { name: 'They take the nearest numeral' }))).not.toContain('Ceri');
});

test('pupils and rungs stand as a map that can say itself in words; every cell opens its answers; the change is told with care', async () => {
  const { find, page, press, settled } = await open('map', '.cell');
  fireEvent.click(find.getByText('In words'));
  await settled();
  expect(textOf(find.getByRole('row', { name: /^Anouk/ }))).toBe('Anouk sure not yet');
  expect(textOf(find.getByRole('row', { name: /^Dov/ }))).toBe('Dov – –');
  expect(page.textContent).not.toMatch(/\d %/);
  fireEvent.click(find.getByText('With intervals'));
  await settled();
  expect(textOf(find.getByRole('row', { name: /^Anouk/ }))).toMatch(
    /0 of 12 right; would get about \d+ to \d+ of 100 such questions right today/,
  );
  fireEvent.click(find.getByRole('row', { name: /^Anouk/ }).querySelectorAll('button')[1]!);
  await until(() => page.querySelector('zp-answers-list') !== null);
  const list = find.getByRole('region', { name: 'Anouk, quarter to' });
  expect(textOf(list)).toContain('12 answers, 0 right');
  expect(list.querySelector('a')!.getAttribute('href')).toMatch(/^\/review\/s1\?pupil=Anouk&asking=/);
  await press('Compare');
  await until(() => page.querySelector('section ul[role=status] li') !== null);
  expect(textOf(find.getByRole('region', { name: 'What changed' }))).toMatch(
    /Quarter to : (better by about \d+ of 100|no change can be told yet)/,
  );
});

test('an idea says who holds it, how sure that is, and when it was seen; a wording that counts is taken back', async () => {
  const wording = { id: 'w1', wording: 'seven and a half', timeSec: 27_000, atMs: 1, answers: 3 };
  server.on('GET /api/classes/c1/notes', { ...NOTES, wordings: [wording] });
  server.on('POST /api/classes/c1/wordings/w1/take-back', NOTES);
  const { find, page } = await open('ideas');
  const idea = find.getByRole('region', { name: /^Takes the nearest numeral/ });
  expect(textOf(idea)).toMatch(
    /Anouk settled 12 of 12 answers of Anouk that could show Takes the nearest numeral \d+ \w+ to \d+ \w+, most on quarter to/,
  );
  expect(textOf(idea)).not.toContain('Bashir');
  fireEvent.click(find.getByRole('button', { name: /^12 of 12 answers/ }));
  await until(() => page.querySelector('zp-answers-list') !== null);
  expect(textOf(find.getByRole('region', { name: 'Anouk: takes the nearest numeral' }))).toContain('12 answers, 0 right');
  expect(textOf(page)).toContain('It says where to look, not what a child is like.');
  fireEvent.click(find.getByRole('button', { name: /^take it back/ }));
  server.on('GET /api/classes/c1/notes', NOTES);
  await until(() => !page.textContent!.includes('seven and a half'));
});

test('a pupil over the weeks: what they could do and held then, with remarks that are kept and deleted', async () => {
  const kept = { ...NOTES, comments: [{ id: 'k1', pupilId: 'Bashir', responseId: null, text: 'Explains it to others.', atMs: 1 }] };
  server.on('POST /api/classes/c1/pupils/Bashir/comments', kept);
  server.on('POST /api/classes/c1/pupils/Bashir/comments/k1/delete', NOTES);
  const { find, page, press, type } = await open('pupils/Bashir', 'tbody tr');
  const weeks = [...find.getByRole('region', { name: 'Over the weeks, as a table' }).querySelectorAll('tbody tr')].map(textOf);
  expect(weeks[0]).toMatch(/not yet Takes the nearest numeral/);
  expect(weeks[1]).not.toMatch(/Takes the nearest numeral/);
  fireEvent.click(find.getByRole('region', { name: 'Over the weeks, as a table' }).querySelectorAll('tbody button')[0]!);
  await until(() => page.querySelector('zp-answers-list') !== null);
  expect(textOf(page.querySelector('zp-answers-list')!)).toContain('10 answers, 4 right');
  await type(find.getByLabelText('A remark, for you alone'), 'Explains it to others.');
  await press('Keep it');
  await until(() => page.textContent!.includes('Explains it to others.'));
  expect(server.sent('POST /api/classes/c1/pupils/Bashir/comments')).toMatchObject([{ responseId: null, text: 'Explains it to others.' }]);
  await press('Delete this remark');
  const sure = () => within(document.body).queryByRole('button', { name: 'Delete it' });
  await until(() => sure() !== null);
  fireEvent.click(sure()!);
  await until(() => !page.textContent!.includes('Explains it to others.'));
});

test('a page for home is proposed, saved as it is written, and what is typed meanwhile is never undone', async () => {
  let answer: () => void = () => undefined;
  const HOME = 'POST /api/classes/c1/home/Ceri';
  server.on(HOME, () => new Promise<void>((resolve) => (answer = resolve)));
  const { find, type, settled } = await open('home', 'zp-home-sheet');
  expect(find.getAllByRole('region', { name: /^Page for the home of/ })).toHaveLength(3); // nothing is known of Dov
  const field = find.getAllByLabelText<HTMLTextAreaElement>('What comes next')[2]!;
  expect(field.value).toMatch(/^Next in class: /);
  await type(field, 'Any');
  await until(() => server.sent(HOME).length === 1);
  await type(field, 'Any minute');
  answer();
  await settled();
  expect(field.value).toBe('Any minute');
  await until(() => server.sent(HOME).length === 2);
  expect((server.sent(HOME)[1] as HomePageKept['page']).next).toBe('Any minute');
  answer();
  server.on('POST /api/classes/c1/home/Ceri/anew', undefined);
  await until(() => find.queryByText('Saved') !== null);
  fireEvent.click(find.getByRole('button', { name: /^As proposed/ }));
  await until(() => /^Next in class: /.test(field.value));
});

test('a file of results is looked at first, taken at a second press, and refused with the reason', async () => {
  const LOOK = 'POST /api/classes/c1/results/look';
  server.on(LOOK, { rows: 9, known: 3, added: 6, lessons: ['Half past'], newPupils: ['Ivo'] });
  server.on('POST /api/classes/c1/results/take', { rows: 9, known: 3, added: 6, lessons: ['Half past'], newPupils: ['Ivo'] });
  const { find, page, press, chooseFile } = await open('files');
  expect(find.getByRole('link', { name: 'For a spreadsheet (CSV)' }).getAttribute('href')).toBe('/api/classes/c1/results.csv');
  const choose = (name: string) => chooseFile('Choose a file', new File(['x'], name));
  await choose('results.csv');
  await until(() => page.textContent!.includes('results.csv'));
  expect(textOf(page)).toContain('9 answers, 3 of them there already. New lessons: Half past. Pupils who are not in the class yet: Ivo.');
  await press('Take 6 answers in');
  await until(() => page.textContent!.includes('6 answers were taken in.'));
  server.on(LOOK, new Refusal('RESULTS_UNREADABLE', 'Line 7: this row is no row of a table as the others are.', 400));
  await choose('list.csv');
  await until(() => page.textContent!.includes('Line 7'));
  expect(textOf(find.getByRole('alert'))).toContain('Nothing was changed.');
});

test('a class whose answers cannot be fetched says so and can be tried again; one without answers says what will be here', async () => {
  classLines.problem = 'The server cannot be reached just now.';
  const { find, page, press } = await open('next', '[role=alert]');
  expect(textOf(find.getByRole('alert'))).toContain('The server cannot be reached just now.');
  classLines.problem = null;
  classLines.lines = [{ line: 'class', id: 'c1', name: 'Terns', pupils: [], sessions: 1 }, { line: 'unreadable', why: 'The room of “Half past” cannot be read.' }]; // prettier-ignore
  await press('Try again');
  await until(() => page.textContent!.includes('Nothing has been answered yet'));
  expect(textOf(find.getByRole('alert'))).toContain('The room of “Half past” cannot be read. It stays stored as it is.');
});
