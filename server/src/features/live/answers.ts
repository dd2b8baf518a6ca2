import {
  CoreError,
  kindOf,
  LatestAttempts,
  markOf,
  sameJson,
  writeMark,
  writeResponse,
  type Asking,
  type LessonSettings,
} from '@zeitpunkt/core';
import type { MarkedResponse, ResponseKept, ResponsePost } from '@zeitpunkt/contract';
import type { GroupCommit } from '../../db/group-commit.js';
import { isKeyTaken } from '../../db/key-taken.js';
import type { LiveQueries } from './queries.js';

export interface AnswersNeeds {
  readonly queries: LiveQueries;
  readonly commit: GroupCommit;
  readonly nowMs: () => number;
}

/** The responses of a room: marked when they come, kept before anybody hears of them. */
export class Answers {
  private readonly byId = new Map<string, MarkedResponse>();
  private readonly latest = new LatestAttempts<MarkedResponse>();
  private readonly onTheWay = new Map<string, OnTheWay>();
  /** Attempts given out, those on their way included. */
  private readonly attempts = new Map<string, number>();

  constructor(
    private readonly sessionId: string,
    before: readonly MarkedResponse[],
    private readonly settings: LessonSettings,
    private readonly needs: AnswersNeeds,
    private readonly onKept: (response: MarkedResponse) => void,
  ) {
    for (const response of before) this.remember(response);
  }

  /** Every attempt, oldest first. */
  get all(): readonly MarkedResponse[] {
    return [...this.byId.values()];
  }

  latestOf(pupilId: string, askingId: string): MarkedResponse | undefined {
    return this.latest.of(pupilId, askingId);
  }

  /**
   * Marks and keeps a response; resolves once it is on the disk. The same response sent again is acknowledged again,
   * even when the question has closed meanwhile.
   * @param asking what the response names, if it was asked
   * @throws CoreError QUESTION_NOT_OPEN, RESPONSE_SHAPE, RESPONSE_ID_TAKEN
   */
  keep(pupilId: string, post: ResponsePost, asking: Asking | undefined): Promise<ResponseKept> {
    const known = this.byId.get(post.id);
    if (known) return Promise.resolve(keptAgain(known, pupilId, post));
    const pending = this.onTheWay.get(post.id);
    if (pending) {
      keptAgain(pending.marked, pupilId, post);
      return pending.kept;
    }

    const marked = this.mark(pupilId, post, asking);
    const { response, mark, ...row } = marked;
    const write = () =>
      this.needs.queries.insertResponse({ ...row, sessionId: this.sessionId, given: writeResponse(response), mark: writeMark(mark) });
    const kept = this.needs
      .commit(write)
      .catch((error: unknown) => {
        throw isKeyTaken(error) ? idTaken() : error; // by a response of another room
      })
      .then(() => {
        this.remember(marked);
        this.onKept(marked);
        return keptOf(marked);
      })
      .finally(() => this.onTheWay.delete(post.id));
    this.onTheWay.set(post.id, { marked, kept });
    return kept;
  }

  /** Forgets what pupils have given: they were deleted. */
  forget(pupilIds: ReadonlySet<string>): void {
    for (const [id, { pupilId }] of this.byId) if (pupilIds.has(pupilId)) this.byId.delete(id);
    for (const pupilId of pupilIds) this.latest.forget(pupilId);
  }

  private mark(pupilId: string, post: ResponsePost, asking: Asking | undefined): MarkedResponse {
    if (asking?.phase !== 'open') {
      throw new CoreError('QUESTION_NOT_OPEN', 'This question is not open any more, so the answer was not taken.');
    }
    const { item } = asking;
    if (item.kind !== post.response.kind) {
      throw new CoreError('RESPONSE_SHAPE', `This question takes a response of the kind ${item.kind}, but ${post.response.kind} came.`);
    }
    if (!kindOf(item).isPossible(item, post.response)) {
      throw new CoreError('RESPONSE_SHAPE', `This question cannot be answered so: ${kindOf(item).responseText(item, post.response)}.`);
    }
    const place = `${pupilId} ${post.askingId}`;
    const attempt = (this.attempts.get(place) ?? 0) + 1;
    this.attempts.set(place, attempt);
    return { ...post, pupilId, attempt, mark: markOf(item, post.response, this.settings), receivedAtMs: this.needs.nowMs() };
  }

  private remember(marked: MarkedResponse): void {
    const place = `${marked.pupilId} ${marked.askingId}`;
    this.byId.set(marked.id, marked);
    this.latest.add(marked);
    this.attempts.set(place, Math.max(this.attempts.get(place) ?? 0, marked.attempt));
  }
}

type Kept = Pick<MarkedResponse, 'id' | 'pupilId' | 'askingId' | 'attempt' | 'receivedAtMs' | 'response'>;

/** A response that is being written. */
interface OnTheWay {
  readonly marked: MarkedResponse;
  readonly kept: Promise<ResponseKept>;
}

/** The acknowledgement of a response that was kept before. @throws CoreError RESPONSE_ID_TAKEN where it is another one */
export function keptAgain(known: Kept, pupilId: string, post: ResponsePost): ResponseKept {
  const isSame = known.pupilId === pupilId && known.askingId === post.askingId && sameJson(known.response, post.response);
  if (!isSame) throw idTaken();
  return keptOf(known);
}

const idTaken = () => new CoreError('RESPONSE_ID_TAKEN', 'This response carries an id that another response has already.');

function keptOf({ id, askingId, attempt, receivedAtMs }: Kept): ResponseKept {
  return { id, askingId, attempt, receivedAtMs };
}
