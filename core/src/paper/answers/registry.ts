import type { ShapeId } from '../../question-kinds/shapes/shape.js';
import { choicesOnPaper } from './choices.js';
import { lineOnPaper } from './line.js';
import { numbersOnPaper } from './numbers.js';
import { orderOnPaper } from './order.js';
import { pairsOnPaper } from './pairs.js';
import type { PaperAnswer } from './paper-answer.js';
import { poseOnPaper } from './pose.js';
import { timeOnPaper } from './time.js';
import { timesOnPaper } from './times.js';
import { wordsOnPaper } from './words.js';

/** How each way of answering is done with a pencil. */
const PAPER_ANSWERS: { readonly [Shape in ShapeId]: PaperAnswer<Shape> } = {
  time: timeOnPaper,
  times: timesOnPaper,
  numbers: numbersOnPaper,
  words: wordsOnPaper,
  choices: choicesOnPaper,
  order: orderOnPaper,
  pairs: pairsOnPaper,
  line: lineOnPaper,
  pose: poseOnPaper,
};

/** The way of a view as a record over the union: a view finds its own by its shape, which the compiler cannot follow. */
export function paperAnswerOf({ shape }: { readonly shape: ShapeId }): PaperAnswer<ShapeId> {
  return PAPER_ANSWERS[shape] as unknown as PaperAnswer<ShapeId>;
}
