import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatOption, MatSelect } from '@angular/material/select';
import { MatSnackBar } from '@angular/material/snack-bar';
import { RouterLink } from '@angular/router';
import { motionMs, stageAt } from '@zeitpunkt/core/stage/player';
import { lengthText } from '@zeitpunkt/core/time/length-text';
import type { Take } from '@zeitpunkt/core/voice/take';
import { planByTakes } from '@zeitpunkt/core/voice/take-times';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { dayInYear } from '../../shared/words/days';
import { everySecond } from '../../shared/every-second';
import { useShortcuts, type Shortcut } from '../../shared/shortcuts';
import { Icon } from '../../ui/icons/icon';
import { AskFirst } from '../../ui/parts/ask-dialog';
import { KeyHint } from '../../ui/parts/key-hint';
import { Place } from '../../ui/parts/place';
import { Failing, Loading } from '../../ui/parts/states';
import { StageView, type StagePlay } from '../../ui/stage-view';
import { LessonStore } from '../script/gives';
import { CueEditor } from './cue-editor';
import { MicrophoneBar } from './microphone-bar';
import { Listening } from './listening';
import { UNDO_MS } from './leavings';
import { RecordStore } from './record-store';
import { RecordedSteps } from './recorded-steps';
import { SafetyWord } from './safety-word';
import { TakeList } from './take-list';
import { RECORD_WORDS } from './words';

/** For how many days a recording can be kept. */
const KEPT_DAYS = [30, 90, 365, 1095];

/** Records the teacher's voice along the script: what is said at each step is a take of its own, and each can be made again. */
@Component({
  selector: 'zp-record',
  imports: [
    CueEditor,
    Failing,
    Icon,
    KeyHint,
    Loading,
    MatButton,
    MatFormField,
    MatLabel,
    MatOption,
    MatSelect,
    MicrophoneBar,
    Place,
    RouterLink,
    SafetyWord,
    StageView,
    TakeList,
  ],
  providers: [LessonStore, RecordStore, RecordedSteps, Listening],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './record.html',
  styleUrl: './record.scss',
})
export class Record {
  readonly id = input.required<string>();
  protected readonly lessons = inject(LessonStore);
  protected readonly store = inject(RecordStore);
  protected readonly steps = inject(RecordedSteps);
  protected readonly listening = inject(Listening);
  private readonly bar = inject(MatSnackBar);
  private readonly askFirst = inject(AskFirst);
  protected readonly words = RECORD_WORDS;
  protected readonly help = computed(() => ({
    place: this.words().place,
    sentence: this.words().help.sentence,
    shortcuts: this.shortcuts,
  }));
  protected readonly clock = lengthText;
  private readonly now = everySecond();

  protected readonly isTaking = computed(() => this.store.taking() !== 'none');
  /** How long the take at hand is by now, in milliseconds. */
  protected readonly takeMs = computed(() => {
    this.now();
    return this.store.taking() === 'recording' ? this.store.tookMs() + Math.max(0, Date.now() - this.store.sinceMs()) : this.store.tookMs();
  });
  /** One step is recorded, and nothing after it. */
  private readonly isRetake = signal(false);
  /** Beats that were recorded here: what they took becomes their time. */
  private readonly recorded = new Set<string>();

  protected readonly play = computed<StagePlay | null>(() => {
    const [prepared, here, taking, listening] = [this.steps.prepared(), this.steps.here(), this.store.taking(), this.listening.take()];
    if (!prepared || !here) return null;
    const { ref } = here.step;
    const stateAt = (ms: number) => stageAt(prepared, ref, ms);
    const whole = { stateAt, motionMs: motionMs(prepared, ref), beganAtMs: 0 };
    if (listening) return { ...whole, elapsedMs: this.listening.elapsedMs() };
    if (taking === 'none' || taking === 'ending') return { ...whole, motionMs: 0, stateAt: () => stateAt(Infinity) };
    const [tookMs, sinceMs] = [this.store.tookMs(), this.store.sinceMs()];
    return { ...whole, elapsedMs: () => (taking === 'paused' ? tookMs : tookMs + Date.now() - sinceMs) };
  });

  protected readonly shortcuts: readonly Shortcut[] = [
    {
      left: ['Space'],
      right: ['Enter', 'PageDown'],
      text: RECORD_WORDS().keys.goOn,
      act: () => void this.goOn(),
    },
    { left: ['R'], right: ['U'], text: RECORD_WORDS().keys.retake, act: () => void this.retake() },
    { left: ['F'], right: ['P'], text: RECORD_WORDS().keys.pause, act: () => this.pauseOrResume() },
    { left: ['Escape'], right: ['.'], text: RECORD_WORDS().keys.stop, act: () => void this.stop() },
    {
      left: ['E', 'Q'],
      right: ['J', 'K'],
      text: RECORD_WORDS().keys.step,
      repeats: true,
      act: (place) => this.choose(this.steps.place() + (place === 0 ? 1 : -1)),
    },
    { left: ['T'], right: ['L'], text: RECORD_WORDS().keys.listen, act: () => void this.listen() },
  ];

