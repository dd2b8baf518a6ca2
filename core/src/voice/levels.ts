/** A level is measured over so many milliseconds: shorter than a syllable, longer than a wave of the deepest voice. */
export const LEVEL_MS = 20;
/** Digital silence, in dB. */
export const LOWEST_DB = -100;

/** The loudness of a piece of sound, in dB below the loudest that can be kept: 0 for full scale, −100 for none at all. */
export function decibelOf(samples: Float32Array, from = 0, to = samples.length): number {
  let sum = 0;
  for (let index = from; index < to; index++) sum += samples[index]! * samples[index]!;
  const power = to > from ? sum / (to - from) : 0;
  return power > 0 ? Math.max(LOWEST_DB, Math.min(0, 10 * Math.log10(power))) : LOWEST_DB;
}

/**
 * The loudness of a sound over its length, one level each 20 ms.
 * @param samples of one channel, −1 to 1
 * @param rate samples a second
 */
export function levelsOf(samples: Float32Array, rate: number): Float32Array {
  const size = Math.max(1, Math.round((rate * LEVEL_MS) / 1000));
  const levels = new Float32Array(Math.ceil(samples.length / size));
  for (let place = 0; place < levels.length; place++) {
    levels[place] = decibelOf(samples, place * size, Math.min(samples.length, (place + 1) * size));
  }
  return levels;
}
