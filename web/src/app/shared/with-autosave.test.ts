import { computed } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { signalStore, withMethods, withComputed, withState, patchState } from '@ngrx/signals';
import { ApiProblem } from './api';
import { withAutosave } from './with-autosave';

let sent: string[];
let answer: () => Promise<number>;
const send = (words: string): Promise<number> => {
  sent.push(words);
  return answer();
};
const Store = signalStore(
  withState({ words: '' }),
  withComputed(({ words }) => ({ toSave: computed((): string | null => words()) })),
  withMethods((store) => ({
    noteVersion(_doc: string, _version: number): void {},
    write(words: string): void {
      patchState(store, { words });
    },
  })),
  withAutosave({ send, overtakenBy: ['LESSON_CHANGED'] }),
);

function written(words: string) {
  const store = TestBed.inject(Store);
  store.write(words);
  store.changed();
  return store;
}
const pass = (ms: number) => jest.advanceTimersByTimeAsync(ms);

beforeEach(() => {
  jest.useFakeTimers();
  sent = [];
  answer = () => Promise.resolve(1);
  TestBed.configureTestingModule({ providers: [Store] });
});
afterEach(() => jest.useRealTimers());

test('what could not be sent is tried again until it is saved', async () => {
  answer = () => Promise.reject(new ApiProblem('LINE_LOST', 'The server cannot be reached just now.'));
  const store = written('one');
  await pass(1000);
  expect([store.saving(), store.saveProblem()]).toEqual(['failed', 'The server cannot be reached just now.']);
  answer = () => Promise.resolve(2);
  await pass(5000);
  expect([store.saving(), store.saveProblem(), sent]).toEqual(['saved', null, ['one', 'one']]);
});

test('what is refused as it is waits for the next change and is not sent over and over', async () => {
  answer = () => Promise.reject(new ApiProblem('REQUEST_TOO_LARGE', 'This lesson is too long.', 400));
  const store = written('one');
  await pass(60_000);
  expect([store.saving(), store.saveProblem(), sent]).toEqual(['refused', 'This lesson is too long.', ['one']]);
  answer = () => Promise.resolve(2);
  written('two');
  await pass(1000);
  expect([store.saving(), store.saveProblem(), sent]).toEqual(['saved', null, ['one', 'two']]);
});

test('what was changed elsewhere meanwhile is told and overwrites nothing', async () => {
  answer = () => Promise.reject(new ApiProblem('LESSON_CHANGED', 'It was changed elsewhere.', 409));
  const store = written('one');
  await pass(60_000);
  written('two');
  await pass(60_000);
  expect([store.saving(), sent]).toEqual(['overtaken', ['one']]);
});
