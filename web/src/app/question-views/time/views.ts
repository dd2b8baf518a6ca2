import isView from '../../../generated/shapes/time';
import type { ShapeViews } from '../shape-views';
import { TextResponse } from '../text-response';
import { TimeAnswerView } from './answer';

export const views: ShapeViews = { answer: TimeAnswerView, response: TextResponse, isView };
