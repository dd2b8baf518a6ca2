import { forgiveStalls } from './stalls.js';

function standStill(ms: number): void {
  const until = performance.now() + ms;
  while (performance.now() < until);
}

test('time that the server’s own loop stands still counts against no request, whoever looks first when it goes on', async () => {
  const server = { requestTimeout: 20_000, headersTimeout: 10_000 };
  const stop = forgiveStalls(server);
  standStill(700);
  expect(server.requestTimeout).toBeGreaterThan(20_300);
  expect(server.headersTimeout).toBeGreaterThan(10_300);
  await new Promise((resolve) => setTimeout(resolve, 1));
  expect(server.headersTimeout).toBeGreaterThan(10_300);
  stop();
});
