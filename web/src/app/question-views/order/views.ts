import isView from '../../../generated/shapes/order';
import type { ShapeViews } from '../shape-views';
import { TextResponse } from '../text-response';
import { OrderAnswerView } from './answer';

export const views: ShapeViews = { answer: OrderAnswerView, response: TextResponse, isView };
