import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { misconceptionOf, RUNGS, type Change, type MasteryWord, type RungId } from '@zeitpunkt/core';
import { intervalWords, MASTERY_WORDS } from '../../shared/insight/mastery-words';
import { Chart, type ChartOf, type ChartPressed } from '../../ui/chart';
import { ClassReviewStore } from './class-review-store';
import { masteryMap } from './mastery-map';

/** Pupils by rungs: a map to see at a glance, the same as a table to go through, and what changed between two lessons. */
@Component({
  selector: 'zp-look-map',
  imports: [Chart, DatePipe, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './look-map.html',
  styleUrl: './look-map.scss',
})
export class LookMap {
  protected readonly store = inject(ClassReviewStore);
  protected readonly words = MASTERY_WORDS;
  protected readonly legend: readonly MasteryWord[] = ['sure', 'nearly', 'partly', 'not-yet', 'too-few'];
  protected readonly intervalWords = intervalWords;
  protected readonly withIntervals = signal(false);
  protected readonly picture = computed(() => this.store.insight()!.picture);
  protected readonly rungs = computed(() => this.picture().rungs.map((id) => ({ id, name: RUNGS[id].name })));
  protected readonly map = computed((): ChartOf => masteryMap(this.picture()));
  protected readonly height = computed(() => 60 + 24 * this.picture().pupils.length);
  /** How the class stands on each rung, in words. */
  protected readonly sums = computed(() =>
    this.picture().rungs.map((id) => {
      const all = this.picture().pupils.flatMap(({ mastery }) => mastery[id]?.word ?? []);
      const count = (word: string) => all.filter((one) => one === word).length;
      return {
        id,
        name: RUNGS[id].name,
        sure: count('sure'),
        nearly: count('nearly'),
        partly: count('partly'),
        notYet: count('not-yet'),
        tooFew: count('too-few'),
      };
    }),
  );
  protected readonly lessons = computed(() => this.store.insight()!.lessons.filter(({ answers }) => answers > 0));
  protected readonly from = signal(0);
  protected readonly to = signal<number | null>(null);
  protected readonly changed = computed(() => {
    const change = this.store.change();
    if (!change) return null;
    const rungs = change.rungs.map(({ id, change: one }) => ({
      name: RUNGS[id].name,
      words: masteryChange(one),
      told: one.word !== 'none',
    }));
    const ideas = change.ideas.map(({ id, change: one }) => ({
      name: misconceptionOf(id).name,
      words: ideaChange(one),
      told: one.word !== 'none',
    }));
    return [...rungs, ...ideas];
  });

  protected open(pupilId: string, name: string, rung: RungId): void {
    void this.store.show(`${name}, ${RUNGS[rung].name.toLowerCase()}`, { pupilId, rung });
  }

  /** A cell of the map opens its answers, as the table's does. */
  protected readonly press = ({ pupilId, name, rung }: ChartPressed): void => this.open(String(pupilId), String(name), rung as RungId);

  protected compare(): void {
    const lessons = this.lessons();
    const [one, other] = [lessons[this.from()], lessons[this.to() ?? lessons.length - 1]];
    if (one && other) void this.store.compare(endOf(one.createdAtMs), endOf(other.createdAtMs));
  }
}

/** A lesson is over some hours after it began. */
const endOf = (beganMs: number) => beganMs + 4 * 3_600_000;

const ofHundred = (part: number) => Math.round(Math.abs(100 * part));

function masteryChange({ word, difference, interval, pupils }: Change): string {
  if (word === 'none') return `no change can be told yet (${pupils} pupils)`;
  const by = `by about ${ofHundred(difference)} of 100 questions, probably between ${ofHundred(interval[0])} and ${ofHundred(interval[1])}`;
  return `${word === 'more' ? 'better' : 'less well'} ${by} (${pupils} pupils)`;
}

function ideaChange({ word, difference, pupils }: Change): string {
  if (word === 'none') return `no change can be told yet (${pupils} pupils)`;
  return `held by about ${Math.max(1, Math.round(Math.abs(difference)))} ${word === 'more' ? 'more' : 'fewer'} (of ${pupils} pupils)`;
}
