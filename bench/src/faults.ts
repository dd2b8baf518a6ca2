import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { SIGN_IN } from './demo-server.js';
import { Client } from './http.js';

// What must hold however badly it goes, on loopback and within a minute or two: a server that is killed in a burst of
// answers, again and again, has every answer that it acknowledged, and each once; and ten thousand wrong room keys find
// nothing and keep no pupil out. It fails where something does not hold.
const KILLS = 20;
const BURST = 300;
const PUPILS = 25;
const WRONG_KEYS = 10_000;
const AT_ONCE = 200;
const PORT = 4387;

const dataDir = mkdtempSync(join(tmpdir(), 'zeitpunkt-faults-'));
let server: ChildProcess;

async function start(): Promise<void> {
  server = spawn(process.execPath, ['server/dist/main.js', '--demo', '--port', String(PORT), '--host', '127.0.0.1', '--data', dataDir], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise<void>((resolve) => {
    let said = '';
    server.stdout!.on('data', (data) => {
      said += String(data);
      if (said.includes('Ctrl+C')) resolve();
    });
  });
}

async function kill(): Promise<void> {
  const gone = once(server, 'exit');
  server.kill('SIGKILL');
  await gone;
}

function must(holds: boolean, what: string): void {
  if (holds) return;
  server.kill('SIGKILL');
  throw new Error(`It does not hold that ${what}.`);
}

interface Detail {
  readonly id: string;
  readonly roomKey: string[];
  readonly pupils: { readonly id: string }[];
  readonly live: { readonly responses: { readonly id: string }[] };
}

await start();
const teacher = new Client(PORT);
await teacher.send('POST', '/api/sign-in', SIGN_IN);
const [lesson] = await teacher.send<{ id: string }[]>('GET', '/api/lessons');
const [terns] = await teacher.send<{ id: string }[]>('GET', '/api/classes');
const session = await teacher.send<Detail>('POST', '/api/sessions', { id: randomUUID(), lessonId: lesson!.id, classId: terns!.id });
const tell = (command: object) => teacher.send('POST', `/api/sessions/${session.id}/commands`, { id: randomUUID(), command });
await tell({ type: 'door-admits', admits: 'class-list' });
const desks = await Promise.all(
  session.pupils.slice(0, PUPILS).map(async ({ id }) => {
    const desk = new Client(PORT);
    await desk.send('POST', '/api/desk/join', { joinId: randomUUID(), roomKey: session.roomKey, pupilId: id });
    return desk;
  }),
);
await tell({ type: 'begin' });
await tell({ type: 'go', to: { beatId: 'b6', step: 'beat' } });

const acknowledged = new Set<string>();
const all = new Set<string>();
let lost = 0;
for (let time = 0; time < KILLS; time++) {
  const burst = Array.from({ length: BURST }, (_, index) => ({
    desk: desks[index % desks.length]!,
    body: {
      id: randomUUID(),
      askingId: 'q1',
      response: { kind: 'read-dial', hour: String(1 + (index % 12)), minute: '30' },
      responseTimeMs: 900,
    },
  }));
  const sent = burst.map(({ desk, body }) =>
    desk.send('POST', '/api/desk/responses', body).then(
      () => acknowledged.add(body.id),
      () => undefined, // cut off by the kill: nobody said that it was kept
    ),
  );
  await new Promise((resolve) => setTimeout(resolve, 2 + ((time * 7) % 40)));
  await kill();
  await Promise.all(sent);
  for (const { body } of burst) all.add(body.id);
  await start();
  const stored = (await teacher.send<Detail>('GET', `/api/sessions/${session.id}`)).live.responses.map(({ id }) => id);
  lost += [...acknowledged].filter((id) => !stored.includes(id)).length;
  // A device sends what was not acknowledged again, and now and then what was.
  await Promise.all(burst.map(({ desk, body }) => desk.send('POST', '/api/desk/responses', body).then(() => acknowledged.add(body.id))));
}
const stored = (await teacher.send<Detail>('GET', `/api/sessions/${session.id}`)).live.responses.map(({ id }) => id);
console.log(`\nKilled ${KILLS} times in a burst of ${BURST} answers`);
console.log(`  acknowledged and lost        ${lost}`);
console.log(`  kept after sending again     ${stored.length} of ${all.size}, ${stored.length - new Set(stored).size} twice`);
must(lost === 0, 'nothing acknowledged is lost');
must(stored.length === all.size && new Set(stored).size === all.size, 'each answer is there once');

const wrongKey = [...session.roomKey.slice(1), session.roomKey[0]!];
const answers = new Map<string, number>();
const beganMs = performance.now();
for (let tried = 0; tried < WRONG_KEYS; tried += AT_ONCE) {
  const tries = Array.from({ length: AT_ONCE }, () =>
    new Client(PORT).send('POST', '/api/desk/room', { roomKey: wrongKey }).then(
      () => 'found',
      (error: Error) => /: (\d{3}) /.exec(error.message)?.[1] ?? 'none',
    ),
  );
  for (const answer of await Promise.all(tries)) answers.set(answer, (answers.get(answer) ?? 0) + 1);
}
const tookSec = (performance.now() - beganMs) / 1000;
console.log(
  `${WRONG_KEYS} wrong room keys in ${tookSec.toFixed(0)} s: ${[...answers].map(([code, times]) => `${code} ${times} times`).join(', ')}`,
);
must(!answers.has('found') && [...answers.keys()].every((code) => code === '404' || code === '429'), 'a wrong key finds nothing');
const [view] = await Promise.all([desks[0]!.send<{ phase: string }>('GET', '/api/desk')]);
must(view.phase === 'running', 'those who are in go on meanwhile');
await kill();
rmSync(dataDir, { recursive: true, force: true });
process.exit(0);
