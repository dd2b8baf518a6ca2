import isView from '../../../generated/shapes/line';
import type { ShapeViews } from '../shape-views';
import { TextResponse } from '../text-response';
import { LineAnswerView } from './answer';

export const views: ShapeViews = { answer: LineAnswerView, response: TextResponse, isView };
