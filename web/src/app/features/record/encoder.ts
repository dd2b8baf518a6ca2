/** Makes a file of sound out of what a microphone hears, piece by piece: all pieces one after the other are the file. */
export interface TakeEncoder {
  readonly mime: string;
  pause(): void;
  resume(): void;
  /** Ends it; the last piece has come when this is done. */
  stop(): Promise<void>;
}

/** @param take takes the next piece; @param fail hears that nothing more can be made. */
export type StartEncoder = (stream: MediaStream, take: (bytes: ArrayBuffer) => void, fail: () => void) => TakeEncoder;

/** A piece comes so often, in milliseconds: what is not kept yet when everything stops at once. */
export const PIECE_MS = 1000;
/** Enough for a voice, in bits a second. */
export const VOICE_BITS = 32_000;
