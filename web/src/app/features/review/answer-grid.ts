import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { isRightVerdict } from '@zeitpunkt/core';
import type { MarkedResponse } from '@zeitpunkt/contract';
import { counts } from '../../shared/late';
import { ideaWords } from '@zeitpunkt/core/misconceptions/idea-words';
import { VERDICT_WORDS } from '../../shared/verdict-words';
import type { Opened } from './review-store';
import { rowsFor, type ReviewCell, type ReviewQuestion, type ReviewTable, type RowFilter, type RowOrder } from './review-table';

const ORDERS: Record<RowOrder, string> = { class: 'as in the class', look: 'most to look at first', name: 'by name' };
const FILTERS: Record<RowFilter, string> = {
  all: 'all pupils',
  'not-right': 'with an answer that is not right',
  idea: 'with an answer that an idea explains',
  unsure: 'who were not sure',
  late: 'with an answer that came late',
};

/** Questions by pupils, in the order and of the pupils that are wanted; every cell and every heading opens its answers. */
@Component({
  selector: 'zp-answer-grid',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './answer-grid.html',
  styleUrl: './answer-grid.scss',
})
export class AnswerGrid {
  readonly table = input.required<ReviewTable>();
  readonly at = input.required<Opened | null>();
  readonly opened = output<Opened>();
  protected readonly order = signal<RowOrder>('class');
  protected readonly filter = signal<RowFilter>('all');
  protected readonly orders = Object.entries(ORDERS);
  protected readonly filters = Object.entries(FILTERS);
  protected readonly rows = computed(() => {
    const { columns } = this.table();
    return rowsFor(this.table(), this.order(), this.filter()).map(({ pupil, cells }) => ({ pupil, cells: seenOf(cells, columns) }));
  });

  protected isOpen({ pupil, question }: ReviewCell): boolean {
    const at = this.at();
    return at?.kind === 'cell' && at.pupilId === pupil.id && at.askingId === question.askingId;
  }

  /** What a cell says: the idea that would explain it, else right, else what was given instead. */
  protected inShort({ mark, response, correction }: MarkedResponse, question: ReviewQuestion): string {
    const words = isRightVerdict(mark.verdict) ? VERDICT_WORDS[mark.verdict].words : question.textOf(response);
    return (ideaWords(mark.misconceptions, question.item, response) || words) + (correction ? ', corrected' : '');
  }

  protected signOf({ mark }: MarkedResponse): string {
    return VERDICT_WORDS[mark.verdict].sign;
  }

  protected heard({ pupil, question }: ReviewCell, last: MarkedResponse): string {
    const verdict = `${VERDICT_WORDS[last.mark.verdict].words} ${ideaWords(last.mark.misconceptions, question.item, last.response)}`;
    const more = `${last.correction ? ', corrected' : ''}${counts(last) ? '' : ', late, not counted'}`;
    return `${pupil.name}, question ${question.name}: ${verdict}${more}`;
  }

  protected readonly counts = counts;
}

/** The cells that are seen: of a column with several questions the one that the pupil was asked. */
function seenOf(cells: readonly ReviewCell[], columns: ReviewTable['columns']): readonly ReviewCell[] {
  return columns.map((questions) => {
    const some = cells.filter(({ question }) => questions.includes(question));
    return some.find(({ last }) => last !== null) ?? some[0]!;
  });
}
