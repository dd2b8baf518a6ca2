import { PARTS, RATES, SIZES } from '@zeitpunkt/contract';
import type { TriesLimits } from './failed-tries.js';

/** How much a place gets where strangers reach the server, and how large a body may be. */
export interface Limits {
  readonly signIn: TriesLimits;
  /** One-time codes of a teacher whose password was right, wherever they come from. */
  readonly secondFactor: TriesLimits;
  readonly roomKey: TriesLimits;
  /** Keys of what stays open for days. */
  readonly lastingKey: TriesLimits;
  /** So often a pupil may answer one question: each time costs a place on the disk, and nobody changes their mind so often. */
  readonly attempts: number;
  readonly deskBodyBytes: number;
  readonly teacherBodyBytes: number;
  /** A lesson of 300 beats, most of them demonstrations with every layer set and some free ink, is about 1.5 MB. */
  readonly lessonBodyBytes: number;
}

export const DEFAULT_LIMITS: Limits = {
  // Three of a million codes are right at a time: ten tries an hour find one in four years, in half of the cases.
  secondFactor: { perDevice: RATES.secondFactor.most, perAddress: 60, perServer: 120, turnMs: 1000, withinMs: 3_600_000 },
  signIn: { perDevice: RATES.signInsOfDevice.most, perAddress: RATES.signInsOfAddress.most, perServer: 120, turnMs: 1000 },
  // There are 11,880 room keys. 300 tries a minute find one of a lesson's ten open minutes in one of four lessons, and then
  // the teacher still lets in or not. Beyond that nothing is tried for whoever is not known: they knock.
  // A class that comes for the first time sits behind one address and looks at the pictures twice.
  roomKey: { perDevice: RATES.keysOfDevice.most, perAddress: RATES.keysOfAddress.most, perServer: 300, turnMs: 1000 },
  // 665,280 keys: at 60 wrong ones an hour, wherever they come from, it takes 462 days to try all of them.
  lastingKey: {
    perDevice: RATES.keysOfDevice.most,
    perAddress: RATES.lastingKeys.most,
    perServer: RATES.lastingKeys.most,
    turnMs: 0,
    withinMs: 3_600_000,
  },
  attempts: PARTS.attempts.most,
  deskBodyBytes: SIZES.fromDesk.bytes,
  teacherBodyBytes: SIZES.fromTeacher.bytes,
  lessonBodyBytes: SIZES.lesson.bytes,
};
