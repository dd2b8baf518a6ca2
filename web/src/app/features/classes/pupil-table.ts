import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatIconButton } from '@angular/material/button';
import { MatFormField } from '@angular/material/form-field';
import { Icon } from '../../ui/icons/icon';
import { MatInput } from '@angular/material/input';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { MatTableModule } from '@angular/material/table';
import { MatTooltip } from '@angular/material/tooltip';
import { RouterLink } from '@angular/router';
import type { ClassPupil, ClassStanding, ClassSummary } from '@zeitpunkt/contract';
import { RUNGS } from '@zeitpunkt/core/ladder/registry';
import { dayOf, daysOn } from '@zeitpunkt/core/series/school-days';
import { exampleOf } from '../../shared/ladder/example-of';
import { clockOf, dayAndMonth, shortWeekday } from '../../shared/words/days';
import { AskFirst } from '../../ui/parts/ask-dialog';
import { Notice } from '../../ui/parts/notice';
import { SmallDial } from '../../ui/parts/small-dial';
import { cardOf } from './card-state';
import { ClassStore } from './class-store';
import { PupilActs } from './pupil-acts';
import { CLASS_WORDS } from './words';

/** Pupils of a class: rung as a small dial, card, when they were last seen; names are put right where that is asked for. */
@Component({
  selector: 'zp-pupil-table',
  imports: [
    MatFormField,
    Icon,
    MatIconButton,
    MatInput,
    MatMenu,
    MatMenuContent,
    MatMenuItem,
    MatMenuTrigger,
    MatTableModule,
    MatTooltip,
    RouterLink,
    SmallDial,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './pupil-table.html',
  styleUrl: './pupil-table.scss',
})
export class PupilTable {
  readonly pupils = input.required<readonly ClassPupil[]>();
  readonly standing = input.required<ClassStanding | null>();
  readonly editing = input.required<boolean>();
  /** Rows are low: the class is full. */
  readonly low = input.required<boolean>();
  protected readonly store = inject(ClassStore);
  protected readonly acts = inject(PupilActs);
  private readonly askFirst = inject(AskFirst);
  private readonly notice = inject(Notice);
  protected readonly words = CLASS_WORDS;
  /** Pupils who come to those that are drawn draw nobody anew. */
  protected readonly byPupil = (_: number, row: { readonly pupil: ClassPupil }) => row.pupil.id;
  protected readonly columns = computed(() =>
    this.editing() ? ['pupil', 'reference', 'answers', 'more'] : ['rung', 'pupil', 'card', 'seen', 'more'],
  );
  protected readonly rows = computed(() => {
    const known = new Map(this.standing()?.pupils.map((one) => [one.id, one]));
    return this.pupils().map((pupil) => {
      const one = known.get(pupil.id);
      const rung = one?.rung ?? null;
      const card = cardOf(pupil, one?.lastMs ?? null);
      return {
        pupil,
        rung,
        rungAt: rung === null ? null : exampleOf(rung),
        rungWords: rung === null ? this.words().noRung : this.words().onRung(RUNGS[rung].name),
        card,
        cardWords: this.words().card[card],
        seen: one ? this.seen(one.lastMs) : null,
      };
    });
  });

  protected othersOf(pupil: ClassPupil): readonly ClassPupil[] {
    return this.store.present().filter(({ id }) => id !== pupil.id);
  }

  /** "today 8:52", "Fri", "12 Nov": the nearer the day, the shorter. */
  private seen(ms: number): string {
    const [day, today] = [dayOf(ms), dayOf(Date.now())];
    if (day === today) return this.words().seen.today(clockOf(ms));
    return day > daysOn(today, -7) ? shortWeekday(day) : dayAndMonth(day);
  }

  protected async rename(pupil: ClassPupil, field: HTMLInputElement): Promise<void> {
    const name = field.value.trim();
    const isNew = name !== '' && name !== pupil.name;
    if (!isNew || !(await this.store.changePupil(pupil, { name }))) field.value = pupil.name;
  }

  protected async refer(pupil: ClassPupil, field: HTMLInputElement): Promise<void> {
    const reference = field.value.trim() || null;
    if (reference === pupil.reference) return;
    if (!(await this.store.changePupil(pupil, { reference }))) field.value = pupil.reference ?? '';
  }

  protected async leave(pupil: ClassPupil): Promise<void> {
    if (await this.store.leave(pupil, true)) this.notice.say(this.words().done.left(pupil.name), () => this.store.leave(pupil, false));
  }

  protected move(pupil: ClassPupil, to: ClassSummary): void {
    void this.store.move(pupil, to);
  }

  protected async merge(goes: ClassPupil, stays: ClassPupil): Promise<void> {
    if (await this.askFirst.ask(this.words().ask.merge(goes.name, stays.name, goes.responseCount))) void this.store.merge(goes, stays);
  }
}
