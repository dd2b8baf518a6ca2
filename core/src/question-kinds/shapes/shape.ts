/**
 * How a question is answered. A shape says what a pupil gives, what a device must know to take it, and when two answers are
 * the same; many kinds of questions share one, so that a new kind brings no new way of answering with it.
 */
export const SHAPE_IDS = ['time', 'pose', 'choices', 'numbers', 'times', 'words', 'pairs', 'order', 'line'] as const;
export type ShapeId = (typeof SHAPE_IDS)[number];
