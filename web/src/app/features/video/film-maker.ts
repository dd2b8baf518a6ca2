import { filmOf } from '@zeitpunkt/core/voice/film';
import { AudioSample, AudioSampleSource, CanvasSource, Output, StreamTarget } from 'mediabunny';
import type { FilmFile } from './film-file';
import { BITS, codingOf } from './film-formats';
import { SIZES, type FilmOrder } from './film-messages';
import { FilmPicture } from './film-picture';
import { FILM_RATE, FilmSound } from './film-sound';
import { ApiProblem } from '../../shared/api';

/** Pictures a second. */
export const FILM_FRAMES = 30;
/** Sound and pictures go in by turns, so many pictures at a time. */
const FRAMES_AT_ONCE = 15;
const VOICE_BITS = 64_000;
/** One picture in so many seconds stands for itself, so that a film can be entered there. */
const KEY_SECONDS = 4;
/** The file is written in pieces of this size. */
const PIECE_BYTES = 1024 * 1024;

export interface FilmMaking {
  readonly file: FilmFile;
  readonly soundOf: (takeId: string) => Promise<Blob>;
  readonly tell: (doneMs: number, totalMs: number) => void;
  readonly isCancelled: () => boolean;
}

/** Makes the film of a lesson. @returns whether it was made, and not cancelled */
export async function makeFilm(order: FilmOrder, { file, soundOf, tell, isCancelled }: FilmMaking): Promise<boolean> {
  const { lesson, takes, thinkAs, height, inks, burnsIn } = order;
  const coding = await codingOf(order.format, height);
  if (!coding) throw new ApiProblem('FILM_FORMAT', 'This browser cannot make a film of this format.');
  const film = filmOf(lesson, takes, thinkAs);
  const canvas = new OffscreenCanvas(SIZES[height], height);
  const picture = new FilmPicture(film, canvas, inks, burnsIn);
  const sound = new FilmSound(film, soundOf);
  const output = new Output({ format: coding.format, target: new StreamTarget(file.writable, { chunked: true, chunkSize: PIECE_BYTES }) });
  const frames = new CanvasSource(canvas, { codec: coding.video, bitrate: BITS[height], keyFrameInterval: KEY_SECONDS });
  const voice = new AudioSampleSource({ codec: coding.audio, bitrate: VOICE_BITS });
  output.addVideoTrack(frames, { frameRate: FILM_FRAMES });
  output.addAudioTrack(voice);
  output.setMetadataTags({ title: lesson.title });
  await output.start();
  const count = Math.ceil((film.totalMs * FILM_FRAMES) / 1000);
  for (let from = 0; from < count; from += FRAMES_AT_ONCE) {
    if (isCancelled()) {
      sound.close();
      await output.cancel();
      return false;
    }
    const to = Math.min(count, from + FRAMES_AT_ONCE);
    const said = await voiceBetween(sound, from / FILM_FRAMES, to / FILM_FRAMES);
    await voice.add(said);
    said.close();
    for (let frame = from; frame < to; frame++) {
      picture.draw((frame * 1000) / FILM_FRAMES);
      await frames.add(frame / FILM_FRAMES, 1 / FILM_FRAMES);
    }
    tell((to * 1000) / FILM_FRAMES, film.totalMs);
  }
  sound.close();
  await output.finalize();
  return true;
}

async function voiceBetween(sound: FilmSound, fromSec: number, toSec: number): Promise<AudioSample> {
  const data = await sound.read(Math.round(toSec * FILM_RATE) - Math.round(fromSec * FILM_RATE));
  return new AudioSample({ data, format: 'f32-planar', numberOfChannels: 1, sampleRate: FILM_RATE, timestamp: fromSec });
}
