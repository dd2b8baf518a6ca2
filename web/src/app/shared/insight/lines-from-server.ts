import { ApiProblem, problemOf } from '../api';

/** The answers of a class, line by line as they come. @throws ApiProblem */
export async function* linesFromServer(classId: string): AsyncGenerator<string> {
  const reply = await fetch(`/api/classes/${classId}/answers`, { credentials: 'same-origin' }).catch(() => null);
  if (!reply) throw new ApiProblem('LINE_LOST', 'The server cannot be reached just now.');
  if (!reply.ok || !reply.body) throw await problemOf(reply);
  const reader = reply.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read().catch(() => {
      throw cutOff();
    });
    const lines = (rest + (value ?? '')).split('\n');
    rest = lines.pop()!;
    yield* lines;
    if (done) break;
  }
  if (rest.trim() !== '') throw cutOff();
}

const cutOff = () => new ApiProblem('LINE_LOST', 'The line was lost while the answers came. Try again.');
