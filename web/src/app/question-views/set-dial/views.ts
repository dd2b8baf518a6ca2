import isView from '../../../generated/question-kinds/set-dial';
import type { KindViews } from '../kind-views';
import { SetDialAnswer } from './answer';
import { SetDialResponseView } from './response';

export const views: KindViews = { answer: SetDialAnswer, response: SetDialResponseView, isView };
