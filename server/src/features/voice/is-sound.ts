/** First bytes of the files that a browser records, and of WAV. Sources: EBML (RFC 8794), ISO 14496-12, Ogg (RFC 3533), RIFF. */
const BEGINNINGS: Readonly<Record<string, readonly [at: number, bytes: readonly number[]]>> = {
  'audio/webm': [0, [0x1a, 0x45, 0xdf, 0xa3]],
  'audio/mp4': [4, [...'ftyp'].map((letter) => letter.charCodeAt(0))],
  'audio/ogg': [0, [...'OggS'].map((letter) => letter.charCodeAt(0))],
  'audio/wav': [0, [...'RIFF'].map((letter) => letter.charCodeAt(0))],
};

/** Whether a file begins as a file of this kind of sound does. */
export function isSound(bytes: Buffer, mime: string): boolean {
  const beginning = BEGINNINGS[mime.split(';')[0]!];
  return beginning !== undefined && beginning[1].every((byte, index) => bytes[beginning[0] + index] === byte);
}
