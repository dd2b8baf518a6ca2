import { chosenFile, ownFile } from './film-file';
import { formatsHere } from './film-formats';
import { makeFilm } from './film-maker';
import { FILM_FONT, type FilmOrder, type FontFile, type FromFilmWorker, type ToFilmWorker } from './film-messages';
import { ApiProblem } from '../../shared/api';
import { toldOf } from '../../shared/told-problem';

/** Progress is told so often, in milliseconds. */
const TELL_MS = 200;

let cancelled = false;
const tell = (message: FromFilmWorker) => postMessage(message);

addEventListener('message', ({ data }: MessageEvent<ToFilmWorker>) => {
  if (data.type === 'cancel') cancelled = true;
  else if (data.type === 'formats') void formatsHere(data.height).then((formats) => tell({ type: 'formats', formats }));
  else void make(data.order);
});

async function make(order: FilmOrder): Promise<void> {
  cancelled = false;
  try {
    await loadFonts(order.fonts);
    const file = order.file ? await chosenFile(order.file) : await ownFile(`${order.lessonId}.${order.format === 'mp4' ? 'mp4' : 'webm'}`);
    let toldAtMs = 0;
    const isMade = await makeFilm(order, {
      file,
      soundOf: async (takeId) => {
        const reply = await fetch(`/api/lessons/${order.lessonId}/takes/${takeId}/sound`).catch(() => null);
        if (!reply?.ok)
          throw new ApiProblem('SOUND_NOT_FETCHED', 'A take cannot be fetched just now. Try again when the server can be reached.');
        return reply.blob();
      },
      tell: (doneMs, totalMs) => {
        if (performance.now() - toldAtMs < TELL_MS) return;
        toldAtMs = performance.now();
        tell({ type: 'progress', doneMs, totalMs });
      },
      isCancelled: () => cancelled,
    }).catch(async (error: unknown) => {
      await file.drop().catch(() => undefined); // what went wrong first is what is said
      throw error;
    });
    if (!isMade) {
      await file.drop();
      return tell({ type: 'cancelled' });
    }
    tell({ type: 'made', name: file.name, bytes: await file.close() });
  } catch (error) {
    tell({ type: 'failed', problem: toldOf(problemOf(error)) });
  }
}

/** What whoever makes a film can do something about, by its name in the browser. */
function problemOf(error: unknown): unknown {
  if (error instanceof DOMException && error.name === 'QuotaExceededError') {
    return new ApiProblem('FILM_DISK_FULL', 'The disk is full: nothing of the film was kept. Make room, or choose a smaller picture.');
  }
  if (error instanceof DOMException && error.name === 'NoModificationAllowedError') {
    return new ApiProblem('FILM_ELSEWHERE', 'Another window is making a film of this lesson just now.');
  }
  return error;
}

async function loadFonts(fonts: readonly FontFile[]): Promise<void> {
  const { fonts: own } = globalThis as unknown as { readonly fonts: { add(font: FontFace): void } };
  await Promise.all(
    fonts.map(async ({ url, weight, unicodeRange }) => {
      own.add(await new FontFace(FILM_FONT, `url(${url})`, { weight, unicodeRange }).load());
    }),
  );
}
