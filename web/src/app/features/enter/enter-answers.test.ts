import { provideRouter } from '@angular/router';
import { provideState, provideStore } from '@ngrx/store';
import { fireEvent } from '@testing-library/dom';
import type { ResponseEntered, SessionDetail } from '@zeitpunkt/contract';
import { authFeature } from '../../state/auth';
import { FakeServer } from '../../testing/fake-server';
import { render, until } from '../../testing/render';
import { askingOf, responseOf, withRun } from '../../testing/session';
import { EnterAnswers } from './enter-answers';

const ENTERED = 'POST /api/sessions/session/entered';
const typed = { ...responseOf('Bashir', 'q1', ['coming-hour']), source: 'paper' as const };
const detail = (...responses: SessionDetail['live']['responses']) => withRun({ askings: [askingOf('q1', 'revealed')] }, { responses });

async function open() {
  const server = new FakeServer({
    'GET /api/sessions/session': detail(responseOf('Anouk', 'q1'), typed),
    'GET /api/sessions/session/sheet': { sheet: null },
  });
  const screen = await render(EnterAnswers, { id: 'session' }, [provideRouter([]), provideStore(), provideState(authFeature)]);
  const turn = async () => {
    for (let times = 0; times < 3; times++) {
      await new Promise((resolve) => setTimeout(resolve));
      await screen.settled();
    }
  };
  await turn();
  const field = (name: string) => screen.find.getByRole<HTMLInputElement>('textbox', { name: `${name}, question 1` });
  const type = async (name: string, text: string) => {
    field(name).value = text;
    fireEvent.change(field(name));
    await turn();
  };
  return { ...screen, server, field, type };
}

test('there is a row for each pupil, also for who was not there, with what is known already; Enter goes down, Shift+Enter up', async () => {
  const { field, key } = await open();
  expect(['Anouk', 'Bashir', 'Ceri', 'Dov'].map((name) => field(name).value)).toEqual(['7:30', '8:30', '', '']);
  field('Bashir').focus();
  await key(field('Bashir'), 'Enter');
  expect(document.activeElement).toBe(field('Ceri'));
  await key(field('Ceri'), 'Enter', { shiftKey: true });
  expect(document.activeElement).toBe(field('Bashir'));
});

test('what was typed is kept with how it came; what is no answer says how to type it and keeps nothing', async () => {
  const { server, find, field, type } = await open();
  server.on(ENTERED, { ...responseOf('Dov', 'q1'), source: 'spoken' });
  fireEvent.click(find.getByRole('radio', { name: 'aloud' }));
  await type('Dov', '745');
  expect(field('Dov').value).toBe('7:30'); // as it is kept
  expect((server.sent(ENTERED) as ResponseEntered[])[0]).toMatchObject({
    pupilId: 'pupil-Dov',
    askingId: 'q1',
    source: 'spoken',
    response: { kind: 'read-dial', hour: '7', minute: '45' },
  });
  await type('Ceri', 'late');
  expect(find.getByRole('alert').textContent).toContain('“late” is no answer to this question. Type it like 7:30');
  expect(field('Ceri').getAttribute('aria-invalid')).toBe('true');
  expect(server.sent(ENTERED)).toHaveLength(1);
});

test('an empty field takes back what the teacher typed, and never what a pupil gave', async () => {
  const { server, field, type } = await open();
  const back = `POST /api/sessions/session/entered/${typed.id}/take-back`;
  server.on(back, null);
  await type('Anouk', '');
  expect([field('Anouk').value, server.sent(back)]).toEqual(['7:30', []]);
  await type('Bashir', '');
  expect([field('Bashir').value, server.sent(back).length]).toEqual(['', 1]);
});

test('of a sheet in versions each pupil has the one that was dealt, answered or typed, and answers go to its questions', async () => {
  const server = new FakeServer({
    'GET /api/sessions/session': withRun(
      { askings: [askingOf('q1', 'revealed'), { ...askingOf('q1', 'revealed'), id: 'q1-b' }] },
      { responses: [{ ...responseOf('Ceri', 'q1'), askingId: 'q1-b', source: 'paper' }] },
    ),
    'GET /api/sessions/session/sheet': {
      sheet: { code: 'K7Q2', versions: [['q1'], ['q1-b']], copies: [{ pupilId: 'pupil-Bashir', version: 1 }] },
    },
  });
  const screen = await render(EnterAnswers, { id: 'session' }, [provideRouter([]), provideStore(), provideState(authFeature)]);
  await until(() => screen.find.queryByText('Anouk') !== null);
  await screen.settled();
  const version = (name: string) => screen.find.getByRole<HTMLInputElement>('textbox', { name: `${name}, version of the sheet` });
  const change = async (field: HTMLInputElement, text: string) => {
    field.value = text;
    fireEvent.change(field);
    await screen.settled();
  };
  expect(['Anouk', 'Bashir', 'Ceri'].map((name) => version(name).value)).toEqual(['A', 'B', 'B']);
  await change(version('Anouk'), 'x');
  expect(screen.find.getByRole('alert').textContent).toContain('A to B');
  expect(version('Anouk').value).toBe('A');
  await change(version('Anouk'), 'b');
  server.on(ENTERED, typed);
  await change(screen.find.getByRole<HTMLInputElement>('textbox', { name: 'Anouk, question 1' }), '745');
  await until(() => server.sent(ENTERED).length === 1);
  expect(server.sent(ENTERED)[0]).toMatchObject({ pupilId: 'pupil-Anouk', askingId: 'q1-b' });
});
