import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatOption, MatSelect } from '@angular/material/select';
import { MatSnackBar } from '@angular/material/snack-bar';
import { RouterLink } from '@angular/router';
import { nameInLesson } from '@zeitpunkt/core/lesson/beat-words';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { sameStep } from '@zeitpunkt/core/lesson/step-ref';
import { motionMs, stageAt } from '@zeitpunkt/core/stage/player';
import { lengthText } from '@zeitpunkt/core/time/length-text';
import type { Take } from '@zeitpunkt/core/voice/take';
import { BREATH_MS } from '@zeitpunkt/core/voice/film';
import { paceOfTakes, planByTakes } from '@zeitpunkt/core/voice/take-times';
import { voicedSteps } from '@zeitpunkt/core/voice/takes-of';
import { everySecond } from '../../shared/every-second';
import { useShortcuts, type Shortcut } from '../../shared/shortcuts';
import { TakePlayer } from '../../shared/voice/take-player';
import { Icon } from '../../ui/icons/icon';
import { AskFirst } from '../../ui/parts/ask-dialog';
import { KeyHint } from '../../ui/parts/key-hint';
import { Place } from '../../ui/parts/place';
import { Failing, Loading } from '../../ui/parts/states';
import { StageView, type StagePlay } from '../../ui/stage-view';
import { LessonStore } from '../script/gives';
import { CueEditor } from './cue-editor';
import { MicrophoneBar } from './microphone-bar';
import { RecordStore, UNDO_MS } from './record-store';
import { SafetyWord } from './safety-word';
import { TakeList, type TakeRow } from './take-list';
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
  providers: [LessonStore, RecordStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './record.html',
  styleUrl: './record.scss',
})
export class Record {
  readonly id = input.required<string>();
  protected readonly lessons = inject(LessonStore);
  protected readonly store = inject(RecordStore);
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

  protected readonly prepared = computed(() => {
    const lesson = this.lessons.lesson();
    return lesson && prepareLesson(lesson);
  });
  protected readonly steps = computed(() => {
    const prepared = this.prepared();
    return prepared ? voicedSteps(prepared, this.store.takes()) : [];
  });
  /** The step at hand, by its place among these. */
  protected readonly place = linkedSignal<string, number>({ source: this.id, computation: () => 0 });
  protected readonly here = computed(() => this.steps()[this.place()] ?? null);
  protected readonly rows = computed((): TakeRow[] => {
    const lesson = this.lessons.lesson();
    return this.steps().map(({ step, words, take, stale }, index) => ({
      id: `${step.ref.beatId}/${step.ref.step}`,
      number: step.stepsOfBeat > 1 ? `${step.beatIndex + 1}.${step.stepInBeat + 1}` : String(step.beatIndex + 1),
      name: step.stepsOfBeat > 1 && step.stepInBeat > 0 ? '' : nameInLesson(lesson!.beats[step.beatIndex]!, lesson!),
      words,
      took: take && lengthText(take.durationMs),
      stale,
      index,
    }));
  });
  protected readonly taken = computed(() => this.steps().filter(({ take, stale }) => take !== null && !stale).length);
  protected readonly stale = computed(() => this.steps().filter(({ stale }) => stale).length);
  protected readonly notTaken = computed(() => this.steps().filter(({ take }) => take === null).length);
  /** What is said after the step at hand. */
  protected readonly nextWords = computed(() => this.steps()[this.place() + 1]?.words ?? '');
  protected readonly tookMs = computed(() => this.steps().reduce((sum, { take }) => sum + (take?.durationMs ?? 0), 0));
  protected readonly pace = computed(() => {
    const prepared = this.prepared();
    const pace = prepared && paceOfTakes(prepared, this.store.takes());
    return pace && pace !== prepared.lesson.settings.wordsPerMinute ? pace : null;
  });
  protected readonly isTaking = computed(() => this.store.taking() !== 'none');
  /** How long the take at hand is by now, in milliseconds. */
  protected readonly takeMs = computed(() => {
    this.now();
    return this.store.taking() === 'recording' ? this.store.tookMs() + Math.max(0, Date.now() - this.store.sinceMs()) : this.store.tookMs();
  });
  protected readonly beforeHere = computed(() => {
    const at = this.here()?.step.ref;
    return at !== undefined && (this.store.detail()?.before ?? []).some(({ beatId, step }) => beatId === at.beatId && step === at.step);
  });

