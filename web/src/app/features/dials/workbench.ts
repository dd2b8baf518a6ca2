import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  type ElementRef,
  inject,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { SavedDial } from '@zeitpunkt/contract';
import {
  BAND_CHOICES,
  beatKindOf,
  dayEventsText,
  dialLetter,
  freeHands,
  letGoIntoGear,
  MOST_BESIDE,
  nextOnDial,
  placeOf,
  poseBetween,
  poseOfBuild,
  readDayEvents,
  readTimeEntry,
  setAside,
  setTime,
  switchBand,
  takeAway,
  takeUp,
  timeOfBuild,
  turnHand,
  withMarks,
  WORD_PACKS,
  type BandChoice,
  type DialBuild,
  type DialLayers,
  type DialMark,
  type HandId,
  type SecondOfDay,
  type StageState,
} from '@zeitpunkt/core';
import { showSender } from '../show/show-channel';
import { AUDIENCE_KEYS } from '../../ui/audience-window';
import { Choice } from '../../ui/choice';
import type { Turning } from '../../ui/dial-gesture';
import { KeyList } from '../../ui/key-list';
import { PointAt } from '../../ui/point-at';
import { POINTER_TOOLS, toggled, toggledGap, toolAfter, type ArcBy, type PointerTool } from '../../ui/pointer-tools';
import { SavingWord } from '../../ui/saving-word';
import { PointingStage } from '../../ui/pointing-stage';
import { beginTyping, useShortcuts, type Shortcut } from '../../shared/shortcuts';
import type { StagePlay } from '../../ui/stage-view';
import { DialsStore } from './dials-store';
import { exportFile, exportPng, exportSvg } from './export-dial';
import { OPTIONS, SNAP_MS } from './options';
import { minuteSeen, readingOf } from './reading-of';
import { StageAnimation } from './stage-animation';
import { sweepOf, type SweepCount } from './sweep-of';
import { turningShortcuts } from './turning-shortcuts';

const TOOLS = Object.keys(POINTER_TOOLS) as PointerTool[];
/** Marks kept at once; the oldest goes first. */
const MOST_MARKS = 60;

/** Builds a demonstration dial on the dial itself, shows it at once, and keeps it by name or in a lesson. */
@Component({
  selector: 'zp-workbench',
  imports: [Choice, KeyList, MatButton, PointAt, PointingStage, SavingWord],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './workbench.html',
  styleUrl: './workbench.scss',
})
export class Workbench {
  protected readonly store = inject(DialsStore);
  private readonly sender = showSender();
  private readonly animation = new StageAnimation(this.sender.frame);
  protected readonly options = OPTIONS;
  protected readonly audienceKeys = AUDIENCE_KEYS;
  protected readonly tools = TOOLS.map((tool) => [tool, POINTER_TOOLS[tool]] as const);
  protected readonly bands = Object.entries(BAND_CHOICES) as [BandChoice, string][];
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
  protected readonly moving = computed(() => this.animation.stage() !== null);
  protected readonly stage = computed(() => this.animation.stage() ?? this.store.stage());
  protected readonly play = computed<StagePlay>(() => {
    const stage = this.stage();
    return { stateAt: () => stage, motionMs: 0, beganAtMs: 0 };
  });
  protected readonly reading = computed(() => readingOf(this.store.build(), this.animation.stage()));

  private readonly whereHandsStand = computed(() => {
    const { hands, timeSec, freePose } = this.store.build();
    return [this.store.currentId(), this.place(), hands, timeSec, freePose.hourDeg, freePose.minuteDeg].join(' ');
  });
  private readonly pointing = viewChild.required(PointingStage);
  private readonly entry = viewChild.required<ElementRef<HTMLInputElement>>('entry');

  /** The keys of this place, each within either half of a keyboard. */
  protected readonly shortcuts: readonly Shortcut[] = [
    ...turningShortcuts((hand, byDeg) => this.turnBy(hand, byDeg)),
    { left: ['T'], right: ['Enter', 'Digit'], text: 'Type a time', act: (_, key) => beginTyping(this.entry().nativeElement, key) },
    { left: ['G'], right: ['J'], text: 'Free hands, into gear', act: () => this.changeGear() },
    { left: ['R'], right: ['P'], text: 'Next pointer', act: () => this.tool.update((tool) => toolAfter(TOOLS, tool)) },
    { left: ['X'], right: ['Backspace', 'Delete'], text: 'Wipe all pointers', act: () => this.wipe() },
    { left: ['Escape'], right: ['.'], text: 'Stop, put back', act: () => this.cancel() },
    { left: ['Ctrl+Z'], right: ['U'], text: 'Undo', repeats: true, act: () => this.undo() },
    { left: ['Ctrl+Shift+Z'], right: ['Shift+U', 'Ctrl+Y'], text: 'Redo', repeats: true, act: () => this.store.redo() },
    { left: ['V'], right: ['O'], text: 'Show to pupils', act: () => this.openShow() },
  ];

  constructor() {
    useShortcuts(this.shortcuts);
    effect(() => this.sender.show(this.stage()));
    // What moves is overtaken when the hands are set, or another dial is taken up.
    effect(() => {
      this.whereHandsStand();
      untracked(() => this.animation.stop());
    });
    inject(DestroyRef).onDestroy(() => {
      this.animation.stop();
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
    this.settle();
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

  /** The dial as it was built, to be built on elsewhere. */
  protected exportFile(): void {
    exportFile(this.store.current()?.name ?? 'Dial', this.store.build());
  }

  protected async openFile(field: HTMLInputElement): Promise<void> {
    const file = field.files?.[0];
    field.value = '';
    if (file) await this.store.openFile(file);
  }

  protected keepIn(lessonId: string, text: string): void {
    const lesson = this.store.lessons().find(({ id }) => id === lessonId);
    if (lesson) void this.store.keepIn(lesson, text);
  }

  protected remove(dial: SavedDial): void {
    void this.store.remove(dial);
  }

  /** While something moves, undo only stops it: nothing has been done yet. */
  protected undo(): void {
    if (this.animation.stage()) this.animation.stop();
    else this.store.undo();
  }

  /** Hands that are taken in the midst of a sweep go on from where they are seen. */
  private settle(): void {
    const seen = this.animation.stage()?.dial;
    const build = this.store.build();
    if (!seen || build.hands === 'free') return;
    this.animation.stop();
    this.store.change(setTime(nextOnDial(minuteSeen(seen.pose), timeOfBuild(build))));
  }

  private turnBy(hand: HandId, byDeg: number): void {
    this.settle();
    this.store.change(turnHand(hand, byDeg));
  }

  private changeGear(): void {
    if (this.store.build().hands === 'free') this.letGo();
    else this.free();
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
    this.animation.run(
      kind.motionMs(beat, context),
      (elapsedMs) => withMarks(kind.at(this.store.stage(), beat, elapsedMs, context), this.store.build().marks),
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
    this.animation.run(
      SNAP_MS,
      (elapsedMs) => onTheWay(Math.min(1, elapsedMs / SNAP_MS)),
      () => this.store.change(letGoIntoGear),
    );
  }

  private cancel(): void {
    this.animation.stop();
    this.pointing().cancel();
    this.tool.set('turn');
  }
}
