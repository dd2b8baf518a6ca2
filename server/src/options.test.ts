import { readOptions } from './options.js';

test('the command line goes before the environment', () => {
  expect(readOptions([], {})).toMatchObject({ port: 4780, host: '0.0.0.0', demo: false, publicUrl: null, behindProxy: false });
  const env = { PORT: '81', ZEITPUNKT_URL: 'https://zeit.school.test/', ZEITPUNKT_PROXY: '1' };
  expect(readOptions(['--port', '82'], env)).toMatchObject({ port: 82, publicUrl: 'https://zeit.school.test', behindProxy: true });
  expect(readOptions([], {}).idleMs).toBeNull();
  const woken = { LISTEN_FDS: '1', LISTEN_PID: String(process.pid) };
  expect(readOptions([], woken)).toMatchObject({ idleMs: 3_600_000, socket: { fd: 3 } });
  expect(readOptions(['--idle', '0'], { ...woken, LISTEN_PID: '1' })).toMatchObject({ idleMs: null, socket: null });
  expect(readOptions(['--quota', '200'], {}).quotaBytes).toBe(200 * 2 ** 20);
  expect(readOptions(['--url=http://10.0.0.5:4780'], env).publicUrl).toBe('http://10.0.0.5:4780');
});

test.each([
  [['--port', '-1'], /whole number from 0 to 65535, but “-1” came/],
  [['--port', ''], /but “” came/],
  [['--port', '80.5'], /“80.5”/],
  [['--prot', '80'], /--prot.* The options are --port/],
  [['--port'], /--port.* The options are/],
  [['go'], /'go'.* The options are/],
  [['--idle', 'soon'], /a number, 0 for never, but “soon” came/],
  [['--quota', '5MB'], /whole number of megabytes from 10 on, but “5MB” came/],
  [['--url', 'zeit.school.test'], /written like https:\/\/zeit.school.test, but “zeit.school.test” came/],
  [['--url', 'https://me@zeit.school.test'], /“https:\/\/me@/],
  [['--url', 'https://zeit.school.test/clock'], /\/clock” came/],
])('%j is refused with one sentence', (args, sentence) => {
  expect(() => readOptions(args, {})).toThrow(expect.objectContaining({ code: 'START_OPTION', message: expect.stringMatching(sentence) }));
});
