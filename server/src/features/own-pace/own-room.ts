import { CoreError } from '@zeitpunkt/core/errors';
import type { PreparedLesson } from '@zeitpunkt/core/lesson/prepare';
import type { StepRef } from '@zeitpunkt/core/lesson/step-ref';
import type { Run } from '@zeitpunkt/core/run/run';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { answeredOwn, goOwn, ownSteps } from '@zeitpunkt/core/run/own-pace';
import type {
  DeskView,
  MarkedResponse,
  OwnPaceLive,
  OwnPaceProgress,
  OwnPlace,
  Participant,
  Pupil,
  ResponseKept,
  ResponsePost,
} from '@zeitpunkt/contract';
import { Answers } from '../../sessions/answers.js';
import { Hub } from '../../sessions/hub.js';
import type { Line } from '../../sessions/line.js';
import type { RoomNeeds } from '../../sessions/live-room.js';
import type { OpenRoom } from '../../sessions/open-room.js';
import { Roster, type Coming } from '../../sessions/roster.js';
import type { SessionRecord } from '../../sessions/session-record.js';
import { InTurn } from './in-turn.js';
import { mustBeOpen } from './own-days.js';
import { OwnWindows } from './own-windows.js';
import { OwnPlaces, type Standing } from './own-places.js';
import { OwnDesks } from './own-desks.js';
import type { OwnPaceQueries } from './queries.js';
import type { ownPace } from '../../tables/own-pace.js';

export interface OwnRoomNeeds extends Omit<RoomNeeds, 'onEnded' | 'wrongKeys'> {
  readonly own: OwnPaceQueries;
}

/** A lesson that was given out: each pupil's run of it, their answers, and the teachers who look on. */
export class OwnRoom implements OpenRoom {
  readonly id: string;
  readonly classId: string;
  readonly teacherId: string;
  readonly className: string;
  readonly lessonId: string;
  readonly lesson: PreparedLesson;
  readonly admitsNewcomers = false;
  /** A school week: it is gone on with on other days. */
  readonly deskSeconds = 7 * 24 * 3600;
  private readonly roster: Roster;
  private readonly answers: Answers;
  private readonly hub: Hub;
  private readonly windows = new OwnWindows();
  private readonly desks: OwnDesks;
  private readonly places: OwnPlaces;
  private readonly turns = new InTurn();
  constructor(
    record: SessionRecord,
    private given: typeof ownPace.$inferSelect,
    private readonly needs: OwnRoomNeeds,
  ) {
    const { id, lesson, participants, responses } = record;
    this.id = id;
    this.classId = record.classId;
    this.teacherId = record.teacherId;
    this.className = record.className;
    this.lessonId = record.lessonId;
    this.lesson = lesson;
    this.hub = new Hub((participantId, online) => this.setOnline(participantId, online));
    this.answers = new Answers(id, responses, lesson.lesson.settings, needs, (response) => this.answered(response));
    this.places = new OwnPlaces(id, lesson, needs);
    this.places.mend((pupilId, askingId) => this.answers.latestOf(pupilId, askingId) !== undefined);
    this.roster = new Roster(id, this.places.pupils, participants, needs.queries);
    this.desks = new OwnDesks({
      nowMs: needs.nowMs,
      lesson,
      className: this.className,
      given: () => this.given,
      roster: this.roster,
      answers: this.answers,
      places: this.places,
      hub: this.hub,
      takes: () => needs.takesOf(record.lessonId),
    });
  }

  /** Whose place no device has yet, and the others. */
  get names(): { readonly pupils: readonly Pupil[]; readonly inAlready: readonly Pupil[] } {
    return this.roster.names;
  }

  get isByKey(): boolean {
    return this.given.byKey;
  }

  /** By key a device comes in where none is yet: it takes no place over, since whoever has the key could. @throws CoreError NAME_TAKEN */
  join({ participantId, pupilId, tokenHash }: Coming): string {
    const before = this.roster.all.find((one) => one.pupilId === pupilId);
    if (before && before.id !== participantId) {
      throw new CoreError(
        'NAME_TAKEN',
        `${before.name} works on another device already. Go on there, come in with your join card, or ask your teacher to let you in here.`,
        { pupil: before.name },
      );
    }
    return this.joinByCard(participantId, pupilId, tokenHash);
  }

  joinByCard(joinId: string, pupilId: string, hashOfToken: string): string {
    mustBeOpen(this.given, dayOf(this.needs.nowMs()));
    const { place, before } = this.roster.joinByCard(joinId, pupilId, hashOfToken, this.needs.nowMs());
    if (before) this.hub.moveDesk(place.id);
    if (!this.places.of(pupilId).run) {
      const begun = this.places.standing(pupilId, this.places.begun());
      this.places.save(pupilId, begun);
      this.take(pupilId, begun);
    }
    return place.id;
  }

  hasParticipant(participantId: string): boolean {
    return this.roster.has(participantId);
  }

  release(participantId: string): Participant {
    const place = this.roster.release(participantId, this.needs.nowMs());
    this.hub.releaseDesk(participantId);
    this.needs.onReleased(participantId);
    return place;
  }

  /** The teacher gives a pupil's place up, so that another device can have it. @throws CoreError PUPIL_UNKNOWN */
  free(pupilId: string): void {
    this.places.of(pupilId);
    for (const { id } of this.roster.all.filter((one) => one.pupilId === pupilId)) this.release(id);
    this.tellWindows(pupilId);
  }

  mayHear(participantId: string, takeId: string): boolean {
    return this.desks.mayHear(participantId, takeId);
  }