  /** What is heard once more: the take and where it is. */
  protected readonly listening = signal<Take | null>(null);
  private readonly player = new TakePlayer(() => this.heard());
  /** How far the step at hand is once its take is over, while what moves goes on. */
  private readonly afterMs = signal<(() => number) | null>(null);
  private nextTimer = 0;
  /** One step is recorded, and nothing after it. */
  private readonly isRetake = signal(false);
  /** Whether the step at hand has a take that fits it as it is now. */
  protected readonly isRecorded = computed(() => {
    const here = this.here();
    return Boolean(here?.take) && !here!.stale;
  });
  /** Beats that were recorded here: what they took becomes their time. */
  private readonly recorded = new Set<string>();

  protected readonly play = computed<StagePlay | null>(() => {
    const [prepared, here, taking, listening] = [this.prepared(), this.here(), this.store.taking(), this.listening()];
    if (!prepared || !here) return null;
    const { ref } = here.step;
    const stateAt = (ms: number) => stageAt(prepared, ref, ms);
    const whole = { stateAt, motionMs: motionMs(prepared, ref), beganAtMs: 0 };
    if (listening) return { ...whole, elapsedMs: this.afterMs() ?? (() => this.player.atMs) };
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
      act: (place) => this.choose(this.place() + (place === 0 ? 1 : -1)),
    },
    { left: ['T'], right: ['L'], text: RECORD_WORDS().keys.listen, act: () => void this.listen() },
  ];

  constructor() {
    useShortcuts(this.shortcuts);
    effect(() => {
      const id = this.id();
      untracked(() => void this.open(id));
    });
    inject(DestroyRef).onDestroy(() => this.stopListening());
    // What was recorded becomes the plan once all of it is whole.
    effect(() => {
      const isQuiet = this.store.taking() === 'none' && this.store.finishing() === 0;
      const [prepared, takes] = [this.prepared(), this.store.takes()];
      if (isQuiet && prepared && this.recorded.size > 0) untracked(() => this.takeTimesOver(prepared, takes));
    });
  }

  /** Where some of it is recorded, one goes on at the first step that is not. */
  private async open(id: string): Promise<void> {
    await Promise.all([this.lessons.load(id), this.store.load(id)]);
    const next = this.steps().findIndex(({ take, stale }) => !take || stale);
    if (next > 0) this.choose(next);
  }

  protected choose(place: number): void {
    if (this.isTaking() || place < 0 || place >= this.steps().length) return;
    this.stopListening();
    this.place.set(place);
  }

  /** Begins to record here, or ends this take and goes on: one key for the whole lesson. */
  protected async goOn(): Promise<void> {
    if (this.store.taking() === 'paused') return this.store.resume();
    if (this.store.taking() === 'none') return this.recordOn();
    if (this.store.taking() !== 'recording') return;
    await this.store.endTake();
    if (this.isRetake() || !this.steps()[this.place() + 1]) return;
    this.place.update((place) => place + 1);
    this.take();
  }

  /** Records at this step, or at the next one where this one is recorded as it is now: a good take is only retaken on purpose. */
  private async recordOn(): Promise<void> {
    if (this.isRecorded()) {
      if (!this.steps()[this.place() + 1]) return this.store.tell('This is the last step, and it is recorded. “Retake this step” records it once more.'); // prettier-ignore
      this.stopListening();
      this.place.update((place) => place + 1);
    }
    await this.begin(false);
  }

  /** Records the step at hand once more, and nothing after it. */
  protected async retake(): Promise<void> {
    if (!this.here()) return;
    await this.store.endTake();
    await this.begin(true);
  }

  protected pauseOrResume(): void {
    if (this.store.taking() === 'paused') this.store.resume();
    else this.store.pause();
  }

