import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  linkedSignal,
  model,
  output,
  signal,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { NewBeat } from '@zeitpunkt/core/beats/registry';
import { addBeats, type ScriptEdit } from '@zeitpunkt/core/edit/edit';
import type { PreparedLesson } from '@zeitpunkt/core/lesson/prepare';
import { sameJson } from '@zeitpunkt/core/same-json';
import type { DialLayers, DialMark } from '@zeitpunkt/core/scene/dial-state';
import { timeOnStage } from '@zeitpunkt/core/scene/time-on-stage';
import { NEW_ASIDE, stageAside } from '@zeitpunkt/core/stage/aside';
import { motionMs, stageAt } from '@zeitpunkt/core/stage/player';
import { displayText } from '@zeitpunkt/core/time/display';
import { toSecondOfDay, wrapSecondOfDay, type SecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { WORD_PACKS } from '@zeitpunkt/core/words/registry';
import { bestWording } from '@zeitpunkt/core/words/say';
import type { Turning } from '../../../ui/dial-gesture';
import { PointAt } from '../../../ui/point-at';
import { PointerTiles } from '../../../ui/pointer-tiles';
import { toggled, type ArcBy, type PointerTool } from '../../../ui/pointer-tools';
import { PointingStage } from '../../../ui/pointing-stage';
import type { StagePlay } from '../../../ui/stage-view';
import { stepAtMs } from '../column/beat-rows';
import { SCRIPT_WORDS } from '../words';
import { LayerPicture, type LayerName } from '../../../ui/parts/layer-picture';

/** Layers that can be switched while a demonstration is built. */
const SWITCHES: readonly { readonly name: LayerName; readonly on: Partial<DialLayers>; readonly off: Partial<DialLayers> }[] = [
  { name: 'ring', on: { minuteRing: 'full' }, off: { minuteRing: 'none' } },
  { name: 'zones', on: { hourZones: true }, off: { hourZones: false } },
  { name: 'halves', on: { halves: true }, off: { halves: false } },
  { name: 'quarters', on: { quarters: true }, off: { quarters: false } },
  { name: 'shaded', on: { shaded: true }, off: { shaded: false } },
  { name: 'hour', on: { hourHand: true }, off: { hourHand: false } },
  { name: 'minute', on: { minuteHand: true }, off: { minuteHand: false } },
  { name: 'colours', on: { handInk: 'own' }, off: { handInk: 'alike' } },
];

/** As many as a beat has room for. */
const MOST_MARKS = 40;

/**
 * The stage as it will be at a moment of the script: scrubbed, played in place, and built on. Hands that are taken and layers that
 * are switched are kept as a beat of their own.
 */
@Component({
  selector: 'zp-stage-player',
  imports: [LayerPicture, MatButton, PointAt, PointerTiles, PointingStage],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './stage-player.html',
  styleUrl: './stage-player.scss',
})
export class StagePlayer {
  readonly prepared = input.required<PreparedLesson>();
  /** The moment of the script that is seen, in milliseconds since its beginning. */
  readonly atMs = model.required<number>();
  readonly edit = output<{ readonly apply: ScriptEdit; readonly afterId: string }>();
  /** What the beat at hand points at; null where it is not of a kind that points. */
  readonly marks = input<readonly DialMark[] | null>(null);
  /** What it is to point at from now on. */
  readonly pointed = output<readonly DialMark[]>();
  protected readonly tools: readonly PointerTool[] = ['turn', 'ring', 'ray', 'arc', 'ink'];
  /** A beat that points is pointed with at once; any other is turned. */
  protected readonly tool = linkedSignal<PointerTool>(() => (this.points() ? 'ring' : 'turn'));
  protected readonly arcBy = signal<ArcBy>(5);
  private readonly points = computed(() => this.marks() !== null);
  protected readonly switches = SWITCHES;
  protected readonly words = SCRIPT_WORDS;
  readonly playing = signal(false);
  /** Where the hands were turned to, in seconds since midnight; null while they stand as the script has them. */
  protected readonly turned = signal<SecondOfDay | null>(null);
  protected readonly layers = signal<Partial<DialLayers>>({});
  /** What was built last has just become a beat. */
  protected readonly kept = signal(false);
  protected readonly isBuilt = computed(() => this.turned() !== null || Object.keys(this.layers()).length > 0);
  protected readonly at = computed(() => stepAtMs(this.prepared(), this.atMs()));
  /** The same stage as before where nothing that is seen has changed: a letter of what is said draws nothing. */
  private readonly scripted = computed(
    () => {
      const { ref, startMs } = this.at();
      return stageAt(this.prepared(), ref, this.atMs() - startMs);
    },
    { equal: sameJson },
  );
  protected readonly built = computed(() => {
    const [stage, turned, layers] = [this.scripted(), this.turned(), this.layers()];
    const aside = turned === null ? stage : stageAside(stage, { ...NEW_ASIDE, timeSec: turned }, this.prepared().lesson);
    return aside.dial && Object.keys(layers).length > 0
      ? { ...aside, dial: { ...aside.dial, layers: { ...aside.dial.layers, ...layers } } }
      : aside;
  });
  private readonly still = computed<StagePlay>(() => {
    const state = this.built();
    return { stateAt: () => state, motionMs: 0, beganAtMs: 0 };
  });
  protected readonly play = computed<StagePlay>(() => {
    if (!this.playing() || this.isBuilt()) return this.still();
    const [step, prepared] = [this.at(), this.prepared()];
    const began = untracked(this.atMs) - step.startMs;
    return {
      stateAt: (ms) => stageAt(prepared, step.ref, ms),
      motionMs: motionMs(prepared, step.ref),
      beganAtMs: Date.now() - began,
    };
  });
  protected readonly shown = computed(() => {
    const turned = this.turned();
    if (turned === null) return null;
    const { separator, pack } = this.prepared().lesson.settings;
    return `${displayText(turned, separator)}, ${bestWording(turned, WORD_PACKS[pack])}`;
  });
  private timer = 0;

  protected readonly turning = (): Turning => ({ hands: 'geared', at: this.timeNow() });

  constructor() {
    // Another moment of the script: what was built and not kept is put back.
    effect(() => {
      this.at();
      untracked(() => this.putBack());
    });
    inject(DestroyRef).onDestroy(() => clearTimeout(this.timer));
  }

  togglePlay(): void {
    if (this.playing()) return this.stop();
    // What is looked at as it has settled is played from its beginning.
    const { startMs, durationMs, beatIndex } = this.at();
    if (this.atMs() === startMs + durationMs - 1)
      this.atMs.set(this.prepared().steps.find((step) => step.beatIndex === beatIndex)!.startMs);
    this.playing.set(true);
    this.goOn();
  }

  stop(): void {
    clearTimeout(this.timer);
    this.playing.set(false);
  }

  protected point(mark: DialMark): void {
    const marks = this.marks();
    if (marks) this.pointed.emit(toggled(marks, mark).slice(-MOST_MARKS));
  }

  protected readonly turnTo = (turning: Turning): void => {
    this.kept.set(false);
    if (turning.hands === 'geared') this.turned.set(turning.at);
  };

  isOn(on: Partial<DialLayers>): boolean {
    const [[name, value] = []] = Object.entries(on);
    return this.built().dial?.layers[name as keyof DialLayers] === value;
  }

  protected toggle({ on, off }: (typeof SWITCHES)[number]): void {
    this.stop();
    this.kept.set(false);
    const change = this.isOn(on) ? off : on;
    this.layers.update((layers) => ({ ...layers, ...change }));
  }

  putBack(): void {
    this.turned.set(null);
    this.layers.set({});
  }

  /** What was built becomes a beat after the one at hand. */
  keep(): void {
    const stage = this.built();
    const [turned, layers] = [this.turned(), this.layers()];
    const hasLayers = Object.keys(layers).length > 0;
    const beat: NewBeat =
      turned === null
        ? { kind: 'layers', layers, lasts: false, text: '' }
        : {
            kind: 'set',
            timeSec: turned,
            display: stage.display ? 'full' : 'none',
            words: stage.words.length > 0,
            text: '',
            ...(hasLayers && { layers }),
          };
    const { ref, beatIndex } = this.at();
    const beforeId = this.prepared().lesson.beats[beatIndex + 1]?.id ?? null;
    this.putBack();
    this.kept.set(true);
    this.edit.emit({ apply: addBeats([beat], beforeId), afterId: ref.beatId });
  }

  private goOn(): void {
    const step = this.at();
    const leftMs = step.startMs + step.durationMs - this.atMs();
    const began = Date.now();
    const from = this.atMs();
    const tick = () => {
      const gone = Date.now() - began;
      const isOver = gone >= leftMs;
      const next = from + Math.min(gone, leftMs);
      if (!isOver) {
        this.atMs.set(Math.min(next, step.startMs + step.durationMs - 1));
        this.timer = window.setTimeout(tick, 200);
      } else if (next >= this.prepared().totalMs) {
        this.atMs.set(this.prepared().totalMs - 1);
        this.stop();
      } else {
        this.atMs.set(next);
        this.goOn();
      }
    };
    tick();
  }

  private timeNow(): SecondOfDay {
    const turned = this.turned();
    return turned ?? wrapSecondOfDay(Math.round(toSecondOfDay(timeOnStage(this.scripted())) / 60) * 60);
  }
}
