import { SILENT_DB } from './speech.js';

/** What is wrong with how a microphone hears somebody, if anything is. */
export type LevelFault = 'silent' | 'quiet' | 'loud';

/** What was heard lately. */
export interface LevelWatch {
  /** Since when nothing was heard at all, and since when nothing well, in milliseconds on the clock of the watch. */
  readonly silentSinceMs: number | null;
  readonly loudAtMs: number | null;
  /** The loudest of each of the last seconds, in dB, the latest last. */
  readonly peaks: readonly { readonly atMs: number; readonly db: number }[];
  readonly fault: LevelFault | null;
}

export const NEW_WATCH: LevelWatch = { silentSinceMs: null, loudAtMs: null, peaks: [], fault: null };

/** Nothing is heard for so long: the microphone is off, or another one is meant. In milliseconds. */
const SILENT_MS = 2500;
/** Speech that stays below this for so long is too quiet. */
const QUIET_DB = -38;
const QUIET_MS = 4000;
/** Samples this near to the end of the scale are cut off: too loud, and said for a while. */
const CLIPPED = 0.985;
const LOUD_SHOWN_MS = 2500;

/**
 * Takes in what is heard now.
 * @param db how loud it is now
 * @param peak the farthest sample, 0 to 1
 */
export function watchLevel(watch: LevelWatch, db: number, peak: number, nowMs: number): LevelWatch {
  const silentSinceMs = db < SILENT_DB - 8 ? (watch.silentSinceMs ?? nowMs) : null;
  const loudAtMs = peak >= CLIPPED ? nowMs : watch.loudAtMs;
  const peaks = [...watch.peaks.filter(({ atMs }) => nowMs - atMs < QUIET_MS), { atMs: nowMs, db }];
  return { silentSinceMs, loudAtMs, peaks, fault: faultOf(silentSinceMs, loudAtMs, peaks, nowMs) };
}

function faultOf(silentSinceMs: number | null, loudAtMs: number | null, peaks: LevelWatch['peaks'], nowMs: number): LevelFault | null {
  if (loudAtMs !== null && nowMs - loudAtMs < LOUD_SHOWN_MS) return 'loud';
  if (silentSinceMs !== null && nowMs - silentSinceMs >= SILENT_MS) return 'silent';
  const first = peaks[0];
  if (!first || nowMs - first.atMs < QUIET_MS * 0.9) return null;
  const loudest = Math.max(...peaks.map(({ db }) => db));
  return loudest >= SILENT_DB && loudest < QUIET_DB ? 'quiet' : null;
}
