import isView from '../../../generated/question-kinds/choose-all';
import type { KindViews } from '../kind-views';
import { ChooseAllAnswer } from './answer';
import { ChooseAllResponseView } from './response';

export const views: KindViews = { answer: ChooseAllAnswer, response: ChooseAllResponseView, isView };
