import isView from '../../../generated/shapes/line';
import type { ShapeViews } from '../views-of-shape';
import { TextResponse } from '../text-response';
import { LineAnswerView } from './answer';
import { LineLarge } from './large';

export const views: ShapeViews = { answer: LineAnswerView, response: TextResponse, large: LineLarge, isView };
