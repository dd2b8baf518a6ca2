import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import {
  MatExpansionPanel,
  MatExpansionPanelDescription,
  MatExpansionPanelHeader,
  MatExpansionPanelTitle,
} from '@angular/material/expansion';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatOption, MatSelect } from '@angular/material/select';
import { MatTableModule } from '@angular/material/table';
import type { Pose } from '@zeitpunkt/core/dial/pose';
import { isNotSure, NOT_SURE_TEXT } from '@zeitpunkt/core/question-kinds/not-sure';
import { isRightVerdict } from '@zeitpunkt/core/question-kinds/verdict';
import type { MarkedResponse } from '@zeitpunkt/contract';
import { ideaWords } from '@zeitpunkt/core/misconceptions/idea-words';
import { counts } from '../../shared/late';
import { VERDICT_WORDS } from '../../shared/verdict-words';
import { Icon } from '../../ui/icons/icon';
import { SmallDial } from '../../ui/parts/small-dial';
import { patternOf } from './pattern-of';
import type { Opened } from './review-store';
import {
  isAllRight,
  rowsFor,
  type ReviewCell,
  type ReviewQuestion,
  type ReviewRow,
  type ReviewTable,
  type RowFilter,
  type RowOrder,
} from './review-table';
import { REVIEW_WORDS } from './words';

/** A pupil of the grid, with the one cell of each column that is seen. */
interface GridRow extends ReviewRow {
  /** What their answers have in common, in a few words. */
  readonly pattern: string;
  readonly seen: readonly ReviewCell[];
}

/** Questions by pupils: slips first, whoever had everything right in one row; every cell opens the answer it came from. */
@Component({
  selector: 'zp-answer-grid',
  imports: [
    Icon,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatExpansionPanel,
    MatExpansionPanelDescription,
    MatExpansionPanelHeader,
    MatExpansionPanelTitle,
    MatFormField,
    MatLabel,
    MatOption,
    MatSelect,
    MatTableModule,
    SmallDial,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './answer-grid.html',
  styleUrl: './answer-grid.scss',
})
export class AnswerGrid {
  readonly table = input.required<ReviewTable>();
  /** What is open now. */
  readonly at = input.required<Opened | null>();
  readonly opened = output<Opened>();
  protected readonly words = REVIEW_WORDS;
  protected readonly order = signal<RowOrder>('look');
  protected readonly filter = signal<RowFilter>('all');
  protected readonly filters: readonly RowFilter[] = ['all', 'not-right', 'idea', 'unsure', 'late'];
  protected readonly counts = counts;
  protected readonly columns = computed(() => ['pupil', ...this.table().columns.map((_, place) => `q${place}`)]);
  private readonly sorted = computed(() => rowsFor(this.table(), this.order(), this.filter()));
  /** Those who had everything right stand in one row of their own, where slips come first; what was decided by hand stays in sight. */
  protected readonly allRight = computed(() =>
    this.order() === 'look' && this.filter() === 'all' ? this.sorted().filter((row) => isAllRight(row) && !isDecided(row)) : [],
  );
  protected readonly rows = computed((): readonly GridRow[] => {
    const { columns } = this.table();
    const apart = new Set(this.allRight().map(({ pupil }) => pupil.id));
    return this.sorted()
      .filter(({ pupil }) => !apart.has(pupil.id))
      .map((row) => ({ ...row, pattern: patternOf(row, this.words().patterns), seen: seenOf(row.cells, columns) }));
  });
  protected readonly absentNames = computed(() =>
    this.table()
      .absent.map(({ name }) => name)
      .join(', '),
  );
  protected readonly byPupil = (_place: number, { pupil }: GridRow) => pupil.id;
  protected readonly cellOf = (row: GridRow, place: number): ReviewCell => row.seen[place]!;
  protected readonly isRight = ({ mark }: MarkedResponse) => isRightVerdict(mark.verdict);
  protected readonly isUnsure = ({ response }: MarkedResponse) => isNotSure(response);

  protected namesOf(rows: readonly ReviewRow[]): string {
    return rows.map(({ pupil }) => pupil.name).join(', ');
  }

  /** The hands that were set. */
  protected poseOf({ response }: MarkedResponse): Pose | null {
    return response.kind === 'set-dial' ? response : null;
  }

  protected isOpen({ pupil, question }: ReviewCell): boolean {
    const at = this.at();
    return at?.kind === 'cell' && at.pupilId === pupil.id && at.askingId === question.askingId;
  }

  protected heard({ pupil, question }: ReviewCell, last: MarkedResponse): string {
    const { cell, corrected, lateHeard } = this.words();
    const said = isNotSure(last.response) ? NOT_SURE_TEXT : VERDICT_WORDS[last.mark.verdict].words;
    const verdict = `${said} ${ideaWords(last.mark.misconceptions, question.item, last.response)}`;
    return cell(pupil.name, question.name, `${verdict}${last.correction ? corrected : ''}${counts(last) ? '' : lateHeard}`);
  }
}

/** Whether the teacher has decided something about an answer: its mark, or that it counts. */
const isDecided = ({ cells }: ReviewRow): boolean => cells.some(({ last }) => last?.correction ?? last?.late);

/** The cells that are seen: of a column with several questions the one that the pupil was asked. */
function seenOf(cells: readonly ReviewCell[], columns: readonly (readonly ReviewQuestion[])[]): readonly ReviewCell[] {
  return columns.map((questions) => {
    const some = cells.filter(({ question }) => questions.includes(question));
    return some.find(({ last }) => last !== null) ?? some[0]!;
  });
}
