import type { TriesLimits } from './failed-tries.js';

/** How much a place gets where strangers reach the server, and how large a body may be. */
export interface Limits {
  readonly signIn: TriesLimits;
  readonly roomKey: TriesLimits;
  readonly deskBodyBytes: number;
  readonly teacherBodyBytes: number;
  /** A lesson of 300 beats, most of them demonstrations with every layer set and some free ink, is about 1.5 MB. */
  readonly lessonBodyBytes: number;
}

export const DEFAULT_LIMITS: Limits = {
  signIn: { perDevice: 8, perAddress: 30, perServer: 120, turnMs: 1000 },
  // There are 11,880 room keys. 300 tries a minute find one of a lesson's ten open minutes in one of four lessons, and then
  // the teacher still lets in or not.
  roomKey: { perDevice: 12, perAddress: 60, perServer: 300, turnMs: 1000 },
  deskBodyBytes: 8 * 1024,
  teacherBodyBytes: 64 * 1024,
  lessonBodyBytes: 4 * 1024 * 1024,
};
