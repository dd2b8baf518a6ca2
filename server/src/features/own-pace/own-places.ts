import { CoreError } from '@zeitpunkt/core/errors';
import { writeRun } from '@zeitpunkt/core/formats/stored';
import type { PreparedLesson } from '@zeitpunkt/core/lesson/prepare';
import { answeredOwn, beginOwn, isOwnDone, ownIndex } from '@zeitpunkt/core/run/own-pace';
import { newRun, type Run } from '@zeitpunkt/core/run/run';
import type { OwnPlace, Pupil } from '@zeitpunkt/contract';
import { stored } from '../../db/stored.js';
import type { OwnPaceQueries } from './queries.js';

/** Where a pupil stands, as it is kept; times in milliseconds since 1970. */
interface Place {
  readonly name: string;
  run: Run | null;
  heardAtMs: number | null;
  finishedAtMs: number | null;
  line: string;
}

/** What of a place changes with where the pupil stands. */
export interface Standing {
  readonly run: Run;
  readonly heardAtMs: number;
  readonly finishedAtMs: number | null;
}

/** Where each pupil stands to whom a lesson was given. */
export class OwnPlaces {
  private places = new Map<string, Place>();

  constructor(
    private readonly id: string,
    private readonly lesson: PreparedLesson,
    private readonly needs: { readonly own: OwnPaceQueries; readonly nowMs: () => number },
  ) {
    this.read();
  }

  /** Takes them as they are kept now. */
  read(): void {
    this.places = new Map(
      this.needs.own.places(this.id).map(({ place, name }) => [
        place.pupilId,
        {
          name,
          run: place.run === null ? null : stored.run(place.run, name),
          heardAtMs: place.heardAtMs,
          finishedAtMs: place.finishedAtMs,
          line: place.line,
        },
      ]),
    );
  }

  get pupils(): Pupil[] {
    return [...this.places].map(([id, { name }]) => ({ id, name }));
  }

  get pupilIds(): string[] {
    return [...this.places.keys()];
  }

  /** @throws CoreError PUPIL_UNKNOWN */
  of(pupilId: string): Place {
    const place = this.places.get(pupilId);
    if (!place) throw new CoreError('PUPIL_UNKNOWN', 'This lesson was not given to this pupil.');
    return place;
  }

  /** The pupil's run, one that has just begun where there is none yet. @throws CoreError PUPIL_UNKNOWN */
  runOf(pupilId: string): Run {
    return this.of(pupilId).run ?? this.begun();
  }

  begun(): Run {
    return beginOwn(newRun(this.lesson), this.lesson, this.needs.nowMs());
  }

  /** What of a place changes with where the pupil stands. */
  standing(pupilId: string, run: Run): Standing {
    const heardAtMs = this.needs.nowMs();
    return { run, heardAtMs, finishedAtMs: this.of(pupilId).finishedAtMs ?? (isOwnDone(this.lesson, run) ? heardAtMs : null) };
  }

  /** Writes where a pupil stands; what is known changes with {@link take}, once that is written. */
  save(pupilId: string, { run, ...times }: Standing): void {
    this.needs.own.savePlace(this.id, pupilId, { run: writeRun(run), ...times });
  }

  /** What was written counts. @returns whether the pupil still has a place: who has left meanwhile has none */
  take(pupilId: string, standing: Standing): boolean {
    const place = this.places.get(pupilId);
    if (place) Object.assign(place, standing);
    return place !== undefined;
  }

  /** Writes one line to a pupil; empty takes it away. @throws CoreError PUPIL_UNKNOWN */
  write(pupilId: string, line: string): void {
    this.of(pupilId).line = line;
    this.needs.own.savePlace(this.id, pupilId, { line });
  }

  /** A server that stopped between an answer and what follows from it goes on from the answer. */
  mend(isAnswered: (pupilId: string, askingId: string) => boolean): void {
    for (const [pupilId, place] of this.places) {
      for (const { id, phase } of place.run?.askings ?? []) {
        if (phase === 'revealed' || !isAnswered(pupilId, id)) continue;
        place.run = answeredOwn(place.run!, id, this.lesson, this.needs.nowMs());
      }
    }
  }

  /** A place as the teacher sees it. */
  told(pupilId: string, online: boolean): OwnPlace {
    const { name, run, heardAtMs, finishedAtMs, line } = this.of(pupilId);
    return { pupilId, name, at: run && ownIndex(this.lesson, run.at), done: finishedAtMs !== null, heardAtMs, online, line };
  }
}
