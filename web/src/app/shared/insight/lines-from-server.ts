import type { Problem } from '@zeitpunkt/contract';

/** The answers of a class, line by line as they come. @throws Error with the server's sentence */
export async function* linesFromServer(classId: string): AsyncGenerator<string> {
  const reply = await fetch(`/api/classes/${classId}/answers`, { credentials: 'same-origin' }).catch(() => null);
  if (!reply) throw new Error('The server cannot be reached just now.');
  if (!reply.ok || !reply.body) {
    const isProblem = reply.headers.get('content-type')?.startsWith('application/problem+json');
    throw new Error(
      isProblem ? ((await reply.json()) as Problem).detail : `The server cannot be reached just now (status ${reply.status}).`,
    );
  }
  const reader = reply.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read().catch(() => {
      throw new Error('The line was lost while the answers came. Try again.');
    });
    const lines = (rest + (value ?? '')).split('\n');
    rest = lines.pop()!;
    yield* lines;
    if (done) break;
  }
  if (rest.trim() !== '') throw new Error('The line was lost while the answers came. Try again.');
}
