import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import type { Inks } from '@zeitpunkt/core/scene/scene-node';
import type { ThinkAs } from '@zeitpunkt/core/voice/film';
import type { Take } from '@zeitpunkt/core/voice/take';
import type { ToldProblem } from '../../shared/told-problem';

/** A file of the page's own font, so that a worker can draw with it. */
export interface FontFile {
  readonly url: string;
  readonly weight: string;
  readonly unicodeRange: string;
}

export const FILM_FONT = 'Andika';

/** Where the browser keeps films of its own until they are downloaded. */
export const FILM_FOLDER = 'zeitpunkt-films';

/** Heights of the picture, in pixels; it is 16 to 9. */
export const SIZES = { 720: 1280, 1080: 1920 } as const;
export type FilmHeight = keyof typeof SIZES;

export type FilmFormat = 'mp4' | 'webm' | 'webm-av1';

/** A format that a browser can make, with how its sound is coded there. */
export interface FilmKind {
  readonly format: FilmFormat;
  readonly sound: 'aac' | 'opus';
}

/** What is made of a lesson. */
export interface FilmWish {
  readonly thinkAs: ThinkAs;
  readonly height: FilmHeight;
  readonly format: FilmFormat;
  /** Captions are drawn into the picture, under the stage. */
  readonly burnsIn: boolean;
}

/** All that a film is made of. */
export interface FilmOrder extends FilmWish {
  readonly lessonId: string;
  readonly lesson: Lesson;
  readonly takes: readonly Take[];
  readonly inks: Inks;
  readonly fonts: readonly FontFile[];
  /** The file to write to; null: one of the browser's own, to be downloaded afterwards. */
  readonly file: FileSystemFileHandle | null;
}

/** Page → the worker that makes films. */
export type ToFilmWorker =
  | { readonly type: 'formats'; readonly height: FilmHeight }
  | { readonly type: 'make'; readonly order: FilmOrder }
  | { readonly type: 'cancel' };

/** The worker → its page. */
export type FromFilmWorker =
  | { readonly type: 'formats'; readonly formats: readonly FilmKind[] }
  | { readonly type: 'progress'; readonly doneMs: number; readonly totalMs: number }
  /** It is made: as a file of the browser's own, or null where it stands in the file that was chosen. */
  | { readonly type: 'made'; readonly name: string | null; readonly bytes: number }
  | { readonly type: 'cancelled' }
  | { readonly type: 'failed'; readonly problem: ToldProblem };
