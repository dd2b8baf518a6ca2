import isView from '../../../generated/shapes/times';
import type { ShapeViews } from '../views-of-shape';
import { TextResponse } from '../text-response';
import { TimesAnswerView } from './answer';

export const views: ShapeViews = { answer: TimesAnswerView, response: TextResponse, isView };
