import { ChangeDetectionStrategy, Component, computed, type ElementRef, inject, input, signal, viewChild } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatLabel, MatPrefix } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import type { DialMark } from '@zeitpunkt/core/scene/dial-state';
import { timeOnStage } from '@zeitpunkt/core/scene/time-on-stage';
import { MOST_ASIDE_MARKS, NEW_ASIDE, type Aside } from '@zeitpunkt/core/stage/aside';
import { toSecondOfDay, wrapSecondOfDay, type SecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { readTimeEntry } from '@zeitpunkt/core/words/time-entry';
import { Steering } from '../../shared/steering';
import { Icon } from '../../ui/icons/icon';
import type { Turning } from '../../ui/dial-gesture';
import { KeyHint } from '../../ui/parts/key-hint';
import { PointAt } from '../../ui/point-at';
import { PointerTiles } from '../../ui/pointer-tiles';
import { toggled, toolAfter, type ArcBy, type PointerTool } from '../../ui/pointer-tools';
import { PointingStage } from '../../ui/pointing-stage';
import { beginTyping, type Shortcut } from '../../shared/shortcuts';
import type { StagePlay } from '../../ui/stage-view';
import { CONSOLE_WORDS } from './words';

/** The keys that act on the stage of a console, while it has one. Page up and down steer the lesson. */
export function scriptStageShortcuts(stage: () => ScriptStage | undefined): readonly Shortcut[] {
  const { keys } = CONSOLE_WORDS();
  const nudge = (minutes: number) => (place: number) => stage()?.nudge(place === 0 ? -minutes : minutes);
  return [
    { left: ['A', 'D'], right: ['ArrowLeft', 'ArrowRight'], text: keys.minute, repeats: true, act: nudge(1) },
    { left: ['S', 'W'], right: ['ArrowDown', 'ArrowUp'], text: keys.fives, repeats: true, act: nudge(5) },
    { left: ['T'], right: ['Enter', 'Digit'], text: keys.type, act: (_, key) => stage()?.beginEntry(key) },
    { left: ['E'], right: ['L'], text: keys.explain, act: () => stage()?.explain() },
    { left: ['C'], right: ['M'], text: keys.chart, act: () => stage()?.toggleChart() },
    { left: ['R'], right: ['P'], text: keys.pointer, act: () => stage()?.nextTool() },
    { left: ['X'], right: ['Backspace', 'Delete'], text: keys.wipe, act: () => stage()?.wipe() },
    { left: ['Escape'], right: ['.'], text: keys.leave, act: () => stage()?.leave() },
  ];
}

/** The stage on the console, where the script can be left at any moment: grab a hand, type a time, point. One key comes back. */
@Component({
  selector: 'zp-script-stage',
  imports: [Icon, KeyHint, MatButton, MatFormField, MatInput, MatLabel, MatPrefix, PointAt, PointerTiles, PointingStage],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './script-stage.html',
  styleUrl: './script-stage.scss',
})
export class ScriptStage {
  readonly play = input.required<StagePlay>();
  readonly settings = input.required<LessonSettings>();
  protected readonly steering = inject(Steering);
  private readonly catalogue = CONSOLE_WORDS;
  protected readonly words = computed(() => this.catalogue().stage);
  protected readonly tools: readonly PointerTool[] = ['turn', 'ring', 'ray', 'arc', 'ink'];
  protected readonly tool = signal<PointerTool>('turn');
  protected readonly arcBy = signal<ArcBy>(5);
  protected readonly entryProblem = signal<string | null>(null);
  protected readonly hasChart = computed(() => this.steering.aside()?.shows?.kind === 'chart');
  protected readonly hasMarks = computed(() => (this.steering.aside()?.marks.length ?? 0) > 0);

  private readonly entry = viewChild.required<ElementRef<HTMLInputElement>>('entry');
  private readonly stage = viewChild.required(PointingStage);
  /** Where a turn of the hands began, for taking it back. */
  private began: Aside | null = null;

  protected readonly turning = (): Turning => ({ hands: 'geared', at: this.timeNow() });

  protected turnBegan(): void {
    this.began = this.steering.aside();
  }

  protected readonly turned = (turning: Turning): void => {
    if (turning.hands === 'geared') this.turnTo(turning.at);
  };

  protected turnCancelled(): void {
    if (this.began) this.steering.showAside(this.began);
    else this.steering.backToScript();
  }

  protected mark(mark: DialMark): void {
    this.change({ marks: toggled(this.aside().marks, mark).slice(-MOST_ASIDE_MARKS) });
  }

  wipe(): void {
    if (this.hasMarks()) this.change({ marks: [] });
  }

  protected type(event: Event): void {
    event.preventDefault();
    const at = this.typed();
    if (at !== null) this.turnTo(at);
  }

  /** Explains the time that is typed; where none is, the one on the dial. */
  explain(): void {
    const at = this.entry().nativeElement.value.trim() ? this.typed() : this.timeNow();
    if (at !== null) this.steering.showExample(at);
  }

  toggleChart(): void {
    this.steering.toggleChart();
  }

  /** Turns the hands by whole minutes. */
  nudge(minutes: number): void {
    this.turnTo(wrapSecondOfDay(this.timeNow() + minutes * 60));
  }

  /** Goes to the field for a time; a digit is its first one already. */
  beginEntry(key: string): void {
    beginTyping(this.entry().nativeElement, key);
  }

  nextTool(): void {
    this.tool.update((tool) => toolAfter(this.tools, tool));
  }

  /** Puts the pointer down, and brings the script back. */
  leave(): void {
    this.stage().cancel();
    this.tool.set('turn');
    if (this.steering.aside()) this.steering.backToScript();
    else this.steering.takeBack();
  }

  /** The time in the field, taken out of it; null where it is none, and why not is said. */
  private typed(): SecondOfDay | null {
    const field = this.entry().nativeElement;
    const entry = readTimeEntry(field.value, this.settings().pack, this.timeNow());
    this.entryProblem.set('at' in entry ? null : entry.problem);
    if (!('at' in entry)) return null;
    field.value = '';
    field.blur(); // Space goes on with the lesson again
    return entry.at;
  }

  private turnTo(timeSec: number): void {
    this.change({ timeSec, shows: null });
  }

  private aside(): Aside {
    return this.steering.aside() ?? NEW_ASIDE;
  }

  private change(change: Partial<Aside>): void {
    this.steering.showAside({ ...this.aside(), ...change });
  }

  /** The time on the stage at this moment, also in the midst of a sweep, in whole minutes. */
  private timeNow() {
    const told = this.steering.aside()?.timeSec ?? null;
    if (told !== null) return toSecondOfDay(told);
    const play = this.play();
    const now = timeOnStage(play.stateAt(Math.max(0, Date.now() - play.beganAtMs)));
    return wrapSecondOfDay(Math.round(now / 60) * 60);
  }
}
