import isView from '../../../generated/shapes/order';
import type { ShapeViews } from '../views-of-shape';
import { TextResponse } from '../text-response';
import { OrderAnswerView } from './answer';
import { OrderLarge } from './large';

export const views: ShapeViews = { answer: OrderAnswerView, response: TextResponse, large: OrderLarge, isView };