  protected async stop(): Promise<void> {
    this.stopListening();
    await this.store.endTake();
  }

  protected async begin(isRetake: boolean): Promise<void> {
    this.stopListening();
    if (this.store.elsewhere()) return;
    if (this.store.microphone() !== 'on' && !(await this.store.listen())) return;
    this.isRetake.set(isRetake);
    this.take();
  }

  private take(): void {
    const [prepared, here] = [this.prepared(), this.here()];
    if (!prepared || !here) return;
    if (this.store.beginTake(prepared, here.step)) this.recorded.add(here.step.ref.beatId);
  }

  private takeTimesOver(prepared: NonNullable<ReturnType<typeof this.prepared>>, takes: readonly Take[]): void {
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
    if (this.listening()) return this.stopListening();
    await this.hear();
  }

  private async hear(): Promise<void> {
    const take = this.here()?.take;
    if (!take) return this.stopListening();
    try {
      const sound = await this.store.soundOf(take);
      this.listening.set(take);
      await this.player.play(sound);
    } catch {
      this.stopListening();
      this.store.tell('This take cannot be played here just now.');
    }
  }

  /** A take is over: the next one follows when what moves has come to rest. */
  private heard(): void {
    const [prepared, here] = [this.prepared(), this.here()];
    if (!prepared || !here) return this.stopListening();
    const endedMs = this.player.atMs;
    const endedAtMs = Date.now();
    this.afterMs.set(() => endedMs + Date.now() - endedAtMs);
    const waitMs = Math.max(BREATH_MS, motionMs(prepared, here.step.ref) - endedMs);
    const next = this.steps().findIndex(({ take }, place) => place > this.place() && take !== null);
    this.nextTimer = window.setTimeout(() => {
      this.afterMs.set(null);
      if (next < 0) return this.stopListening();
      this.place.set(next);
      void this.hear();
    }, waitMs);
  }

  protected stopListening(): void {
    clearTimeout(this.nextTimer);
    this.afterMs.set(null);
    this.player.stop();
    this.listening.set(null);
  }

  /** Takes of steps that the script does not have any more: undoing the change brings them back, until they are deleted. */
  protected readonly ofNoStep = computed(() => {
    const prepared = this.prepared();
    if (!prepared) return [];
    return this.store.takes().filter(({ at }) => !prepared.steps.some(({ ref }) => sameStep(ref, at)));
  });
  protected readonly generated = computed(() => this.store.takes().some(({ generated }) => generated));

  /** A take is deleted; for a while that can be undone. */
  protected throwAway(take: Take): void {
    const undo = this.store.throwAway(take);
    const words = this.beforeHere() ? 'The take is deleted; the one before it comes back.' : 'The take is deleted.';
    this.bar
      .open(words, 'Undo', { duration: UNDO_MS })
      .onAction()
      .subscribe(() => undo());
  }

  /** Goes to the first step that is missing, or whose take does not fit any more. */
  protected toFirst(changed: boolean): void {
    this.choose(this.steps().findIndex(({ take, stale }) => (changed ? stale : take === null)));
  }

  protected async askDeleteOld(): Promise<void> {
    if (await this.askFirst.ask(this.words().deletingOld)) await this.deleteOfNoStep();
  }

  protected async askDeleteAll(takes: number): Promise<void> {
    if (await this.askFirst.ask(this.words().deletingAll(takes))) void this.store.deleteAll();
  }

  protected async deleteOfNoStep(): Promise<void> {
    // Behind a take the one before it comes back, until none is left.
    for (let [take] = this.ofNoStep(); take; [take] = this.ofNoStep()) if (!(await this.store.deleteTake(take))) return;
  }

  /** How long a recording can be kept, and what it is kept for now. */
  protected keepFor(now: number): readonly { readonly days: number; readonly text: string }[] {
    return [...new Set([...KEPT_DAYS, now])]
      .sort((a, b) => a - b)
      .map((days) => ({ days, text: this.words().days[days] ?? this.words().otherDays(days) }));
  }

  protected dayOf(atMs: number): string {
    return new Date(atMs).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });
  }
}