  /** A pupil goes to another step, or has the same one once more. @throws CoreError ROOM_POSITION_RANGE, OWN_PACE_DAYS */
  async go(participantId: string, to: StepRef): Promise<void> {
    mustBeOpen(this.given, dayOf(this.needs.nowMs()));
    const { pupilId } = this.roster.get(participantId);
    await this.changeRun(pupilId, (run) => goOwn(run, to, this.lesson, this.needs.nowMs()));
  }

  respond(participantId: string, post: ResponsePost): Promise<ResponseKept> {
    const { pupilId } = this.roster.get(participantId);
    return this.turns.do(pupilId, async () => {
      const run = this.places.runOf(pupilId);
      const asking = run.askings.find(({ id }) => id === post.askingId);
      if (!asking || asking.phase === 'revealed') return this.answers.keep(pupilId, post, asking);
      // The pupil learns the reason at once: answer and place are written together. A question that the pupil has gone back
      // from is still to be answered.
      const next = answeredOwn(run, asking.id, this.lesson, this.needs.nowMs());
      const standing = next === run ? null : this.places.standing(pupilId, next);
      const save = () => void (standing && this.places.save(pupilId, standing));
      const kept = await this.answers.keep(pupilId, post, { ...asking, phase: 'open' }, 'device', save);
      if (standing) this.take(pupilId, standing);
      return kept;
    });
  }

  deskView(participantId: string): DeskView {
    return this.desks.view(participantId);
  }

  deskMessage(participantId: string): string {
    return this.desks.message(participantId);
  }

  listenDesk(participantId: string, line: Line): () => void {
    return this.hub.listenDesk(participantId, line);
  }

  listen(line: Line): () => void {
    return this.windows.listen(line);
  }

  live(): OwnPaceLive {
    const { firstDay, lastDay, byKey, voice, line } = this.given;
    const places = this.toldAll;
    return { nowMs: this.needs.nowMs(), firstDay, lastDay, byKey, voice, endedAtMs: null, line, places, responses: this.answers.latest };
  }

  progress(): OwnPaceProgress {
    const places = this.toldAll.map(({ at, done }) => ({ at, done }));
    return { lastDay: this.given.lastDay, steps: ownSteps(this.lesson).length, places };
  }

  private get toldAll(): OwnPlace[] {
    return this.places.pupilIds.map((pupilId) => this.told(pupilId));
  }

  /** Takes what was changed about it: its days, its key, its line to all. */
  change(given: typeof ownPace.$inferSelect): void {
    this.given = given;
    this.tellAll();
  }

  /** Writes one line to a pupil; empty takes it away. @throws CoreError PUPIL_UNKNOWN */
  write(pupilId: string, line: string): void {
    this.places.write(pupilId, line);
    this.tell(pupilId);
  }

  /** The class has changed: who came in has a place where the lesson was given to all, who left has none any more. */
  renew(): void {
    this.places.read();
    const gone = this.roster.renew(this.places.pupils);
    this.answers.forget(new Set(gone.map(({ pupilId }) => pupilId)));
    for (const { id } of gone) {
      this.hub.releaseDesk(id);
      this.needs.onReleased(id);
    }
    this.tellAll();
  }

  readAgain(responses: readonly MarkedResponse[]): void {
    this.answers.readAgain(responses);
    this.tellAll();
  }

  /** Desks and windows follow. */
  corrected(responseId: string): void {
    this.answers.corrected(responseId);
    this.tellAll();
  }

  takesChanged(): void {
    this.desks.takesChanged();
    if (this.given.voice) this.tellAll();
  }

  wordingsChanged(): void {
    this.answers.wordingsChanged();
  }

  /** It is over: desks and windows hear so and are let go. */
  close(): void {
    this.tellAll();
    this.hub.closeAll();
    this.windows.closeAll();
  }

  /** The class was deleted, and this lesson with it. */
  dissolve(): void {
    for (const { id } of this.roster.all) this.hub.releaseDesk(id);
    this.windows.closeAll();
  }

  /** An answer that was kept. */
  private answered(response: MarkedResponse): void {
    this.windows.tellAnswer(response);
    this.tell(response.pupilId);
  }

  /** Where a pupil stands now: written first, and only then told; what could not be written changes nothing. */
  private changeRun(pupilId: string, change: (run: Run) => Run): Promise<void> {
    return this.turns.do(pupilId, async () => {
      const was = this.places.runOf(pupilId);
      const next = change(was);
      if (next === was) return;
      const changed = this.places.standing(pupilId, next);
      await this.needs.commit(() => this.places.save(pupilId, changed));
      this.take(pupilId, changed);
    });
  }

  /** What was written counts, and is told; a pupil who has left meanwhile has no place any more. */
  private take(pupilId: string, standing: Standing): void {
    if (this.places.take(pupilId, standing)) this.tell(pupilId);
  }

  private setOnline(participantId: string, online: boolean): void {
    if (this.roster.setOnline(participantId, online)) this.tellWindows(this.roster.get(participantId).pupilId);
  }

  private tell(pupilId: string): void {
    this.desks.tell(pupilId);
    this.tellWindows(pupilId);
  }

  private tellWindows(pupilId: string): void {
    this.windows.tellPlace(this.told(pupilId));
  }

  private tellAll(): void {
    this.desks.tellAll();
    this.windows.showAll();
  }

  /** A place as the teacher sees it. */
  private told(pupilId: string): OwnPlace {
    const online = this.roster.all.some((one) => one.pupilId === pupilId && one.online);
    return this.places.told(pupilId, online);
  }
}
