import isView from '../../../generated/shapes/times';
import type { ShapeViews } from '../shape-views';
import { TextResponse } from '../text-response';
import { TimesAnswerView } from './answer';

export const views: ShapeViews = { answer: TimesAnswerView, response: TextResponse, isView };
