import type { Type } from '@angular/core';
import type { QuestionKindId } from '@zeitpunkt/core';
import { ReadDialAnswer } from './read-dial-answer';
import { SetDialAnswer } from './set-dial-answer';

/** How a question of each kind is answered on the desk. A missing kind does not compile. */
export const ANSWER_VIEWS: Record<QuestionKindId, Type<unknown>> = { 'read-dial': ReadDialAnswer, 'set-dial': SetDialAnswer };
