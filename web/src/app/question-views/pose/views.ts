import isView from '../../../generated/shapes/pose';
import type { ShapeViews } from '../shape-views';
import { PoseAnswerView } from './answer';
import { PoseResponseView } from './response';

export const views: ShapeViews = { answer: PoseAnswerView, response: PoseResponseView, isView };
