import isView from '../../../generated/shapes/numbers';
import type { ShapeViews } from '../views-of-shape';
import { TextResponse } from '../text-response';
import { NumbersAnswerView } from './answer';

export const views: ShapeViews = { answer: NumbersAnswerView, response: TextResponse, isView };
