import { CoreError } from '@zeitpunkt/core/errors';
import { writeMark, writeResponse } from '@zeitpunkt/core/formats/stored';
import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import { acceptingItem, type ClassWording } from '@zeitpunkt/core/question-kinds/class-wordings';
import { markOf } from '@zeitpunkt/core/question-kinds/marking';
import { isNotSure } from '@zeitpunkt/core/question-kinds/not-sure';
import type { Mark } from '@zeitpunkt/core/question-kinds/question-kind';
import { canBeGiven, kindOf, textOfResponse, type Response } from '@zeitpunkt/core/question-kinds/registry';
import type { Asking } from '@zeitpunkt/core/run/asking';

/** A response with its mark, and both as JSON: as they are stored and as they are told. */
export interface MarkedOnce {
  readonly response: Response;
  readonly mark: Mark;
  readonly storedResponse: string;
  readonly storedMark: string;
  readonly toldResponse: string;
  readonly toldMark: string;
}

/** So many different responses to one asking are remembered; a class seldom has more than a dozen. */
const MOST_REMEMBERED = 500;

/** Marks each different response to an asking once: many pupils give the same. */
export class SharedMarks {
  private readonly byAsking = new Map<string, Map<string, MarkedOnce>>();

  /** @param wordings that count in the class beside those of the word pack */
  constructor(
    private readonly settings: LessonSettings,
    private readonly wordings: () => readonly ClassWording[],
  ) {}

  /** Forgets all marks: other wordings count now. */
  forget(): void {
    this.byAsking.clear();
  }

  /** @throws CoreError RESPONSE_SHAPE where the question cannot be answered so */
  of({ id, item }: Asking, response: Response): MarkedOnce {
    let known = this.byAsking.get(id);
    if (!known) this.byAsking.set(id, (known = new Map<string, MarkedOnce>()));
    const toldResponse = JSON.stringify(response);
    const found = known.get(toldResponse);
    if (found) return found;
    if (!isNotSure(response) && item.kind !== response.kind) {
      throw new CoreError('RESPONSE_SHAPE', `This question takes a response of the kind ${item.kind}, but ${response.kind} came.`, {
        expected: item.kind,
        kind: response.kind,
      });
    }
    if (!canBeGiven(item, response, this.settings)) {
      throw new CoreError('RESPONSE_SHAPE', `This question cannot be answered so: ${textOfResponse(item, response, this.settings)}.`, {
        response: textOfResponse(item, response, this.settings),
      });
    }
    // Only a kind that takes words has the class's own looked up.
    const asked = kindOf(item).accepting ? acceptingItem(item, this.wordings()) : item;
    const mark = markOf(asked, response, this.settings);
    const marked = {
      response,
      mark,
      storedResponse: writeResponse(response),
      storedMark: writeMark(mark),
      toldResponse,
      toldMark: JSON.stringify(mark),
    };
    if (known.size < MOST_REMEMBERED) known.set(toldResponse, marked);
    return marked;
  }
}
