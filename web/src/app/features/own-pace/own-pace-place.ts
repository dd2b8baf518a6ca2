import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { MatSlideToggle } from '@angular/material/slide-toggle';
import { MatTableModule } from '@angular/material/table';
import { RouterLink } from '@angular/router';
import { nameOfKind } from '@zeitpunkt/core/beats/registry';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import type { MarkedResponse } from '@zeitpunkt/contract';
import { firstValueFrom } from 'rxjs';
import { ResponseView } from '../../question-views/response-view';
import { everySecond } from '../../shared/every-second';
import { VERDICT_WORDS } from '../../shared/verdict-words';
import { listed } from '../../shared/words/catalogue';
import { clockOf, shortDay } from '../../shared/words/days';
import { Icon } from '../../ui/icons/icon';
import { AskFirst } from '../../ui/parts/ask-dialog';
import { DayField } from '../../ui/parts/day-field';
import { Place } from '../../ui/parts/place';
import { Failing, Loading } from '../../ui/parts/states';
import { KeyShow } from '../../shared/room-key/key-show';
import { AnswersSoFar, type AnsweredSoFar } from './answers-so-far';
import { OwnPaceStore } from './own-pace-store';
import { StepLine, type OnLine } from './step-line';
import { OWN_PACE_WORDS } from './words';
import { WriteLine, type LineTo } from './write-line';

/** Whoever is on the way and was not heard of for so long stands still, in milliseconds. */
const STUCK_MS = 24 * 3_600_000;

type Row = ReturnType<OwnPaceStore['rows']>[number];

/** A lesson at own pace as its teacher looks on: where everybody is, what they answer, who stands still, and one line to those. */
@Component({
  selector: 'zp-own-pace-place',
  imports: [
    AnswersSoFar,
    DayField,
    Failing,
    Icon,
    KeyShow,
    Loading,
    MatButton,
    MatIconButton,
    MatMenu,
    MatMenuItem,
    MatMenuTrigger,
    MatSlideToggle,
    MatTableModule,
    Place,
    ResponseView,
    RouterLink,
    StepLine,
  ],
  providers: [OwnPaceStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './own-pace-place.html',
  styleUrl: './own-pace-place.scss',
})
export class OwnPacePlace {
  readonly id = input.required<string>();
  protected readonly store = inject(OwnPaceStore);
  private readonly dialog = inject(MatDialog);
  private readonly askFirst = inject(AskFirst);
  protected readonly words = OWN_PACE_WORDS;
  protected readonly verdicts = VERDICT_WORDS;
  private readonly now = everySecond();
  protected readonly help = computed(() => ({ place: this.words().place, sentence: this.words().help.sentence }));
  protected readonly about = computed(() => {
    const detail = this.store.detail();
    return detail && this.words().about(detail.className);
  });
  protected readonly columns = computed(() => ['pupil', 'where', ...this.store.questions().map(({ id }) => id), 'line']);
  protected readonly byPupil = (_place: number, { pupilId }: Row) => pupilId;
  /** Everybody on the line, with how long those who stand still have done so. */
  protected readonly onLine = computed((): readonly (OnLine & Row)[] =>
    this.store.rows().map((row) => {
      const isStuck = row.at !== null && !row.done && !row.online && row.heardAtMs !== null && this.now() - row.heardAtMs > STUCK_MS;
      return { ...row, since: isStuck ? this.ago(row.heardAtMs!) : null };
    }),
  );
  protected readonly stuck = computed(() => this.onLine().filter(({ since }) => since !== null));
  protected readonly notBegun = computed(() => this.onLine().filter(({ at, done }) => at === null && !done));
  protected readonly sum = computed(() => {
    const rows = this.store.rows();
    const begun = rows.filter(({ at }) => at !== null).length;
    const done = rows.filter((row) => row.done).length;
    const here = rows.filter(({ online }) => online).length;
    return this.words().line.sum(done, rows.length, begun - done, rows.length - begun, here);
  });
  protected readonly answered = computed((): readonly AnsweredSoFar[] =>
    this.store.questions().map(({ id, number, item }, place) => ({
      id,
      number,
      item,
      given: this.store.rows().flatMap(({ name, answers }) => {
        const response = answers[place]?.given;
        return response ? [{ name, response }] : [];
      }),
    })),
  );

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.store.load(id));
    });
  }

  protected givenOf({ answers }: Row, place: number): MarkedResponse | null {
    return answers[place]?.given ?? null;
  }

  /** Where a pupil is, in words. */
  protected where({ at, done, step }: Row): string {
    const { line } = this.words();
    if (done) return line.done;
    if (at === null) return line.notBegun;
    const of = this.store.steps().length;
    return step ? line.atStep(at + 1, of, nameOfKind(step.kind)) : line.at(at + 1, of);
  }

  /** How long ago, in words. @param ms since 1970 by the server's clock */
  protected ago(ms: number): string {
    const { ago } = this.words();
    const minutes = Math.max(0, Math.round((this.now() - ms) / 60_000));
    if (minutes < 1) return ago.now;
    if (minutes < 60) return ago.minutes(minutes);
    const hours = Math.round(minutes / 60);
    return hours < 24 ? ago.hours(hours) : ago.days(Math.round(hours / 24));
  }

  protected dayAndTime(ms: number): string {
    return `${shortDay(dayOf(ms))}, ${clockOf(ms)}`;
  }

  /** One line to some pupils, or with null to all. */
  protected async writeTo(rows: readonly Row[] | null): Promise<void> {
    const data: LineTo = {
      names: rows ? listed(rows.map(({ name }) => name)) : this.words().write.all,
      line: (rows ? rows[0]?.line : this.store.detail()?.live.line) ?? '',
    };
    const dialog = this.dialog.open<WriteLine, LineTo, string>(WriteLine, { data, width: '520px', maxWidth: '96vw' });
    const line = await firstValueFrom(dialog.afterClosed());
    if (line === undefined) return;
    if (rows === null) return this.store.write(null, line);
    for (const { pupilId } of rows) await this.store.write(pupilId, line);
  }

  protected async end(): Promise<void> {
    if (await this.askFirst.ask(this.words().ending)) void this.store.end();
  }
}
