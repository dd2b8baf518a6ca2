import { CoreError } from '@zeitpunkt/core/errors';
import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import type { Asking } from '@zeitpunkt/core/run/asking';
import { sameJson } from '@zeitpunkt/core/same-json';
import type { MarkedResponse, ResponseKept, ResponsePost } from '@zeitpunkt/contract';
import type { GroupCommit } from '../db/group-commit.js';
import { isKeyTaken } from '../db/key-taken.js';
import type { SessionQueries } from './queries.js';
import { jsonOf, responseOfRow, rowOf } from './response-rows.js';
import { SharedMarks, type MarkedOnce } from './shared-marks.js';

export interface AnswersNeeds {
  readonly queries: SessionQueries;
  readonly commit: GroupCommit;
  readonly nowMs: () => number;
  /** So often a pupil may answer one question. */
  readonly mostAttempts: number;
}

/** What a pupil gave to an asking, as far as it is needed while the room is open; the database has every attempt. */
interface Given {
  attempts: number;
  /** Of the attempts, those on their way included. */
  latest: MarkedResponse | null;
  /** The latest that counts; another one than the latest where that came late. */
  counting: MarkedResponse | null;
}

/** A response that is being written. */
interface OnTheWay {
  readonly marked: MarkedResponse;
  readonly kept: Promise<ResponseKept>;
}

/** The responses of a room: marked when they come, kept before anybody hears of them. */
export class Answers {
  /** By asking and pupil. */
  private readonly given = new Map<string, Map<string, Given>>();
  private readonly onTheWay = new Map<string, OnTheWay>();
  private readonly marks: SharedMarks;

  /** @param onKept is told a response and its JSON once it is on the disk */
  constructor(
    private readonly sessionId: string,
    before: readonly MarkedResponse[],
    settings: LessonSettings,
    private readonly needs: AnswersNeeds,
    private readonly onKept: (response: MarkedResponse, json: string) => void,
  ) {
    this.marks = new SharedMarks(settings, () => needs.queries.wordings(sessionId));
    for (const response of before) this.remember(response);
  }

  /** Each pupil's latest at each asking, and beside it the latest that counts; oldest first. */
  get latest(): readonly MarkedResponse[] {
    return this.with([]);
  }

  /** Attempts as they were read a moment ago, with those that are newer; oldest first. */
  with(before: readonly MarkedResponse[]): readonly MarkedResponse[] {
    const all = new Map(before.map((one) => [one.id, one]));
    for (const pupils of this.given.values()) {
      for (const { latest, counting } of pupils.values()) for (const one of [latest, counting]) if (one) all.set(one.id, one);
    }
    return [...all.values()].sort((a, b) => a.receivedAtMs - b.receivedAtMs || a.attempt - b.attempt);
  }

  latestOf(pupilId: string, askingId: string): MarkedResponse | undefined {
    return this.given.get(askingId)?.get(pupilId)?.latest ?? undefined;
  }

  /** Whether an answer to an asking is kept or on its way. */
  isAnswered(askingId: string): boolean {
    return [...(this.given.get(askingId)?.values() ?? [])].some(({ attempts }) => attempts > 0);
  }

  /**
   * Marks and keeps a response; resolves once it is on the disk. The same response sent again is acknowledged again. One that
   * comes after its question was closed is kept as late.
   * @param asking what the response names, if it was asked
   * @param also what is written with it or not at all
   * @param source how it came; what the teacher enters is never late
   * @throws CoreError QUESTION_NOT_OPEN, RESPONSE_SHAPE, RESPONSE_ID_TAKEN
   */
  keep(
    pupilId: string,
    post: ResponsePost,
    asking: Asking | undefined,
    source: MarkedResponse['source'] = 'device',
    also: () => void = () => undefined,
  ): Promise<ResponseKept> {
    const pending = this.onTheWay.get(post.id);
    if (pending) {
      keptAgain(pending.marked, pupilId, post);
      return pending.kept;
    }
    if (!asking) throw new CoreError('QUESTION_NOT_OPEN', 'This question has not been asked, so the answer was not taken.');
    const known = this.latestOf(pupilId, asking.id);
    if (known?.id === post.id) return Promise.resolve(keptAgain(known, pupilId, post));

    const own = this.ownOf(pupilId, asking.id);
    const { mostAttempts } = this.needs;
    if (own.attempts >= mostAttempts) {
      throw new CoreError('QUESTION_NOT_OPEN', `This question has had ${mostAttempts} answers from here. The last one of them counts.`, {
        mostAttempts,
      });
    }
    const once = this.marks.of(asking, post.response);
    const marked = this.marked(pupilId, post, asking, once, source, (own.attempts += 1));
    const row = rowOf(this.sessionId, marked, once);
    const kept = this.needs
      .commit(() => {
        this.needs.queries.insertResponse(row);
        also();
      })
      .then(
        () => {
          this.remember(marked);
          this.onKept(marked, jsonOf(marked, once));
          return keptOf(marked);
        },
        (error: unknown) => {
          if (own.attempts === marked.attempt) own.attempts -= 1;
          if (!isKeyTaken(error)) throw error;
          return this.keptBefore(pupilId, post);
        },
      )
      .finally(() => this.onTheWay.delete(post.id));
    this.onTheWay.set(post.id, { marked, kept });
    return kept;
  }

