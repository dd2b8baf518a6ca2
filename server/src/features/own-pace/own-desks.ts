import type { PreparedLesson, Step } from '@zeitpunkt/core/lesson/prepare';
import { NO_CALLS } from '@zeitpunkt/core/live/calls';
import { farthestOwnStep, ownSteps } from '@zeitpunkt/core/run/own-pace';
import type { Take } from '@zeitpunkt/core/voice/take';
import type { DeskView } from '@zeitpunkt/contract';
import type { Answers } from '../../sessions/answers.js';
import { deskMessage, deskView, sharedView } from '../../sessions/desk-view.js';
import type { Hub } from '../../sessions/hub.js';
import type { Roster } from '../../sessions/roster.js';
import type { ownPace } from '../../tables/own-pace.js';
import type { OwnPlaces } from './own-places.js';
import { OwnTakes } from './own-takes.js';
import { ownView } from './own-view.js';

interface OwnDesksNeeds {
  readonly nowMs: () => number;
  readonly lesson: PreparedLesson;
  readonly className: string;
  readonly given: () => typeof ownPace.$inferSelect;
  readonly roster: Roster;
  readonly answers: Answers;
  readonly places: OwnPlaces;
  readonly hub: Hub;
  /** What is recorded of the lesson. */
  readonly takes: () => readonly Take[];
}

/** What the desks of a lesson at own pace see and may hear: each pupil another step of it. */
export class OwnDesks {
  private readonly takes: OwnTakes;
  /** Counts the views that went out, so that a desk knows the newer one. */
  private seq = 0;

  constructor(private readonly of: OwnDesksNeeds) {
    this.takes = new OwnTakes(of.lesson, of.takes);
  }

  view(participantId: string): DeskView {
    const { shared, pupil, latest } = this.parts(participantId);
    return deskView(shared, pupil, latest);
  }

  message(participantId: string): string {
    const { shared, pupil, latest } = this.parts(participantId);
    return deskMessage(shared, pupil, latest);
  }

  /** Tells the devices of a pupil how things stand. */
  tell(pupilId: string): void {
    this.seq += 1;
    for (const { id } of this.of.roster.all.filter((one) => one.pupilId === pupilId))
      this.of.hub.tellDesk(id, (desk) => this.message(desk));
  }

  tellAll(): void {
    this.seq += 1;
    this.of.hub.tellDesks((id) => this.message(id));
  }

  /** Something was recorded or deleted: it is heard from now on, or not any more. */
  takesChanged(): void {
    this.takes.forget();
  }

  /** Whether a take belongs to a step that the pupil may be at. */
  mayHear(participantId: string, takeId: string): boolean {
    const { lesson, places, roster } = this.of;
    const farthest = farthestOwnStep(lesson, places.runOf(roster.get(participantId).pupilId));
    const steps = ownSteps(lesson).slice(0, farthest + 1);
    return steps.some((step) => this.takeAt(step)?.id === takeId);
  }

  private takeAt(step: Step | undefined): Take | null {
    return this.of.given().voice ? this.takes.at(step) : null;
  }

  private parts(participantId: string) {
    const { lesson, className, places, answers, roster, nowMs } = this.of;
    const { name, pupilId } = roster.get(participantId);
    const { line } = places.of(pupilId);
    const run = places.runOf(pupilId);
    const room = { phase: 'running', run, aside: null, calls: NO_CALLS } as const;
    const shared = sharedView({ lesson, room, seq: this.seq, className, takeId: null }, nowMs());
    const own = ownView(lesson, run, this.of.given(), line, (step) => this.takeAt(step));
    const pupil = { participantId, pupilName: name, ready: null, own };
    return { shared, pupil, latest: (askingId: string) => answers.latestOf(pupilId, askingId) };
  }
}
