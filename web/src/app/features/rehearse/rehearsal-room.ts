import type { CommandDone, LessonDetail, MarkedResponse, SessionDetail } from '@zeitpunkt/contract';
import { RUNGS } from '@zeitpunkt/core/ladder/registry';
import { prepareLesson, type PreparedLesson } from '@zeitpunkt/core/lesson/prepare';
import { rungOfLesson } from '@zeitpunkt/core/lesson/rung-of-lesson';
import { type RoomCommand, type RoomState, applyCommand, askingOfRoom, newRoom } from '@zeitpunkt/core/live/room';
import { markOf } from '@zeitpunkt/core/question-kinds/marking';
import { type PupilProfile, simulateResponse } from '@zeitpunkt/core/rehearsal/simulated-pupil';
import type { Asking } from '@zeitpunkt/core/run/asking';
import { seededRng } from '@zeitpunkt/core/random/rng';
import { SHORE_NAMES } from '@zeitpunkt/core/rehearsal/shore-names';
import { simulatedClass } from '@zeitpunkt/core/rehearsal/simulated-class';

const REHEARSAL_ID = 'rehearsal';

/** As many as a class has. */
const NAMES = SHORE_NAMES.slice(0, 24);

/**
 * A room without a server, in which a lesson is rehearsed: simulated pupils answer what is asked, each after its own time.
 * Nothing of it is kept.
 */
export class RehearsalRoom {
  /** Each rehearsal is a room of its own. */
  readonly id: string;
  readonly prepared: PreparedLesson;
  private room: RoomState;
  private seq = 0;
  private readonly profiles: readonly PupilProfile[];
  private readonly answering = new Set<string>();
  private readonly timers = new Set<number>();

  /** @param answered is told of each answer as it is given */
  constructor(
    private readonly of: LessonDetail,
    private readonly seed: number,
    private readonly answered: (seq: number, response: MarkedResponse) => void,
  ) {
    this.id = `${REHEARSAL_ID}-${seed}`;
    this.prepared = prepareLesson(of.lesson);
    this.room = newRoom(this.prepared, 'all');
    const { misconceptions } = RUNGS[rungOfLesson(of.lesson)];
    this.profiles = simulatedClass(NAMES.length, misconceptions, seededRng(seed));
  }

  /** The room as a console shows it. */
  detail(): SessionDetail {
    const pupils = NAMES.map((name) => ({ id: name, name }));
    const participants = pupils.map(({ id, name }) => ({
      id,
      pupilId: id,
      name,
      joinedAtMs: 0,
      online: true,
      waits: false,
      newcomer: false,
    }));
    const outside = { knocks: [], wrongKeys: 0 };
    return {
      id: this.id,
      lessonId: this.of.id,
      classId: REHEARSAL_ID,
      className: `Rehearsal with ${NAMES.length} simulated pupils`,
      pace: 'live',
      simulated: true,
      roomKey: null,
      createdAtMs: 0,
      endedAtMs: null,
      lesson: this.of.lesson,
      pupils,
      live: { seq: this.seq, nowMs: Date.now(), room: this.room, participants, responses: [], outside, passing: { ready: [], shown: [] } },
      unreadable: [],
    };
  }

  /** Carries out a command as the server would. @throws CoreError what applyCommand throws */
  readonly carryOut = (command: RoomCommand): CommandDone => {
    this.room = applyCommand(this.room, command, this.prepared, Date.now());
    const asking = askingOfRoom(this.room, this.prepared);
    if (asking?.phase === 'open' && !this.answering.has(asking.id)) this.ask(asking);
    return { seq: this.seq, nowMs: Date.now(), room: this.room };
  };

  close(): void {
    this.timers.forEach((timer) => clearTimeout(timer));
  }

  private ask({ id, item }: Asking): void {
    this.answering.add(id);
    const { settings } = this.of.lesson;
    this.profiles.forEach((profile, place) => {
      const rng = seededRng(this.seed + 1000 * this.answering.size + place);
      const { response, responseTimeMs } = simulateResponse(profile, item, settings, rng);
      const timer = window.setTimeout(() => {
        this.timers.delete(timer);
        // Who had not finished when the question closed gives no answer.
        if (this.room.run.askings.find((one) => one.id === id)?.phase !== 'open') return;
        const mark = markOf(item, response, settings);
        const given = {
          id: `${id} ${place}`,
          pupilId: NAMES[place]!,
          askingId: id,
          attempt: 1,
          source: 'device' as const,
          late: null,
          correction: null,
        };
        this.answered((this.seq += 1), { ...given, response, mark, responseTimeMs, receivedAtMs: Date.now() });
      }, responseTimeMs);
      this.timers.add(timer);
    });
  }
}
