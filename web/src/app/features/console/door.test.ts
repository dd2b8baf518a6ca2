import { signal } from '@angular/core';
import { MatDialogRef } from '@angular/material/dialog';
import { fireEvent } from '@testing-library/dom';
import { Store } from '@ngrx/store';
import type { SessionDetail } from '@zeitpunkt/contract';
import { heard, render, textOf } from '../../testing/render';
import { sessionDetail } from '../../testing/session';
import { DoorPanel } from './door';
import { DoorTurn, doorWords } from './door-turn';
import { WhoIsHere } from './who-is-here';

const live = (change: Partial<SessionDetail['live']>) => ({ ...sessionDetail().live, ...change });
const waiting = sessionDetail().live.participants.map((one) => ({ ...one, waits: true }));

test('who waits is let in one by one or all at once', async () => {
  const { press, component } = await render(DoorPanel, { live: live({ participants: waiting }), nowMs: 0 });
  const acts = heard((component as DoorPanel).act);
  await press('Let Bashir in');
  await press('Let all 3 in');
  expect(acts).toEqual([
    { type: 'let-in', participantIds: ['in-Bashir'] },
    { type: 'let-in', participantIds: ['in-Anouk', 'in-Bashir', 'in-Ceri'] },
  ]);
});

test('who knocks at the closed door is opened to, and guessing is told', async () => {
  const { room } = sessionDetail().live;
  const door = { open: true, closesAtMs: 600_000, admits: 'one-by-one' as const };
  const closing = live({ room: { ...room, door }, outside: { knocks: [{ id: 'k1', atMs: 0 }], wrongKeys: 9 } });
  const { page, press, setInputs, component } = await render(DoorPanel, { live: closing, nowMs: 300_000 });
  const [acts, commands] = [heard((component as DoorPanel).act), heard((component as DoorPanel).tell)];
  expect(page.textContent).not.toContain('knocks');
  expect(page.textContent).toContain('9 wrong room keys');
  await press('Close the door now');
  await setInputs({ live: closing, nowMs: 600_000 });
  await press('Open to them');
  await press('Open to all');
  expect(acts).toEqual([{ type: 'open-to', knockId: 'k1' }]);
  expect(commands).toEqual([
    { type: 'door', open: false },
    { type: 'door', open: true },
  ]);
});

test('the door says how long it is open and that it has closed by itself; it is turned, and says who is in at once', async () => {
  const door = { open: true, closesAtMs: 600_000, admits: 'one-by-one' as const };
  expect(doorWords(door, 300_000)).toBe('the door is open for 5 more minutes');
  expect(doorWords({ ...door, closesAtMs: null }, 300_000)).toBe('the door is open');
  expect(doorWords(door, 600_000)).toBe('the door is closed, they knock');
  const { press, component, find, settled } = await render(DoorTurn, { door, nowMs: 600_000 });
  const commands = heard((component as DoorTurn).tell);
  await press('Open the door');
  fireEvent.click(find.getByRole('radio', { name: 'My class list comes straight in' }));
  await settled();
  expect(commands).toEqual([
    { type: 'door', open: true },
    { type: 'door-admits', admits: 'class-list' },
  ]);
});

test('who is in, who is missing and whose line is lost is told; a name is put right, and somebody is sent out', async () => {
  const [anouk, bashir, ceri] = sessionDetail().live.participants;
  const detail = { ...sessionDetail(), live: live({ participants: [anouk!, { ...bashir!, online: false }, ceri!] }) };
  const acts: unknown[] = [];
  const store = { selectSignal: () => signal(detail), dispatch: ({ act }: { act: unknown }) => acts.push(act) };
  const { page, press, find } = await render(WhoIsHere, {}, [
    { provide: Store, useValue: store },
    { provide: MatDialogRef, useValue: {} },
  ]);
  expect(textOf(page.querySelector('p')!)).toBe('3 of 4 are in · Not in yet: Dov');
  expect(find.getAllByRole('listitem').map((row) => /line lost/.test(textOf(row)))).toEqual([false, true, false]);
  fireEvent.change(find.getByRole('textbox', { name: 'Name of Anouk' }), { target: { value: ' Anouk L ' } });
  await press('Send out Ceri');
  expect(acts).toEqual([
    { type: 'rename', classId: 'class', pupilId: 'pupil-Anouk', name: 'Anouk L' },
    { type: 'send-out', participantId: 'in-Ceri' },
  ]);
});

test('who is not on the list, or was on another device, is told apart at the door, and may be sent away', async () => {
  const [anouk, bashir] = sessionDetail().live.participants;
  const participants = [anouk!, { ...anouk!, id: 'again', waits: true }, { ...bashir!, waits: true, newcomer: true }];
  const { find, press, component } = await render(DoorPanel, { live: live({ participants }), nowMs: 0 });
  const acts = heard((component as DoorPanel).act);
  expect(find.getByRole('button', { name: 'Let Anouk in, who was on another device' })).toBeTruthy();
  expect(find.getByRole('button', { name: 'Let Bashir in, who is not on the list' })).toBeTruthy();
  await press(/not Bashir/);
  expect(acts).toEqual([{ type: 'send-out', participantId: 'in-Bashir' }]);
});
