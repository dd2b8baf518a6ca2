/** Spans of time between answers, in milliseconds. */
export const MS_PER_DAY = 86_400_000;

/** Answers that are farther apart belong to different lessons. */
export const SAME_LESSON_MS = 3 * 3_600_000;
