import { randomUUID } from 'node:crypto';

/** What is needed of a server of any version. */
interface AnyApp {
  inject(request: object): Promise<{ statusCode: number; body: string; headers: Record<string, unknown> }>;
}

interface Ended {
  readonly phase: string;
  readonly pace?: string;
}
interface Marked {
  readonly mark: { readonly verdict: string };
}
interface Shown {
  readonly kind: string;
  readonly build?: object;
}

/** So that a school of the demo holds a row in every table: whatever its version has no route for is left out. */
export async function liveIn(app: AnyApp, signIn: { readonly signInName: string; readonly password: string }): Promise<string[]> {
  const left: string[] = [];
  let cookie = '';
  // Replies are of whatever version answers, and of no type that this one knows.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  const send = async (method: 'GET' | 'POST', url: string, payload?: object): Promise<any> => {
    const reply = await app.inject({ method, url, headers: { host: 'school.test', cookie }, ...(payload && { payload }) });
    const set = reply.headers['set-cookie'] as string | string[] | undefined;
    if (set)
      cookie = [set]
        .flat()
        .map((one) => one.split(';')[0])
        .join('; ');
    if (reply.statusCode < 300) return reply.body ? JSON.parse(reply.body) : null;
    left.push(`${method} ${url.replace(/[0-9a-f-]{36}/g, ':id')} ${reply.statusCode}`);
    return null;
  };
  await send('POST', '/api/sign-in', signIn);
  const [lesson] = await send('GET', '/api/lessons');
  const [schoolClass] = await send('GET', '/api/classes');
  const url = `/api/classes/${schoolClass.id}`;
  const sessions = await send('GET', '/api/sessions');
  const ended = sessions.find(({ phase, pace }: Ended) => phase === 'ended' && pace !== 'own');
  const responses = ended ? (await send('GET', `/api/sessions/${ended.id}`)).live.responses : [];
  const wrong = responses.find(({ mark }: Marked) => mark.verdict === 'not-yet' || mark.verdict === 'partly');
  if (wrong) {
    await send('POST', `/api/sessions/${ended.id}/responses/${wrong.id}/correct`, {
      id: randomUUID(),
      verdict: 'right',
      reason: 'Said aloud.',
    });
    await send('POST', `${url}/pupils/${wrong.pupilId}/comments`, { id: randomUUID(), responseId: wrong.id, text: 'Ask again.' });
    await send('POST', `${url}/home/${wrong.pupilId}`, { can: 'Half past.', next: 'Quarters.', tryThis: 'Look up at the tide gauge.' });
    await send('POST', `${url}/moves`, { pupilId: wrong.pupilId, key: 'idea:coming-hour' });
    await send('POST', `${url}/cards`, { pupilIds: [wrong.pupilId] });
    await send('GET', `${url}/pupils/${wrong.pupilId}/export`);
  }
  await send('POST', '/api/staff/invitations', { id: randomUUID(), forWhom: 'Mr Quay' });
  const file = (await send('GET', `/api/lessons/${lesson.id}`))?.lesson;
  if (!file) return left;
  const demonstration = file.beats.find(({ build }: Shown) => build);
  if (demonstration) await send('POST', '/api/dials', { id: randomUUID(), name: 'At the gauge', build: demonstration.build, version: 0 });
  const sheetId = randomUUID();
  const copies = wrong ? [{ pupilId: wrong.pupilId, version: 0 }] : [];
  await send('POST', '/api/sheets', { id: sheetId, lessonId: lesson.id, file, versions: 1, classId: schoolClass.id, copies });
  await send('POST', `/api/sheets/${sheetId}/answers`, { classId: schoolClass.id });
  // A room that goes on: its first question is open.
  const room = await send('POST', '/api/sessions', { id: randomUUID(), lessonId: lesson.id, classId: schoolClass.id });
  const tell = (command: object) => room && send('POST', `/api/sessions/${room.id}/commands`, { id: randomUUID(), command });
  await tell({ type: 'begin' });
  await tell({ type: 'go', to: { beatId: file.beats.find(({ kind }: Shown) => kind === 'ask').id, step: 'beat' } });
  return left;
}
