/** How many tries a place gets within a minute where strangers reach the server, and how large a body may be. */
export interface Limits {
  readonly signInPerMinute: number;
  /** A whole class may sit behind one address: two requests for each of 36 pupils, and mistypings. */
  readonly joinPerMinute: number;
  readonly deskBodyBytes: number;
  readonly teacherBodyBytes: number;
  /** A lesson of 300 beats, most of them demonstrations with every layer set and some free ink, is about 1.5 MB. */
  readonly lessonBodyBytes: number;
}

export const DEFAULT_LIMITS: Limits = {
  signInPerMinute: 10,
  joinPerMinute: 120,
  deskBodyBytes: 8 * 1024,
  teacherBodyBytes: 64 * 1024,
  lessonBodyBytes: 4 * 1024 * 1024,
};
