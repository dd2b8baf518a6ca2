import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  type ElementRef,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { SavedDial } from '@zeitpunkt/contract';
import {
  BAND_CHOICES,
  beatKindOf,
  bestWording,
  dayEventsText,
  dialLetter,
  dialNotes,
  displayText,
  freeHands,
  hourProgress,
  letGoIntoGear,
  MOST_BESIDE,
  nextOnDial,
  placeOf,
  poseBetween,
  poseOfBuild,
  readDayEvents,
  readTimeEntry,
  reportPose,
  setAside,
  setTime,
  switchBand,
  takeAway,
  takeUp,
  timeOfBuild,
  turnHand,
  WORD_PACKS,
  wrapSecondOfDay,
  type BandChoice,
  type DialBuild,
  type DialLayers,
  type DialMark,
  type SecondOfDay,
  type StageState,
} from '@zeitpunkt/core';
import { nextFrame } from '../../shared/next-frame';
import { showSender } from '../show/show-channel';
import { Choice } from '../../ui/choice';
import type { Turning } from '../../ui/dial-gesture';
import { ARC_BY, POINTER_TOOLS, toggled, toggledGap, type ArcBy, type PointerTool } from '../../ui/pointer-tools';
import { PointingStage } from '../../ui/pointing-stage';
import type { StagePlay } from '../../ui/stage-view';
import { DialsStore } from './dials-store';
import { exportPng, exportSvg } from './export-dial';
import { OPTIONS, SNAP_MS } from './options';
import { sweepOf, type SweepCount } from './sweep-of';

/** The keys that nudge, in minutes: all within reach of one hand. */
const NUDGES: Record<string, number> = {
  ArrowRight: 1,
  ArrowLeft: -1,
  ArrowUp: 5,
  ArrowDown: -5,
  PageUp: 15,
  PageDown: -15,
  ']': 30,
  '[': -30,
  Home: 60,
  End: -60,
};
const REDUCED_STEP_MS = 1000;
/** Marks kept at once; the oldest goes first. */
const MOST_MARKS = 60;

/** Builds a demonstration dial on the dial itself, shows it at once, and keeps it by name or in a lesson. */
@Component({
  selector: 'zp-workbench',
  imports: [Choice, MatButton, PointingStage],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)' },
  templateUrl: './workbench.html',
  styleUrl: './workbench.scss',
})
export class Workbench {
  protected readonly store = inject(DialsStore);
  protected readonly options = OPTIONS;
  protected readonly tools = Object.entries(POINTER_TOOLS) as [PointerTool, string][];
  protected readonly bands = Object.entries(BAND_CHOICES) as [BandChoice, string][];
  protected readonly arcOptions = ARC_BY;
  protected readonly mostBeside = MOST_BESIDE;
  protected readonly tool = signal<PointerTool>('turn');
  protected readonly arcBy = signal<ArcBy>(5);
  protected readonly entryProblem = signal<string | null>(null);
  protected readonly eventsProblem = signal<string | null>(null);
  protected readonly eventsText = computed(() => dayEventsText(this.store.build().events));
  /** Several dials by their letters. */
  protected readonly dialOptions = computed(() =>
    Array.from({ length: this.store.build().beside.length + 1 }, (_, value) => ({ value, text: dialLetter(value) })),
  );
  protected readonly place = computed(() => placeOf(this.store.build()));
  protected readonly turnSeconds = signal(30);
  protected readonly sweepCount = signal<SweepCount>('fives');
  protected readonly pngWidth = signal(1600);
  protected readonly transparent = signal(false);
  /** A sweep under way: the stage at this moment. */
  protected readonly playing = signal<StageState | null>(null);

