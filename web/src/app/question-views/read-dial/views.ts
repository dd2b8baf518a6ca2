import isView from '../../../generated/question-kinds/read-dial';
import type { KindViews } from '../kind-views';
import { ReadDialAnswer } from './answer';
import { ReadDialResponseView } from './response';

export const views: KindViews = { answer: ReadDialAnswer, response: ReadDialResponseView, isView };
