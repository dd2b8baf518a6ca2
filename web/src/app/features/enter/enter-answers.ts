import { ChangeDetectionStrategy, Component, computed, effect, ElementRef, inject, input, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatTableModule } from '@angular/material/table';
import { MatTooltip } from '@angular/material/tooltip';
import { RouterLink } from '@angular/router';
import type { MarkedResponse, Pupil, SessionDetail, SheetOfSession } from '@zeitpunkt/contract';
import { isNotSure } from '@zeitpunkt/core/question-kinds/not-sure';
import { kindOf, textOfResponse } from '@zeitpunkt/core/question-kinds/registry';
import { isRightVerdict } from '@zeitpunkt/core/question-kinds/verdict';
import { timesAsked, type Asking } from '@zeitpunkt/core/run/asking';
import { LatestAttempts } from '@zeitpunkt/core/run/latest';
import { dialLetter } from '@zeitpunkt/core/scene/describe-stage';
import { gearedPose } from '@zeitpunkt/core/dial/pose';
import { TYPED_EXAMPLES, typedResponse } from '@zeitpunkt/core/question-kinds/typed-response';
import { v4 as uuid } from 'uuid';
import { ask, sentenceOf } from '../../shared/api';
import { counts } from '../../shared/late';
import { ideaWords } from '@zeitpunkt/core/misconceptions/idea-words';
import { VERDICT_WORDS } from '../../shared/verdict-words';
import { Icon } from '../../ui/icons/icon';
import { Place } from '../../ui/parts/place';
import { SmallDial } from '../../ui/parts/small-dial';
import { Failing, Loading } from '../../ui/parts/states';
import { ENTER_WORDS } from './words';

/** Answers that are a few characters. */
const SHORT: ReadonlySet<string> = new Set(['time', 'pose', 'choices', 'order']);

/**
 * Answers that came on paper or aloud, typed in: a row for each pupil, a column for each question. Enter goes to the next pupil,
 * Tab to the next question; what is typed is kept and marked as soon as the field is left.
 */
