import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const FOLDER = join(import.meta.dirname, '../../../test-results');
const FILE = join(FOLDER, 'voice.wav');
const RATE = 48_000;
/** Syllables of each phrase; a pause comes after each. */
const PHRASES = [6, 9, 4, 7];
const [SYLLABLE_MS, PAUSE_MS] = [190, 420];

/** What a browser is started with so that its microphone hears a hum with the rhythm of speech, again and again, and may be used. */
export function voiceTrack(): string[] {
  mkdirSync(FOLDER, { recursive: true });
  writeFileSync(FILE, wav(PHRASES.flatMap((syllables) => [...Array.from({ length: syllables }, () => syllable()), silence()]).flat()));
  return ['--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream', `--use-file-for-fake-audio-capture=${FILE}`];
}

const silence = (): number[] => Array.from({ length: (PAUSE_MS * RATE) / 1000 }, () => 0);

function syllable(): number[] {
  const length = (SYLLABLE_MS * RATE) / 1000;
  return Array.from({ length }, (_, index) => {
    const envelope = Math.min(1, (6 * index) / length, (6 * (length - index)) / length);
    const turn = (2 * Math.PI * 180 * index) / RATE;
    return 0.3 * envelope * (Math.sin(turn) + 0.5 * Math.sin(3 * turn) + 0.3 * Math.sin(6 * turn));
  });
}

/** A WAV file of 16 bits, one channel. */
function wav(samples: readonly number[]): Buffer {
  const file = Buffer.alloc(44 + samples.length * 2);
  file.write('RIFF', 0);
  file.writeUInt32LE(36 + samples.length * 2, 4);
  file.write('WAVEfmt ', 8);
  file.writeUInt32LE(16, 16);
  file.writeUInt16LE(1, 20);
  file.writeUInt16LE(1, 22);
  file.writeUInt32LE(RATE, 24);
  file.writeUInt32LE(RATE * 2, 28);
  file.writeUInt16LE(2, 32);
  file.writeUInt16LE(16, 34);
  file.write('data', 36);
  file.writeUInt32LE(samples.length * 2, 40);
  samples.forEach((value, index) => file.writeInt16LE(Math.round(value * 32_767), 44 + index * 2));
  return file;
}
