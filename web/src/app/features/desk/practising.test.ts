import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { DeskView } from '@zeitpunkt/contract';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { NEW_BUILD, stageOfBuild } from '@zeitpunkt/core/stage/dial-build';
import { deskView, questionView } from '../../testing/desk';
import { DeskStore } from './desk-store';
import { Practising } from './practising';

type Stage = NonNullable<DeskView['stage']>;
const stageAt = (hours: number, change: Partial<Stage> = {}): Stage => ({
  before: stageOfBuild({ ...NEW_BUILD, timeSec: hours * 3600 }),
  beat: null,
  settings: DEFAULT_SETTINGS,
  elapsedMs: 0,
  motionMs: 0,
  marks: [],
  glides: false,
  ...change,
});
const talks = (change: Partial<Stage> = {}, hours = 3) => deskView({ question: null, stage: stageAt(hours, change) });

function open(first: DeskView) {
  const view = signal<DeskView | null>(first);
  const safety = signal('none');
  TestBed.configureTestingModule({ providers: [Practising, { provide: DeskStore, useValue: { view, safety } }] });
  const practising = TestBed.inject(Practising);
  practising.isOn.set(true);
  return { view, safety, practising };
}

test('my clock stays while the teacher talks, points and turns hands, and closes when the lesson goes on', () => {
  const { view, practising } = open(talks());
  view.set({ ...talks({ marks: [{ type: 'hand', hand: 'hour' }] }), seq: 2 });
  expect(practising.isOn()).toBe(true);
  view.set(talks({ glides: true }, 5));
  expect(practising.isOn()).toBe(true);
  view.set(talks());
  expect(practising.isOn()).toBe(true);
  view.set(talks({}, 4));
  expect(practising.isOn()).toBe(false);
});

test('it is at hand once an answer is given, until the reveal; never while a question is still to be answered', () => {
  const { view, safety, practising } = open(deskView());
  expect([practising.mayBe(), practising.isOn()]).toEqual([false, true]);
  safety.set('kept');
  practising.isOn.set(true);
  view.set(deskView({ question: questionView({ phase: 'closed' }) }));
  expect([practising.mayBe(), practising.isOn()]).toEqual([true, true]);
  view.set(deskView({ question: questionView({ phase: 'revealed' }) }));
  expect(practising.isOn()).toBe(false);
});
