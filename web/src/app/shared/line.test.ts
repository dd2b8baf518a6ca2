import { FakeSocket } from '../testing/fake-socket';
import { openLine } from './line';

const isWord = (data: unknown): data is { word: string } => typeof data === 'object' && data !== null && 'word' in data;
const latest = () => FakeSocket.latest;

function open() {
  const heard: string[] = [];
  const states: boolean[] = [];
  const line = openLine('/ws/desk', isWord, { message: ({ word }) => heard.push(word), open: (state) => states.push(state) });
  return { line, heard, states };
}

beforeEach(() => {
  jest.useFakeTimers();
  FakeSocket.install();
});
afterEach(() => jest.useRealTimers());

test('a message that fits is heard; one that does not asks for the whole state instead', () => {
  const { heard } = open();
  latest().accept();
  latest().hear({ word: 'lamp' });
  latest().hear({ key: '7:30' });
  expect(heard).toEqual(['lamp']);
  expect(latest().sent).toEqual(['{"type":"sync"}']);
});

test('a lost line is tried again, less and less often up to every four seconds, and quickly again once it was open', () => {
  const { states } = open();
  latest().accept();
  const waits = [250, 500, 1000, 2000, 4000, 4000];
  for (const wait of waits) {
    const count = FakeSocket.all.length;
    latest().drop();
    jest.advanceTimersByTime(wait - 1);
    expect(FakeSocket.all).toHaveLength(count);
    jest.advanceTimersByTime(1);
    expect(FakeSocket.all).toHaveLength(count + 1);
  }
  latest().accept();
  latest().drop();
  jest.advanceTimersByTime(250);
  expect(FakeSocket.all).toHaveLength(waits.length + 2);
  expect(states.filter((state) => state)).toHaveLength(2);
});

test('a tablet that wakes up tries at once; a closed line stays closed', () => {
  const { line } = open();
  latest().drop();
  window.dispatchEvent(new Event('online'));
  expect(FakeSocket.all).toHaveLength(2);
  line.close();
  jest.advanceTimersByTime(60_000);
  window.dispatchEvent(new Event('online'));
  expect(FakeSocket.all).toHaveLength(2);
});