@Component({
  selector: 'zp-enter-answers',
  imports: [
    Failing,
    Icon,
    Loading,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatTableModule,
    MatTooltip,
    Place,
    RouterLink,
    SmallDial,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(keydown)': 'move($event)' },
  templateUrl: './enter-answers.html',
  styleUrl: './enter-answers.scss',
})
export class EnterAnswers {
  /** The session. */
  readonly id = input.required<string>();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  protected readonly words = ENTER_WORDS;
  protected readonly help = computed(() => ({ place: this.words().place, sentence: this.words().help.sentence }));
  protected readonly verdicts = VERDICT_WORDS;
  protected readonly isRight = ({ mark }: MarkedResponse) => isRightVerdict(mark.verdict);
  protected readonly byOf = ({ source }: MarkedResponse) => (source === 'device' ? null : this.words().by[source]);
  protected readonly ideasOf = ({ item }: Asking, { mark, response }: MarkedResponse) => ideaWords(mark.misconceptions, item, response);
  protected readonly detail = signal<SessionDetail | null>(null);
  protected readonly source = signal<'paper' | 'spoken'>('paper');
  protected readonly problem = signal<string | null>(null);
  protected readonly word = signal<string | null>(null);
  /** Fields whose text is not kept yet: the mark of what stood there before is not its own. */
  protected readonly typing = signal<ReadonlySet<HTMLInputElement>>(new Set());

  /** The sheet that was printed, where there is one: its versions ask other questions in the same places. */
  private readonly sheet = signal<SheetOfSession['sheet']>(null);
  /** Versions that were typed in for pupils. */
  private readonly versionTyped = signal<ReadonlyMap<string, number>>(new Map());
  /** How many versions there are to choose from; 1 where all were asked the same. */
  protected readonly versionCount = computed(() => this.sheet()?.versions.length ?? 1);
  protected readonly lastLetter = computed(() => dialLetter(this.versionCount() - 1));

  private readonly asked = computed(() => {
    const detail = this.detail();
    const { askings } = detail?.live.room.run ?? { askings: [] };
    return askings.map((asking, index) => {
      const kind = kindOf(asking.item);
      const [time] = kind.timesOf(asking.item);
      return {
        asking,
        number: index + 1,
        kindName: kind.name,
        dial: time === undefined ? null : gearedPose(time),
        stem: kind.viewOf(asking.item, detail!.lesson.settings).stem,
        again: timesAsked(askings, asking) > 1,
        example: TYPED_EXAMPLES[kind.shape],
        isShort: SHORT.has(kind.shape),
      };
    });
  });
  /** The questions of each version. */
  private readonly byVersion = computed(() => {
    const [sheet, asked] = [this.sheet(), this.asked()];
    if (!sheet) return [asked];
    const byId = new Map(asked.map((question) => [question.asking.id, question]));
    return sheet.versions.map((ids) =>
      ids.flatMap((id, index) => {
        const question = byId.get(id);
        return question ? [{ ...question, number: index + 1 }] : [];
      }),
    );
  });
  /** Those of the first version head the columns. */
  protected readonly questions = computed(() => this.byVersion()[0]!);
  protected readonly rows = computed(() => {
    const detail = this.detail();
    if (!detail) return [];
    const latest = new LatestAttempts<MarkedResponse>(detail.live.responses.filter(counts));
    return detail.pupils.map((pupil) => {
      const version = this.versionOf(pupil.id, latest);
      const cells = this.byVersion()[version]!.map((question) => ({ question, given: latest.of(pupil.id, question.asking.id) ?? null }));
      return { pupil, letter: dialLetter(version), cells, given: cells.some(({ given }) => given !== null) };
    });
  });
  protected readonly typed = computed(() => this.rows().filter(({ given }) => given).length);
  protected readonly columns = computed(() => [
    'pupil',
    ...(this.versionCount() > 1 ? ['version'] : []),
    ...this.questions().map((_, place) => `q${place}`),
  ]);
  protected readonly about = computed(() => {
    const detail = this.detail();
    return detail && this.words().about(detail.lesson.title, detail.className, this.sheet()?.code ?? null);
  });
  protected readonly byPupil = (_place: number, { pupil }: { readonly pupil: Pupil }) => pupil.id;
  protected readonly cellOf = (row: ReturnType<EnterAnswers['rows']>[number], place: number) => row.cells[place]!;

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.load(id));
    });
  }

  /** The version that a pupil had: as typed, as the answers so far tell, or as the sheets were given out. */
  private versionOf(pupilId: string, latest: LatestAttempts<MarkedResponse>): number {
    const typed = this.versionTyped().get(pupilId);
    if (typed !== undefined) return typed;
    const answered = this.byVersion().findIndex((questions) => questions.some(({ asking }) => latest.of(pupilId, asking.id)));
    return answered >= 0 ? answered : (this.sheet()?.copies.find((copy) => copy.pupilId === pupilId)?.version ?? 0);
  }

  /** A letter for the version that a pupil had. */
  protected chooseVersion(pupil: Pupil, field: HTMLInputElement, before: string): void {
    const version = field.value.trim().toUpperCase().charCodeAt(0) - 'A'.charCodeAt(0);
    if (!(version >= 0 && version < this.versionCount())) {
      field.value = before;
      return this.problem.set(this.words().versionsAre(this.lastLetter()));
    }
    this.problem.set(null);
    this.versionTyped.update((typed) => new Map([...typed, [pupil.id, version]]));
  }

  protected async load(id: string): Promise<void> {
    await this.attempt(async () => {
      const [detail, { sheet }] = await Promise.all([
        ask<SessionDetail>('GET', `/api/sessions/${id}`),
        ask<SheetOfSession>('GET', `/api/sessions/${id}/sheet`),
      ]);
      this.sheet.set(sheet);
      this.detail.set(detail);
    });
  }

  /** What stands in a field: the answer as it would be typed. */
  protected textOf({ item }: Asking, given: MarkedResponse | null): string {
    if (!given) return '';
    return isNotSure(given.response) ? '?' : textOfResponse(item, given.response, this.detail()!.lesson.settings);
  }

  protected typeIn(field: HTMLInputElement): void {
    this.typing.update((fields) => new Set(fields).add(field));
  }

  protected async enter(pupil: Pupil, asking: Asking, given: MarkedResponse | null, field: HTMLInputElement): Promise<void> {
    await this.keep(pupil, asking, given, field);
    this.typing.update((fields) => new Set([...fields].filter((one) => one !== field)));
  }

  private async keep(pupil: Pupil, asking: Asking, given: MarkedResponse | null, field: HTMLInputElement): Promise<void> {
    const text = field.value.trim();
    if (text === this.textOf(asking, given)) return;
    if (text === '') {
      field.value = this.textOf(asking, given);
      if (given && given.source !== 'device') await this.takeBack(pupil, given);
      return;
    }
    const { settings } = this.detail()!.lesson;
    const response = typedResponse(asking.item, text, settings);
    if (!response) {
      const example = TYPED_EXAMPLES[kindOf(asking.item).shape];
      this.problem.set(this.words().noAnswer(text, example));
      field.setAttribute('aria-invalid', 'true');
      return;
    }
    field.removeAttribute('aria-invalid');
    const body = { id: uuid(), pupilId: pupil.id, askingId: asking.id, source: this.source(), response };
    await this.attempt(async () => {
      const kept = await ask<MarkedResponse>('POST', `/api/sessions/${this.id()}/entered`, body);
      this.changeResponses((before) => [...before.filter(({ id }) => id !== kept.id), kept]);
      this.word.set(this.words().kept(pupil.name));
    });
  }

  /** Enter and the arrows go from row to row in the same column. */
  protected move(event: KeyboardEvent): void {
    const { target, key } = event;
    if (!(target instanceof HTMLInputElement) || !target.dataset['row']) return;
    const by = { Enter: event.shiftKey ? -1 : 1, ArrowDown: 1, ArrowUp: -1 }[key];
    if (by === undefined) return;
    event.preventDefault();
    const row = Number(target.dataset['row']) + by;
    const to = this.host.nativeElement.querySelector<HTMLInputElement>(
      `input[data-row="${row}"][data-column="${target.dataset['column']}"]`,
    );
    if (to) to.focus();
    else target.blur();
    to?.select();
  }

  private async takeBack(pupil: Pupil, given: MarkedResponse): Promise<void> {
    await this.attempt(async () => {
      await ask('POST', `/api/sessions/${this.id()}/entered/${given.id}/take-back`);
      this.changeResponses((before) => before.filter(({ id }) => id !== given.id));
      this.word.set(this.words().takenBack(pupil.name));
    });
  }

  private changeResponses(change: (before: readonly MarkedResponse[]) => readonly MarkedResponse[]): void {
    this.detail.update((detail) => detail && { ...detail, live: { ...detail.live, responses: change(detail.live.responses) } });
  }

  private async attempt(work: () => Promise<void>): Promise<void> {
    try {
      await work();
      this.problem.set(null);
    } catch (error) {
      this.problem.set(sentenceOf(error));
    }
  }
}
