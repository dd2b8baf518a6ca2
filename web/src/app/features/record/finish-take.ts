import type { Span, Take } from '@zeitpunkt/core/voice/take';
import { cuesOf } from '@zeitpunkt/core/voice/align';
import { LEVEL_MS, levelsOf } from '@zeitpunkt/core/voice/levels';
import { shiftSpans, speechIn } from '@zeitpunkt/core/voice/speech';
import type { KeptTake } from './take-store';

/** Loudness and pauses need no more samples a second than this. */
const LISTEN_RATE = 16_000;

/** Cutting takes more code than the rest of the page: it comes beside it. */
export const fetchCutter = () => import('../../shared/voice/cut-sound');

/** A take as it is kept, with its sound. */
export interface WholeTake {
  readonly take: Take;
  readonly sound: ArrayBuffer;
}

/**
 * Makes a take out of what was recorded: finds the speech, cuts off the silence at both ends, and lays the captions along it.
 * @returns null where nobody is heard
 */
export async function finishTake(kept: Omit<KeptTake, 'whole'>, pieces: readonly ArrayBuffer[]): Promise<WholeTake | null> {
  const raw = new Blob([...pieces], { type: kept.mime });
  const levels = await levelsIn(await raw.arrayBuffer());
  const speech = levels && speechIn(levels);
  if (!speech) return null;
  const { cutSound } = await fetchCutter();
  // Where the stage moves, what is said goes with what is seen: only its end is cut.
  const cut = { fromMs: kept.moves ? 0 : speech.kept.fromMs, toMs: speech.kept.toMs };
  const { sound, mime } = await cutSound(raw, cut);
  const durationMs = Math.round(cut.toMs - cut.fromMs);
  const spans: Span[] = shiftSpans(speech.spans, -cut.fromMs);
  const { id, at, said, fingerprint, madeAtMs } = kept;
  const take: Take = {
    id,
    at,
    durationMs,
    mime,
    speechDb: speech.speechDb,
    speech: spans,
    said,
    fingerprint,
    cues: cuesOf(said, spans, durationMs),
    cuesEdited: false,
    madeAtMs,
  };
  return { take, sound };
}

/** The levels of a file of sound; null where it holds none, as when a recording was cut off at once. */
async function levelsIn(bytes: ArrayBuffer): Promise<Float32Array | null> {
  try {
    const context = new OfflineAudioContext(1, LEVEL_MS, LISTEN_RATE);
    const sound = await context.decodeAudioData(bytes);
    return levelsOf(sound.getChannelData(0), sound.sampleRate);
  } catch (error) {
    if (error instanceof DOMException && error.name === 'EncodingError') return null;
    throw error;
  }
}
