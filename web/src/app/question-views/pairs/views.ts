import isView from '../../../generated/shapes/pairs';
import type { ShapeViews } from '../views-of-shape';
import { TextResponse } from '../text-response';
import { PairsAnswerView } from './answer';
import { PairsLarge } from './large';

export const views: ShapeViews = { answer: PairsAnswerView, response: TextResponse, large: PairsLarge, isView };