  protected readonly stage = computed(() => this.playing() ?? this.store.stage());
  protected readonly play = computed<StagePlay>(() => {
    const stage = this.stage();
    return { stateAt: () => stage, motionMs: 0, beganAtMs: 0 };
  });
  protected readonly reading = computed(() => {
    const build = this.store.build();
    const pose = this.playing()?.dial?.pose ?? poseOfBuild(build);
    const free = build.hands === 'free' && !this.playing();
    const at = wrapSecondOfDay(free ? timeOfBuild(build) : Math.round(pose.hourDeg * 2) * 60);
    const { hourHand, minuteHand, handInk } = build.layers;
    const report = free ? reportPose(pose) : null;
    return {
      digits: report && !report.possible ? '' : displayText(at, build.separator),
      words: report && !report.possible ? '' : bestWording(at, WORD_PACKS[build.pack]),
      progress: hourProgress(pose.hourDeg).sentence,
      notes: free ? [] : dialNotes(pose, { hourHand, minuteHand, alike: handInk === 'alike' }),
      report,
    };
  });

  private readonly pointing = viewChild.required(PointingStage);
  private readonly entry = viewChild.required<ElementRef<HTMLInputElement>>('entry');
  private readonly help = viewChild.required<ElementRef<HTMLDialogElement>>('help');
  private readonly sender = showSender();
  /** Calls the next step of an animation off. */
  private callOff: () => void = () => undefined;

  constructor() {
    effect(() => this.sender.show(this.stage()));
    inject(DestroyRef).onDestroy(() => {
      this.callOff();
      this.sender.close();
    });
  }

  protected set<Key extends keyof DialBuild>(key: Key, value: DialBuild[Key]): void {
    this.store.change((build) => ({ ...build, [key]: value }));
  }

  protected setLayer<Key extends keyof DialLayers>(key: Key, value: DialLayers[Key]): void {
    this.store.change((build) => ({ ...build, layers: { ...build.layers, [key]: value } }));
  }

  protected readonly turning = (): Turning => {
    const build = this.store.build();
    return build.hands === 'geared' ? { hands: 'geared', at: timeOfBuild(build) } : { hands: 'free', pose: build.freePose };
  };
  protected readonly turn = (turned: Turning) =>
    this.store.move((began) => (turned.hands === 'geared' ? setTime(turned.at)(began) : { ...began, freePose: turned.pose }));
  protected readonly mark = (mark: DialMark) =>
    this.store.change((build) => ({ ...build, marks: toggled(build.marks, mark).slice(-MOST_MARKS) }));
  protected readonly gap = (numeral: number) =>
    this.store.change((build) => ({ ...build, layers: { ...build.layers, numeralGaps: toggledGap(build.layers.numeralGaps, numeral) } }));
  protected readonly aside = () => this.store.change(setAside);
  protected readonly away = () => this.store.change(takeAway);
  protected readonly takeUp = (place: number) => this.store.change(takeUp(place));
  protected readonly free = () => this.store.change(freeHands);
  protected readonly geared = () => this.letGo();
  protected readonly wipe = () => this.store.change((build) => (build.marks.length ? { ...build, marks: [] } : build));
  protected readonly band = (choice: BandChoice) => this.store.change(switchBand(choice));

  protected setEvents(text: string): void {
    const entry = readDayEvents(text, WORD_PACKS[this.store.build().pack]);
    this.eventsProblem.set('problem' in entry ? entry.problem : null);
    if ('events' in entry) this.set('events', entry.events);
  }

  protected cover(digit: number): void {
    this.store.change((build) => ({
      ...build,
      covered: build.covered.includes(digit) ? build.covered.filter((one) => one !== digit) : [...build.covered, digit],
    }));
  }

  protected type(event: Event): void {
    event.preventDefault();
    const at = this.readEntry();
    if (at !== null) this.store.change(setTime(at));
  }

  protected sweep(): void {
    const target = this.readEntry();
    if (target === null) return;
    const from = timeOfBuild(this.store.build());
    const to = nextOnDial(target, from);
    if (to !== from) this.playSweep(from, to);
  }

  protected openShow(): void {
    window.open('/show', 'zeitpunkt-show', 'popup,width=1280,height=720');
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
  }

  protected exportSvg(): void {
    exportSvg(this.stage(), this.store.current()?.name ?? '', this.transparent());
  }