  /**
   * Lets a late response count, or not.
   * @returns whether that is news
   * @throws CoreError NOT_FOUND
   */
  count(responseId: string, counted: boolean): boolean {
    const row = this.needs.queries.response(responseId);
    if (row?.sessionId !== this.sessionId || !row.late) throw new CoreError('NOT_FOUND', 'There is no such late answer in this lesson.');
    if (row.counted === counted) return false;
    this.needs.queries.setCounted(responseId, counted);
    this.readAttempts(row);
    return true;
  }

  /**
   * Takes an answer back that the teacher entered.
   * @throws CoreError NOT_FOUND for any other
   */
  takeBack(responseId: string): void {
    const row = this.needs.queries.response(responseId);
    if (row?.sessionId !== this.sessionId || row.source === 'device') {
      throw new CoreError('NOT_FOUND', 'There is no such answer that was entered by hand.');
    }
    this.needs.queries.deleteResponse(responseId);
    this.readAttempts(row);
  }

  /**
   * The mark of a response was corrected, or that was taken back: it is as the database has it now.
   * @returns the response as it is then
   * @throws CoreError NOT_FOUND
   */
  corrected(responseId: string): MarkedResponse {
    const row = this.needs.queries.response(responseId);
    if (row?.sessionId !== this.sessionId) throw new CoreError('NOT_FOUND', 'There is no such answer in this lesson.');
    this.marks.forget();
    this.readAttempts(row);
    return responseOfRow(row, 'a pupil', this.needs.queries.correctionOf(responseId));
  }

  /** Other wordings count now: what comes is marked anew. */
  wordingsChanged(): void {
    this.marks.forget();
  }

  /** Takes a pupil's attempts at an asking as the database has them now. */
  readAttempts({ pupilId, askingId }: { readonly pupilId: string; readonly askingId: string }): void {
    const { attempts, correctionOf } = this.needs.queries;
    this.given.get(askingId)?.delete(pupilId);
    for (const one of attempts(this.sessionId, pupilId, askingId)) this.remember(responseOfRow(one, 'a pupil', correctionOf(one.id)));
  }

  /** Takes every attempt as the database has them now: two pupils became one. */
  readAgain(responses: readonly MarkedResponse[]): void {
    this.given.clear();
    for (const response of responses) this.remember(response);
  }

  /** Forgets what pupils have given: they were deleted. */
  forget(pupilIds: ReadonlySet<string>): void {
    for (const pupils of this.given.values()) for (const pupilId of pupilIds) pupils.delete(pupilId);
  }

  /** The acknowledgement of a response of this room that was kept before under its id. @throws CoreError RESPONSE_ID_TAKEN */
  private keptBefore(pupilId: string, post: ResponsePost): ResponseKept {
    const row = this.needs.queries.response(post.id);
    if (row?.sessionId !== this.sessionId) throw idTaken();
    return keptAgain(responseOfRow(row, 'this device', undefined), pupilId, post);
  }

  private marked(
    pupilId: string,
    post: ResponsePost,
    asking: Asking,
    once: MarkedOnce,
    source: MarkedResponse['source'],
    attempt: number,
  ): MarkedResponse {
    const { id, askingId, responseTimeMs, waitedMs = 0 } = post;
    const { response, mark } = once;
    const receivedAtMs = this.needs.nowMs();
    const { phase, closedAtMs } = asking;
    const late = phase === 'open' || source !== 'device' ? null : { givenAtMs: receivedAtMs - waitedMs, closedAtMs, counted: false };
    return { id, pupilId, askingId, attempt, response, mark, responseTimeMs, receivedAtMs, source, late, correction: null };
  }

  private ownOf(pupilId: string, askingId: string): Given {
    let pupils = this.given.get(askingId);
    if (!pupils) this.given.set(askingId, (pupils = new Map<string, Given>()));
    let own = pupils.get(pupilId);
    if (!own) pupils.set(pupilId, (own = { attempts: 0, latest: null, counting: null }));
    return own;
  }

  private remember(marked: MarkedResponse): void {
    const own = this.ownOf(marked.pupilId, marked.askingId);
    own.attempts = Math.max(own.attempts, marked.attempt);
    if (isLater(marked, own.latest)) own.latest = marked;
    if ((!marked.late || marked.late.counted) && isLater(marked, own.counting)) own.counting = marked;
  }
}

const isLater = (one: MarkedResponse, other: MarkedResponse | null) => other === null || one.attempt > other.attempt;

/** The acknowledgement of a response that was kept before. @throws CoreError RESPONSE_ID_TAKEN where it is another one */
function keptAgain(known: MarkedResponse, pupilId: string, post: ResponsePost): ResponseKept {
  const isSame = known.pupilId === pupilId && known.askingId === post.askingId && sameJson(known.response, post.response);
  if (!isSame) throw idTaken();
  return keptOf(known);
}

const idTaken = () => new CoreError('RESPONSE_ID_TAKEN', 'This response carries an id that another response has already.');

function keptOf({ id, askingId, attempt, receivedAtMs, late }: MarkedResponse): ResponseKept {
  return { id, askingId, attempt, receivedAtMs, late: late !== null };
}
