import isView from '../../../generated/shapes/choices';
import type { ShapeViews } from '../views-of-shape';
import { ChoicesAnswerView } from './answer';
import { ChoicesResponseView } from './response';

export const views: ShapeViews = { answer: ChoicesAnswerView, response: ChoicesResponseView, isView };