  protected async exportPng(): Promise<void> {
    try {
      await exportPng(this.stage(), this.store.current()?.name ?? '', this.pngWidth(), this.transparent());
    } catch (error) {
      this.store.tell((error as Error).message);
    }
  }

  protected keepIn(lessonId: string, text: string): void {
    const lesson = this.store.lessons().find(({ id }) => id === lessonId);
    if (lesson) void this.store.keepIn(lesson, text);
  }

  protected remove(dial: SavedDial): void {
    void this.store.remove(dial);
  }

  protected key(event: KeyboardEvent): void {
    const target = event.target as HTMLElement;
    if (this.help().nativeElement.open || target.closest('input, textarea, select')) return;
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z')
      return this.act(event, () => (event.shiftKey ? this.store.redo() : this.store.undo()));
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'y') return this.act(event, () => this.store.redo());
    if (event.ctrlKey || event.altKey || event.metaKey) return;
    const nudge = NUDGES[event.key];
    if (nudge !== undefined) return this.act(event, () => this.store.change(turnHand('minute', nudge * 6)));
    if (event.key === 'Escape') return this.act(event, () => this.cancel());
    if (event.key === 'Backspace' || event.key === 'Delete') return this.act(event, this.wipe);
    if (event.key === 't') return this.act(event, () => this.entry().nativeElement.focus());
    if (event.key === 'a') return this.act(event, () => this.openShow());
    if (event.key === 'g') return this.act(event, () => (this.store.build().hands === 'free' ? this.letGo() : this.free()));
    if (event.key === '?') return this.act(event, () => this.help().nativeElement.showModal());
  }

  private act(event: Event, what: () => void): void {
    event.preventDefault();
    what();
  }

  private readEntry(): SecondOfDay | null {
    const build = this.store.build();
    const entry = readTimeEntry(this.entry().nativeElement.value, build.pack, timeOfBuild(build));
    this.entryProblem.set('at' in entry ? null : entry.problem);
    return 'at' in entry ? entry.at : null;
  }

  /** Plays a sweep on the stage; the build itself moves only when it has arrived, as one step. */
  private playSweep(from: SecondOfDay, to: SecondOfDay): void {
    const { beat, context } = sweepOf(from, to, this.turnSeconds(), this.sweepCount(), this.store.build());
    const kind = beatKindOf(beat);
    const before = this.store.stage();
    const lengthMs = kind.motionMs(beat, context);
    this.animate(
      lengthMs,
      (elapsedMs) => kind.at(before, beat, elapsedMs, context),
      () => this.store.change(setTime(to)),
    );
  }

  /** Free hands snap to the nearest time, with a short turn that can be seen. */
  private letGo(): void {
    const build = this.store.build();
    if (build.hands === 'geared') return;
    const [from, to] = [poseOfBuild(build), poseOfBuild(letGoIntoGear(build))];
    const stage = this.store.stage();
    const onTheWay = (part: number): StageState => ({
      ...stage,
      dial: stage.dial && { ...stage.dial, pose: poseBetween(from, to, part) },
    });
    this.animate(
      SNAP_MS,
      (elapsedMs) => onTheWay(Math.min(1, elapsedMs / SNAP_MS)),
      () => this.store.change(letGoIntoGear),
    );
  }

  private animate(lengthMs: number, at: (elapsedMs: number) => StageState, arrived: () => void): void {
    this.callOff();
    const calm = matchMedia('(prefers-reduced-motion: reduce)').matches;
    const began = performance.now();
    const draw = () => {
      const elapsedMs = performance.now() - began;
      if (elapsedMs >= lengthMs) {
        this.playing.set(null);
        return arrived();
      }
      this.playing.set(at(calm ? Math.floor(elapsedMs / REDUCED_STEP_MS) * REDUCED_STEP_MS : elapsedMs));
      this.callOff = nextFrame(draw, this.sender.frame);
    };
    draw();
  }

  private cancel(): void {
    this.callOff();
    this.playing.set(null);
    this.pointing().cancel();
    this.tool.set('turn');
  }
}
