import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatExpansionPanel, MatExpansionPanelHeader } from '@angular/material/expansion';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { MatOption, MatSelect } from '@angular/material/select';
import { RUNG_IDS, RUNGS, type RungId } from '@zeitpunkt/core/ladder/registry';
import { rungOfLesson } from '@zeitpunkt/core/lesson/rung-of-lesson';
import { misconceptionOf, type MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import type { SessionDetail, SimulatedWish } from '@zeitpunkt/contract';
import { ask, sentenceOf } from '../../shared/api';
import { CONSOLE_WORDS } from './words';

const PACES = [
  { value: 0.25, word: 'quick' },
  { value: 1, word: 'usual' },
  { value: 2, word: 'slow' },
] as const;
const SLIPS = [
  { value: 0, word: 'none' },
  { value: 0.06, word: 'some' },
  { value: 0.2, word: 'often' },
] as const;
const DROPS = [
  { value: 0, word: 'none' },
  { value: 0.1, word: 'some' },
  { value: 0.35, word: 'often' },
] as const;

/** Fills a room of simulated pupils, who come over the line like real ones; how they are can be chosen. */
@Component({
  selector: 'zp-simulated-panel',
  imports: [MatButton, MatCheckbox, MatExpansionPanel, MatExpansionPanelHeader, MatFormField, MatInput, MatLabel, MatOption, MatSelect],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './simulated-panel.html',
  styles: `
    :host {
      display: grid;
      gap: 12px;
      width: 100%;
      padding: 12px 16px;
      border: 2px dashed var(--line);
      border-radius: 4px;
    }
    h2,
    p {
      margin: 0;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
    }
    .how {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
      gap: 12px;
    }
  `,
})
export class SimulatedPanel {
  readonly detail = input.required<SessionDetail>();
  private readonly catalogue = CONSOLE_WORDS;
  protected readonly words = computed(() => this.catalogue().simulated);
  protected readonly paces = PACES;
  protected readonly slips = SLIPS;
  protected readonly drops = DROPS;
  protected readonly count = signal(26);
  protected readonly slowness = signal<number>(1);
  protected readonly carelessness = signal<number>(0.06);
  protected readonly dropOuts = signal<number>(0);
  protected readonly seed = signal(1);
  /** Ideas that were taken out or put in; null: those that are usual where the lesson stands. */
  private readonly chosen = signal<ReadonlySet<MisconceptionId> | null>(null);
  protected readonly busy = signal(false);
  protected readonly problem = signal<string | null>(null);

  protected readonly rungs = RUNG_IDS.map((id) => ({ id, name: RUNGS[id].name }));
  private readonly reached = signal<RungId | null>(null);
  /** The rung they have come to: that of the lesson, where nothing else is chosen. */
  protected readonly rung = computed(() => {
    return this.reached() ?? rungOfLesson(this.detail().lesson);
  });

  protected readonly usual = computed(() => {
    return RUNGS[this.rung()].misconceptions.map((id) => ({ id, name: misconceptionOf(id).name }));
  });
  protected readonly ideas = computed(() => this.chosen() ?? new Set(this.usual().map(({ id }) => id)));
  protected readonly isFull = computed(() => this.detail().live.participants.length > 0);

  protected reach(rung: string): void {
    this.reached.set(rung as RungId);
    this.chosen.set(null);
  }

  protected setCount({ valueAsNumber: count }: HTMLInputElement): void {
    if (Number.isInteger(count)) this.count.set(Math.min(36, Math.max(1, count)));
  }

  protected setSeed({ valueAsNumber: seed }: HTMLInputElement): void {
    if (Number.isInteger(seed) && seed >= 0) this.seed.set(Math.min(seed, 2 ** 31));
  }

  protected hold(id: MisconceptionId, isHeld: boolean): void {
    const ideas = [...this.ideas()].filter((one) => one !== id);
    this.chosen.set(new Set(isHeld ? [...ideas, id] : ideas));
  }

  protected async fill(): Promise<void> {
    const ideas = this.usual().flatMap(({ id }) => (this.ideas().has(id) ? [id] : []));
    const wish: SimulatedWish = {
      count: this.count(),
      rung: this.rung(),
      ideas: ideas.slice(0, 10),
      slowness: this.slowness(),
      carelessness: this.carelessness(),
      dropOuts: this.dropOuts(),
      seed: this.seed(),
    };
    await this.attempt(() => ask('POST', `/api/sessions/${this.detail().id}/simulated`, wish));
  }

  protected async switchOff(): Promise<void> {
    await this.attempt(() => ask('POST', `/api/sessions/${this.detail().id}/simulated/stop`));
  }

  private async attempt(work: () => Promise<unknown>): Promise<void> {
    this.busy.set(true);
    try {
      await work();
      this.problem.set(null);
    } catch (error) {
      this.problem.set(sentenceOf(error));
    } finally {
      this.busy.set(false);
    }
  }
}
