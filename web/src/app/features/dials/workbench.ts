import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  type ElementRef,
  inject,
  Injector,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatFormField, MatLabel, MatPrefix } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { MatTooltip } from '@angular/material/tooltip';
import { beatKindOf } from '@zeitpunkt/core/beats/registry';
import { poseBetween, type HandId } from '@zeitpunkt/core/dial/pose';
import type { DialMark } from '@zeitpunkt/core/scene/dial-state';
import type { StageState } from '@zeitpunkt/core/scene/stage-state';
import { withMarks } from '@zeitpunkt/core/scene/with-marks';
import { freeHands, letGoIntoGear, placeOf, poseOfBuild, setTime, takeUp, timeOfBuild, turnHand } from '@zeitpunkt/core/stage/dial-build';
import { nextOnDial } from '@zeitpunkt/core/time/occurrence';
import type { SecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { readTimeEntry } from '@zeitpunkt/core/words/time-entry';
import { showSender } from '../../shared/show-channel';
import { AUDIENCE_KEYS } from '../../ui/audience-window';
import type { Turning } from '../../ui/dial-gesture';
import { Icon } from '../../ui/icons/icon';
import { FilePress } from '../../ui/parts/file-press';
import { Place } from '../../ui/parts/place';
import { Failing } from '../../ui/parts/states';
import { PointAt } from '../../ui/point-at';
import { PointerTiles } from '../../ui/pointer-tiles';
import { POINTER_TOOLS, toggled, toggledGap, toolAfter, type ArcBy, type PointerTool } from '../../ui/pointer-tools';
import { SavingWord } from '../../ui/saving-word';
import { PointingStage } from '../../ui/pointing-stage';
import { beginTyping, useShortcuts, type Shortcut } from '../../shared/shortcuts';
import type { StagePlay } from '../../ui/stage-view';
import { DialsStore } from './dials-store';
import { exportFile, exportPng, exportSvg } from './export-dial';
import { Choose } from './choose';
import { KeepInLesson } from './keep-in-lesson';
import { LayerPanel } from './layer-panel';
import { SNAP_MS, WIDTHS } from './options';
import { SavedDials } from './saved-dials';
import { Reading } from './reading';
import { minuteSeen } from './reading-of';
import { StageAnimation } from './stage-animation';
import { sweepOf, type SweepCount } from './sweep-of';
import { turningShortcuts } from './turning-shortcuts';
import { DIALS_WORDS } from './words';
import { sentenceOf } from '../../shared/api';

/** Marks kept at once; the oldest goes first. */
const MOST_MARKS = 60;

/** Builds a demonstration dial on the dial itself, shows it at once, and keeps it by name or in a lesson. */
@Component({
  selector: 'zp-workbench',
  imports: [
    Choose,
    Failing,
    FilePress,
    Icon,
    LayerPanel,
    MatButton,
    MatFormField,
    MatIconButton,
    MatInput,
    MatLabel,
    MatMenu,
    MatMenuItem,
    MatMenuTrigger,
    MatPrefix,
    MatTooltip,
    Place,
    PointAt,
    PointerTiles,
    PointingStage,
    Reading,
    SavedDials,
    SavingWord,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './workbench.html',
  styleUrl: './workbench.scss',
})
export class Workbench {
  protected readonly store = inject(DialsStore);
  private readonly sender = showSender();
  private readonly animation = new StageAnimation(this.sender.frame);
  private readonly dialog = inject(MatDialog);
  private readonly injector = inject(Injector);
  protected readonly words = DIALS_WORDS;
  protected readonly tools = POINTER_TOOLS;
  protected readonly widths = WIDTHS;
  protected readonly tool = signal<PointerTool>('turn');
  protected readonly arcBy = signal<ArcBy>(5);
  protected readonly entryProblem = signal<string | null>(null);
  protected readonly turnSeconds = signal(30);
  protected readonly pace = computed(() => String(this.turnSeconds()));
  protected readonly sweepCount = signal<SweepCount>('fives');
  protected readonly transparent = signal(false);
  /** What moves by itself at this moment; null while nothing does. */
  protected readonly moved = this.animation.stage;
  protected readonly moving = computed(() => this.moved() !== null);
  // Told apart from the rest of the build, which is another one at every move of a hand.
  protected readonly hasSeveral = computed(() => this.store.build().beside.length > 0);
  protected readonly hasMarks = computed(() => this.store.build().marks.length > 0);
  protected readonly stage = computed(() => this.animation.stage() ?? this.store.stage());
  protected readonly play = computed<StagePlay>(() => {
    const stage = this.stage();
    return { stateAt: () => stage, motionMs: 0, beganAtMs: 0 };
  });

  private readonly whereHandsStand = computed(() => {
    const { hands, timeSec, freePose } = this.store.build();
    return [this.store.currentId(), placeOf(this.store.build()), hands, timeSec, freePose.hourDeg, freePose.minuteDeg].join(' ');
  });
  private readonly pointing = viewChild.required(PointingStage);
  private readonly entry = viewChild.required<ElementRef<HTMLInputElement>>('entry');

  /** The keys of this place, each within either half of a keyboard. */
  protected readonly shortcuts: readonly Shortcut[] = [
    ...turningShortcuts((hand, byDeg) => this.turnBy(hand, byDeg)),
    {
      left: ['T'],
      right: ['Enter', 'Digit'],
      text: DIALS_WORDS().keys.type,
      act: (_, key) => beginTyping(this.entry().nativeElement, key),
    },
    { left: ['G'], right: ['J'], text: DIALS_WORDS().keys.gear, act: () => this.changeGear() },
    { left: ['R'], right: ['P'], text: DIALS_WORDS().keys.pointer, act: () => this.tool.update((tool) => toolAfter(POINTER_TOOLS, tool)) },
    { left: ['X'], right: ['Backspace', 'Delete'], text: DIALS_WORDS().keys.wipe, act: () => this.wipe() },
    { left: ['Escape'], right: ['.'], text: DIALS_WORDS().keys.stop, act: () => this.cancel() },
    { left: ['Ctrl+Z'], right: ['U'], text: DIALS_WORDS().keys.undo, repeats: true, act: () => this.undo() },
    { left: ['Ctrl+Shift+Z'], right: ['Shift+U', 'Ctrl+Y'], text: DIALS_WORDS().keys.redo, repeats: true, act: () => this.store.redo() },
    { left: ['V'], right: ['O'], text: DIALS_WORDS().keys.show, act: () => this.openShow() },
  ];

  protected readonly help = computed(() => ({
    place: this.words().place,
    sentence: this.words().help.sentence,
    shortcuts: this.shortcuts,
    keys: [[this.words().help.audience, AUDIENCE_KEYS]] as const,
  }));

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
  protected readonly takeUp = (place: number) => this.store.change(takeUp(place));
  protected readonly wipe = () => this.store.change((build) => (build.marks.length ? { ...build, marks: [] } : build));

  protected setCount(count: string): void {
    this.sweepCount.set(count as SweepCount);
  }

  /** The dial becomes a beat of a lesson. */
  protected keepIn(): void {
    this.dialog.open(KeepInLesson, { injector: this.injector, width: '520px' });
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

  protected async exportPng(width: number): Promise<void> {
    try {
      await exportPng(this.stage(), this.store.current()?.name ?? '', width, this.transparent());
    } catch (error) {
      this.store.tell(sentenceOf(error));
    }
  }

  /** The dial as it was built, to be built on elsewhere. */
  protected exportFile(): void {
    exportFile(this.store.current()?.name ?? 'Dial', this.store.build());
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

  protected changeGear(): void {
    if (this.store.build().hands === 'free') this.letGo();
    else this.store.change(freeHands);
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
