import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatTableModule } from '@angular/material/table';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { changeBeat, type ScriptEdit } from '@zeitpunkt/core/edit/edit';
import { nameInLesson } from '@zeitpunkt/core/lesson/beat-words';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { beatTimes, type BeatTime } from '@zeitpunkt/core/run/beat-times';
import { lengthText } from '@zeitpunkt/core/time/length-text';
import { measuredPace, takeTimes, wasTaught } from '@zeitpunkt/core/rehearsal/what-it-took';
import type { LessonDetail, LessonSaved } from '@zeitpunkt/contract';
import { ask, sentenceOf } from '../../shared/api';
import { useShortcuts } from '../../shared/shortcuts';
import { Steering } from '../../shared/steering';
import { liveActions, liveFeature } from '../../state/live';
import { RoomPort } from '../../state/room-port';
import { Icon } from '../../ui/icons/icon';
import { Place } from '../../ui/parts/place';
import { Failing, Loading } from '../../ui/parts/states';
import { scriptShortcuts, Teaching, wallShortcuts } from '../console/gives';
import { RehearsalRoom } from './rehearsal-room';
import { REHEARSE_WORDS } from './words';

/** The lesson as in class, with simulated pupils: it is taught at one's own pace, and what each beat took can become the plan. */
@Component({
  selector: 'zp-rehearse',
  imports: [Failing, Icon, Loading, MatButton, MatTableModule, Place, RouterLink, Teaching],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(click)': 'steering.tap($event)' },
  templateUrl: './rehearse.html',
  styleUrl: './rehearse.scss',
})
export class Rehearse {
  readonly id = input.required<string>();
  private readonly store = inject(Store);
  private readonly port = inject(RoomPort);
  protected readonly steering = inject(Steering);
  protected readonly detail = this.store.selectSignal(liveFeature.selectDetail);
  protected readonly roomProblem = this.store.selectSignal(liveFeature.selectProblem);
  private readonly prepared = this.store.selectSignal(liveFeature.selectPrepared);
  private readonly teaching = viewChild(Teaching);
  protected readonly words = REHEARSE_WORDS;
  protected readonly columns = ['beat', 'planned', 'took'];
  private readonly endedAtMs = signal(0);
  protected readonly problem = signal<string | null>(null);
  protected readonly word = signal<string | null>(null);
  protected readonly taken = signal(false);
  protected readonly paceTaken = signal(false);
  /** The plan as it was before this rehearsal changed it; null while it has not. */
  private readonly planBefore = signal<Lesson | null>(null);
  protected readonly canTakeBack = computed(() => this.planBefore() !== null);
  protected readonly clock = lengthText;
  private room: RehearsalRoom | null = null;
  private leave: () => void = () => undefined;

  protected readonly phase = computed(() => this.detail()?.live.room.phase);
  protected readonly times = computed((): readonly BeatTime[] => {
    const [prepared, detail] = [this.prepared(), this.detail()];
    return prepared && detail ? beatTimes(prepared, detail.live.room.run, this.endedAtMs()) : [];
  });
  private readonly taughtTimes = computed(() => this.times().filter(wasTaught));
  protected readonly taught = computed(() => this.taughtTimes().length);
  protected readonly tookMs = computed(() => this.taughtTimes().reduce((sum, { actualMs }) => sum + actualMs!, 0));
  protected readonly plannedMs = computed(() => this.taughtTimes().reduce((sum, { plannedMs }) => sum + plannedMs, 0));
  protected readonly pace = computed(() => {
    const prepared = this.prepared();
    return prepared ? measuredPace(prepared, this.times()) : null;
  });
  protected readonly rows = computed(() => {
    const lesson = this.detail()?.lesson;
    const times = this.times();
    return (lesson?.beats ?? []).map((beat, index) => {
      const time = times[index]!;
      const took = time.actualMs === null ? this.words().notReached : wasTaught(time) ? lengthText(time.actualMs) : this.words().passedOver;
      return { id: beat.id, number: index + 1, name: nameInLesson(beat, lesson!), planned: lengthText(time.plannedMs), took };
    });
  });

  protected readonly shortcuts = [
    ...scriptShortcuts(this.steering, () => this.teaching()?.panel()),
    ...wallShortcuts(() => this.teaching()?.wall()),
  ];
  protected readonly help = computed(() => ({ ...this.words().help, shortcuts: this.shortcuts }));

  constructor() {
    useShortcuts(this.shortcuts);
    effect(() => {
      this.id();
      untracked(() => void this.again());
    });
    inject(DestroyRef).onDestroy(() => {
      this.stop();
      this.store.dispatch(liveActions.close());
    });
  }

  /** Begins anew, with the lesson as it is now and other simulated pupils. */
  protected again(): Promise<boolean> {
    return this.attempt(async () => {
      this.stop();
      this.word.set(null);
      this.taken.set(false);
      this.paceTaken.set(false);
      this.planBefore.set(null);
      const lesson = await this.fetchLesson();
      const room = new RehearsalRoom(lesson, Math.floor(Math.random() * 2 ** 31), (seq, response) =>
        this.store.dispatch(liveActions.message({ message: { type: 'response', seq, response }, atMs: Date.now() })),
      );
      this.room = room;
      this.leave = this.port.standInFor(room.id, room.carryOut);
      this.store.dispatch(liveActions.loaded({ detail: room.detail(), atMs: Date.now() }));
    });
  }

  protected end(): void {
    this.endedAtMs.set(Date.now());
    this.room?.close();
    this.steering.tell({ type: 'end' });
  }

  protected async takeOver(): Promise<void> {
    if (await this.change(takeTimes(this.times()))) {
      this.taken.set(true);
      this.word.set(this.words().timesTaken);
    }
  }

  /** Brings back the times and the pace that were planned before the rehearsal. */
  protected async takeBack(): Promise<void> {
    const before = this.planBefore();
    if (!before || !(await this.change((lesson) => planOf(before, lesson)))) return;
    this.planBefore.set(null);
    this.taken.set(false);
    this.paceTaken.set(false);
    this.word.set(this.words().planBack);
  }

  protected async takePace(wordsPerMinute: number): Promise<void> {
    if (await this.change((lesson) => ({ ...lesson, settings: { ...lesson.settings, wordsPerMinute } }))) {
      this.paceTaken.set(true);
      this.word.set(this.words().paceTaken(wordsPerMinute));
    }
  }

  /** Changes the lesson as it is now; an edit made meanwhile elsewhere is kept. */
  private change(edit: ScriptEdit): Promise<boolean> {
    return this.attempt(async () => {
      const { revision, lesson } = await this.fetchLesson();
      this.planBefore.update((before) => before ?? lesson);
      await ask<LessonSaved>('POST', `/api/lessons/${this.id()}/draft`, { revision, lesson: edit(lesson) });
    });
  }

  private fetchLesson(): Promise<LessonDetail> {
    return ask('GET', `/api/lessons/${this.id()}`);
  }

  private stop(): void {
    this.room?.close();
    this.leave();
  }

  private async attempt(work: () => Promise<void>): Promise<boolean> {
    try {
      await work();
      this.problem.set(null);
      return true;
    } catch (error) {
      this.problem.set(sentenceOf(error));
      return false;
    }
  }
}

/** A lesson with the times and the pace of its beats as another state of it has them. */
function planOf(before: Lesson, lesson: Lesson): Lesson {
  const { wordsPerMinute } = before.settings;
  const back = before.beats.reduce((now, { id, plannedSec }) => changeBeat(id, { plannedSec })(now), lesson);
  return { ...back, settings: { ...back.settings, wordsPerMinute } };
}
