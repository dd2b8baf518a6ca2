import isView from '../../../generated/shapes/pose';
import type { ShapeViews } from '../views-of-shape';
import { PoseAnswerView } from './answer';
import { PoseResponseView } from './response';

export const views: ShapeViews = { answer: PoseAnswerView, response: PoseResponseView, isView };
