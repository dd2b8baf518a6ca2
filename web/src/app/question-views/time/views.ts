import isView from '../../../generated/shapes/time';
import type { ShapeViews } from '../views-of-shape';
import { TextResponse } from '../text-response';
import { TimeAnswerView } from './answer';

export const views: ShapeViews = { answer: TimeAnswerView, response: TextResponse, isView };
