import {
  canEncodeAudio,
  canEncodeVideo,
  Mp4OutputFormat,
  WebMOutputFormat,
  type AudioCodec,
  type OutputFormat,
  type VideoCodec,
} from 'mediabunny';
import { SIZES, type FilmFormat, type FilmHeight, type FilmKind } from './film-messages';

interface Coding {
  readonly video: readonly VideoCodec[];
  readonly audio: readonly AudioCodec[];
  readonly format: () => OutputFormat;
}

/** How each format is coded: the first of each that the browser has. */
const CODINGS: Readonly<Record<FilmFormat, Coding>> = {
  // The list of what is in the file comes at its end, so that it can be written as it is made.
  mp4: { video: ['avc'], audio: ['aac', 'opus'], format: () => new Mp4OutputFormat({ fastStart: false }) },
  webm: { video: ['vp9', 'vp8'], audio: ['opus'], format: () => new WebMOutputFormat() },
  'webm-av1': { video: ['av1'], audio: ['opus'], format: () => new WebMOutputFormat() },
};

/** Bits a second that a picture of this height needs: flat colours and fine lines. */
export const BITS: Readonly<Record<FilmHeight, number>> = { 720: 900_000, 1080: 1_800_000 };

export interface ChosenCoding {
  readonly video: VideoCodec;
  readonly audio: AudioCodec;
  readonly format: OutputFormat;
}

/** How this browser makes a film of a format; null where it cannot. */
export async function codingOf(format: FilmFormat, height: FilmHeight): Promise<ChosenCoding | null> {
  const coding = CODINGS[format];
  const size = { width: SIZES[height], height };
  const video = await firstOf(coding.video, (codec) => canEncodeVideo(codec, size));
  const audio = await firstOf(coding.audio, (codec) => canEncodeAudio(codec, { numberOfChannels: 1, sampleRate: 48_000 }));
  return video && audio && { video, audio, format: coding.format() };
}

/** The formats that this browser can make. */
export async function formatsHere(height: FilmHeight): Promise<FilmKind[]> {
  const all = Object.keys(CODINGS) as FilmFormat[];
  const can = await Promise.all(all.map((format) => codingOf(format, height)));
  return all.flatMap((format, index) => {
    const sound = can[index]?.audio;
    return sound ? [{ format, sound: sound === 'aac' ? ('aac' as const) : ('opus' as const) }] : [];
  });
}

async function firstOf<T>(all: readonly T[], can: (one: T) => Promise<boolean>): Promise<T | null> {
  for (const one of all) if (await can(one)) return one;
  return null;
}
