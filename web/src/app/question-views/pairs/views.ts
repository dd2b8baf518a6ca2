import isView from '../../../generated/shapes/pairs';
import type { ShapeViews } from '../shape-views';
import { TextResponse } from '../text-response';
import { PairsAnswerView } from './answer';
import { PairsLarge } from './large';

export const views: ShapeViews = { answer: PairsAnswerView, response: TextResponse, large: PairsLarge, isView };
