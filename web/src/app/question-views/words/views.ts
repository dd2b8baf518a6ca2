import isView from '../../../generated/shapes/words';
import type { ShapeViews } from '../views-of-shape';
import { TextResponse } from '../text-response';
import { WordsAnswerView } from './answer';

export const views: ShapeViews = { answer: WordsAnswerView, response: TextResponse, isView };
