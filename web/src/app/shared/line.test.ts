import { FakeSocket } from '../testing/fake-socket';
import { type Line, openLine } from './line';

const isWord = (data: unknown): data is { type: 'word'; word: string } => typeof data === 'object' && data !== null && 'word' in data;
const latest = () => FakeSocket.latest;

const lines: Line[] = [];
function open() {
  const heard: string[] = [];
  const states: boolean[] = [];
  const outdated = jest.fn();
  const line = openLine('/ws/desk', isWord, { message: ({ word }) => heard.push(word), open: (state) => states.push(state), outdated });
  lines.push(line);
  return { line, heard, states, outdated };
}

beforeEach(() => {
  jest.useFakeTimers();
  FakeSocket.install();
});
afterEach(() => {
  for (const line of lines.splice(0)) line.close();
  jest.useRealTimers();
});

test('a message that fits is heard; one that does not asks for the whole state instead', () => {
  const { heard } = open();
  latest().accept();
  latest().hear({ word: 'lamp' });
  latest().hear({ key: '7:30' });
  jest.advanceTimersByTime(250);
  expect(heard).toEqual(['lamp']);
  expect(latest().sent).toEqual(['{"type":"sync"}']);
});

test('a server whose every answer is refused is asked ever more seldom, not for ever at once', () => {
  open();
  latest().accept();
  for (let second = 0; second < 600; second++) {
    latest().hear({ key: '7:30' });
    jest.advanceTimersByTime(1000);
  }
  const asked = () => FakeSocket.all.flatMap(({ sent }) => sent).filter((text) => text.includes('sync')).length;
  expect(asked()).toBeLessThan(25); // ten minutes
  jest.advanceTimersByTime(3600_000);
  const before = asked();
  latest().accept();
  latest().hear({ key: '7:30' }); // an hour later it is an accident again
  jest.advanceTimersByTime(250);
  expect(asked()).toBe(before + 1);
});

test.each([
  ['of-today', 'of-today', 0],
  ['of-today', 'of-tomorrow', 1],
  ['BUILD_ID', 'of-tomorrow', 0], // a page that no server of ours has written into
])('a page of build %s hears that build %s is served', (own, served, told) => {
  document.head.innerHTML = `<meta name="zeitpunkt-build" content="${own}">`;
  const { outdated, heard } = open();
  latest().accept();
  latest().hear({ type: 'hello', build: served });
  expect([outdated.mock.calls.length, heard, latest().sent]).toEqual([told, [], []]);
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

test('a line that falls silent is asked, given up within fifteen seconds and opened anew; what the dead one says later is old', () => {
  const { states, heard } = open();
  const first = latest();
  first.accept();
  jest.advanceTimersByTime(6000);
  expect(first.sent).toEqual(['{"type":"ping"}']);
  first.hear({ type: 'pong' });
  jest.advanceTimersByTime(6000);
  first.hear({ word: 'lamp' });
  jest.advanceTimersByTime(11_900);
  expect(FakeSocket.all).toHaveLength(1);
  jest.advanceTimersByTime(100);
  expect(FakeSocket.all).toHaveLength(2);
  expect(states).toEqual([true, false]);
  latest().accept();
  first.hear({ word: 'late' });
  expect([heard, states]).toEqual([['lamp'], [true, false, true]]);
});

test('a line that was given up and closes late opens no second one', () => {
  const { states } = open();
  const first = latest();
  first.accept();
  jest.advanceTimersByTime(12_000);
  latest().accept();
  const before = FakeSocket.all.length;
  first.drop();
  jest.advanceTimersByTime(5000);
  expect(FakeSocket.all).toHaveLength(before);
  expect(states).toEqual([true, false, true]);
});

test('on waking and when the network is back, an open line is asked for the state anew and whether it carries', () => {
  open();
  latest().accept();
  document.dispatchEvent(new Event('visibilitychange'));
  expect(latest().sent).toEqual(['{"type":"sync"}', '{"type":"ping"}']);
  jest.advanceTimersByTime(6000);
  expect(FakeSocket.all).toHaveLength(2);
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
