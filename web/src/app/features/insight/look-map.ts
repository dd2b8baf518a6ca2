import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatOption, MatSelect } from '@angular/material/select';
import { MatTableModule } from '@angular/material/table';
import { RouterLink } from '@angular/router';
import type { Change } from '@zeitpunkt/core/insight/change';
import type { PupilPicture } from '@zeitpunkt/core/insight/class-picture';
import type { Mastery, MasteryWord } from '@zeitpunkt/core/insight/mastery';
import { RUNGS, type RungId } from '@zeitpunkt/core/ladder/registry';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { gearedPose } from '@zeitpunkt/core/dial/pose';
import { ideaName } from '@zeitpunkt/core/misconceptions/idea-words';
import { intervalWords, MASTERY_WORDS } from '../../shared/insight/mastery-words';
import { dayAndMonth } from '../../shared/words/days';
import { SmallDial } from '../../ui/parts/small-dial';
import { ClassReviewStore } from './class-review-store';
import { INSIGHT_WORDS } from './words';

/** How much a pupil’s standing on one rung asks for somebody: those with most of it stand first. */
const NEED: Readonly<Record<MasteryWord, number>> = { 'not-yet': 4, partly: 3, nearly: 1, 'too-few': 1, sure: 0 };

/**
 * Who can do what: pupils by rungs. A thin line is sure, a block is not yet; a cell opens its answers, and says in words or with
 * intervals what it shows. Below it what changed between two lessons.
 */
@Component({
  selector: 'zp-look-map',
  imports: [
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatFormField,
    MatLabel,
    MatOption,
    MatSelect,
    MatTableModule,
    RouterLink,
    SmallDial,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './look-map.html',
  styleUrl: './look-map.scss',
})
export class LookMap {
  protected readonly store = inject(ClassReviewStore);
  private readonly catalogue = INSIGHT_WORDS;
  protected readonly words = computed(() => this.catalogue().map);
  protected readonly mastery = MASTERY_WORDS;
  protected readonly legend: readonly MasteryWord[] = ['sure', 'nearly', 'partly', 'not-yet', 'too-few'];
  protected readonly intervalWords = intervalWords;
  protected readonly dayOf = dayOf;
  protected readonly dayAndMonth = dayAndMonth;
  protected readonly order = signal<'need' | 'class'>('need');
  protected readonly shows = signal<'signs' | 'words' | 'intervals'>('signs');
  protected readonly picture = computed(() => this.store.insight()!.picture);
  protected readonly pupils = computed((): readonly PupilPicture[] => {
    const { pupils } = this.picture();
    const need = ({ mastery }: PupilPicture) => Object.values(mastery).reduce((sum, one) => sum + NEED[one.word], 0);
    return this.order() === 'class' ? pupils : [...pupils].sort((one, other) => need(other) - need(one));
  });
  protected readonly rungs = computed(() =>
    this.picture().rungs.map((id) => {
      const [minute] = RUNGS[id].newMinutes;
      return { id, name: RUNGS[id].name, dial: minute === undefined ? null : gearedPose(secondOfDay(2, minute)) };
    }),
  );
  protected readonly columns = computed(() => ['pupil', ...this.picture().rungs]);
  protected readonly byId = (_place: number, { id }: { readonly id: string }) => id;
  protected readonly masteryOf = ({ mastery }: PupilPicture, rung: RungId): Mastery | null => mastery[rung] ?? null;
  protected readonly lessons = computed(() => this.store.insight()!.lessons.filter(({ answers }) => answers > 0));
  protected readonly from = signal(0);
  protected readonly to = signal<number | null>(null);
  protected readonly changed = computed(() => {
    const change = this.store.change();
    if (!change) return null;
    const rungs = change.rungs.map(({ id, change: one }) => ({
      name: RUNGS[id].name,
      words: this.masteryChange(one),
      told: one.word !== 'none',
    }));
    const ideas = change.ideas.map(({ id, change: one }) => ({
      name: ideaName(id),
      words: this.ideaChange(one),
      told: one.word !== 'none',
    }));
    return [...rungs, ...ideas];
  });

  protected said({ word }: Mastery): string {
    return word === 'too-few' ? this.words().tooFew : this.mastery()[word].words;
  }

  protected heard(one: Mastery): string {
    return this.shows() === 'intervals' ? `${this.said(one)}, ${intervalWords(one, this.picture().nowMs)}` : this.said(one);
  }

  /** How the class stands on a rung, in words. */
  protected sumOf(id: RungId): string {
    const all = this.picture().pupils.flatMap(({ mastery }) => mastery[id]?.word ?? []);
    const count = (word: MasteryWord) => all.filter((one) => one === word).length;
    return this.words().sum(count('sure'), count('nearly'), count('partly'), count('not-yet'));
  }

  protected open(pupilId: string, name: string, rung: RungId): void {
    void this.store.show(`${name}, ${RUNGS[rung].name.toLowerCase()}`, { pupilId, rung });
  }

  protected compare(): void {
    const lessons = this.lessons();
    const [one, other] = [lessons[this.from()], lessons[this.to() ?? lessons.length - 1]];
    if (one && other) void this.store.compare(endOf(one.createdAtMs), endOf(other.createdAtMs));
  }

  private masteryChange({ word, difference, interval, pupils }: Change): string {
    if (word === 'none') return this.words().noChange(pupils);
    return this.words().mastery(word === 'more', ofHundred(difference), ofHundred(interval[0]), ofHundred(interval[1]), pupils);
  }

  private ideaChange({ word, difference, pupils }: Change): string {
    if (word === 'none') return this.words().noChange(pupils);
    return this.words().held(Math.max(1, Math.round(Math.abs(difference))), word === 'more', pupils);
  }
}

/** A lesson is over some hours after it began. */
const endOf = (beganMs: number) => beganMs + 4 * 3_600_000;

const ofHundred = (part: number) => Math.round(Math.abs(100 * part));