  constructor() {
    useShortcuts(this.shortcuts);
    effect(() => {
      const id = this.id();
      untracked(() => void this.open(id));
    });
    // What was recorded becomes the plan once all of it is whole.
    effect(() => {
      const isQuiet = this.store.taking() === 'none' && this.store.finishing() === 0;
      const [prepared, takes] = [this.steps.prepared(), this.store.takes()];
      if (isQuiet && prepared && this.recorded.size > 0) untracked(() => this.takeTimesOver(prepared, takes));
    });
  }

  /** Where some of it is recorded, one goes on at the first step that is not. */
  private async open(id: string): Promise<void> {
    await Promise.all([this.lessons.load(id), this.store.load(id)]);
    const next = this.steps.all().findIndex(({ take, stale }) => !take || stale);
    if (next > 0) this.choose(next);
  }

  protected choose(place: number): void {
    if (this.isTaking() || place < 0 || place >= this.steps.all().length) return;
    this.listening.stop();
    this.steps.place.set(place);
  }

  /** Begins to record here, or ends this take and goes on: one key for the whole lesson. */
  protected async goOn(): Promise<void> {
    if (this.store.taking() === 'paused') return this.store.resume();
    if (this.store.taking() === 'none') return this.recordOn();
    if (this.store.taking() !== 'recording') return;
    await this.store.endTake();
    if (this.isRetake() || this.steps.isLast()) return;
    this.steps.place.update((place) => place + 1);
    this.take();
  }

  /** Records at this step, or at the next one where this one is recorded as it is now: a good take is only retaken on purpose. */
  private async recordOn(): Promise<void> {
    if (this.steps.isRecorded()) {
      if (this.steps.isLast()) return this.store.tell(this.words().lastStep);
      this.listening.stop();
      this.steps.place.update((place) => place + 1);
    }
    await this.begin(false);
  }

  /** Records the step at hand once more, and nothing after it. */
  protected async retake(): Promise<void> {
    if (!this.steps.here()) return;
    await this.store.endTake();
    await this.begin(true);
  }

  protected pauseOrResume(): void {
    if (this.store.taking() === 'paused') this.store.resume();
    else this.store.pause();
  }

  protected async stop(): Promise<void> {
    this.listening.stop();
    await this.store.endTake();
  }

  protected async begin(isRetake: boolean): Promise<void> {
    this.listening.stop();
    if (this.store.elsewhere()) return;
    if (this.store.microphone() !== 'on' && !(await this.store.listen())) return;
    this.isRetake.set(isRetake);
    this.take();
  }

  private take(): void {
    const [prepared, here] = [this.steps.prepared(), this.steps.here()];
    if (!prepared || !here) return;
    if (this.store.beginTake(prepared, here.step)) this.recorded.add(here.step.ref.beatId);
  }

  private takeTimesOver(prepared: NonNullable<ReturnType<typeof this.steps.prepared>>, takes: readonly Take[]): void {
    const beats = new Set(this.recorded);
    this.recorded.clear();
    const edit = planByTakes(prepared, takes, beats);
    if (JSON.stringify(edit(prepared.lesson)) !== JSON.stringify(prepared.lesson)) this.lessons.edit(edit);
  }

  protected takePace(wordsPerMinute: number): void {
    this.lessons.setSetting('wordsPerMinute', wordsPerMinute);
  }

  /** Listens from here on, step by step as pupils will hear it, until stopped. */
  protected async listen(): Promise<void> {
    if (this.isTaking()) return;
    if (this.listening.take()) return this.listening.stop();
    await this.listening.begin();
  }

  /** A take is deleted; for a while that can be undone. */
  protected throwAway(take: Take): void {
    const undo = this.store.throwAway(take);
    const words = this.words().deleted(this.steps.beforeHere());
    this.bar
      .open(words, this.words().undo, { duration: UNDO_MS })
      .onAction()
      .subscribe(() => undo());
  }

  /** Goes to the first step that is missing, or whose take does not fit any more. */
  protected toFirst(changed: boolean): void {
    this.choose(this.steps.all().findIndex(({ take, stale }) => (changed ? stale : take === null)));
  }

  protected async askDeleteOld(): Promise<void> {
    if (await this.askFirst.ask(this.words().deletingOld)) await this.deleteOfNoStep();
  }

  protected async askDeleteAll(takes: number): Promise<void> {
    if (await this.askFirst.ask(this.words().deletingAll(takes))) void this.store.deleteAll();
  }

  protected async deleteOfNoStep(): Promise<void> {
    // Behind a take the one before it comes back, until none is left.
    for (let [take] = this.steps.ofNoStep(); take; [take] = this.steps.ofNoStep()) if (!(await this.store.deleteTake(take))) return;
  }

  /** How long a recording can be kept, and what it is kept for now. */
  protected keepFor(now: number): readonly { readonly days: number; readonly text: string }[] {
    return [...new Set([...KEPT_DAYS, now])]
      .sort((a, b) => a - b)
      .map((days) => ({ days, text: this.words().days[days] ?? this.words().otherDays(days) }));
  }

  protected dayOf(atMs: number): string {
    return dayInYear(dayOf(atMs));
  }
}
