import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatTableModule } from '@angular/material/table';
import { RouterLink } from '@angular/router';
import type { IdeaFinding } from '@zeitpunkt/core/diagnosis/diagnose';
import type { Holder } from '@zeitpunkt/core/insight/class-picture';
import { RUNGS } from '@zeitpunkt/core/ladder/registry';
import { misconceptionOf, type MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { ideaPair } from '@zeitpunkt/core/misconceptions/idea-pair';
import { ideaName } from '@zeitpunkt/core/misconceptions/idea-words';
import { notAskedFor } from '../../shared/diagnosis/sureness-words';
import { dayAndMonth } from '../../shared/words/days';
import { IdeaPair } from '../../ui/parts/idea-pair';
import { ClassReviewStore } from './class-review-store';
import { INSIGHT_WORDS } from './words';

/** The ideas that a class holds: each as a pair of dials, who holds it, how sure that is, since when, and every answer that shows it. */
@Component({
  selector: 'zp-look-ideas',
  imports: [IdeaPair, MatTableModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './look-ideas.html',
  styles: `
    section {
      margin-bottom: 24px;
      padding: 12px 16px;
      border: 1px solid var(--line);
      border-radius: 4px;
      background: var(--sheet);
      overflow-x: auto;
    }
    .head {
      display: flex;
      gap: 24px;
      align-items: center;
      margin-bottom: 8px;
    }
    h2,
    p {
      margin: 0;
    }
    h2 {
      font-size: 18px;
    }
    table {
      width: 100%;
    }
    .mat-mdc-row {
      height: 36px;
    }
    ul {
      margin: 8px 0 0;
      padding: 0;
      list-style: none;
    }
  `,
})
export class LookIdeas {
  protected readonly store = inject(ClassReviewStore);
  private readonly catalogue = INSIGHT_WORDS;
  protected readonly words = computed(() => this.catalogue().ideas);
  protected readonly columns = ['pupil', 'sure', 'evidence', 'seen'];
  /** ", not asked for 6 weeks" */
  protected readonly asked = (finding: IdeaFinding): string => {
    const since = notAskedFor(finding, this.store.insight()!.picture.nowMs);
    return since && this.words().notAsked(since);
  };
  protected readonly ideas = computed(() =>
    this.store.insight()!.picture.ideas.map(({ id, holders }) => {
      const { whatThePupilDoes: does, nextMove } = misconceptionOf(id);
      const pair = holders[0] ? ideaPair(id, holders[0].rung, this.store.insight()!.settings) : null;
      return { id, holders, name: ideaName(id), does, nextMove, pair };
    }),
  );

  protected seen({ sinceMs, lastMs, rung }: Holder): string {
    const day = (ms: number) => dayAndMonth(dayOf(ms));
    return this.words().from(day(sinceMs), day(lastMs), RUNGS[rung].name.toLowerCase());
  }

  protected open({ name, finding }: Holder): void {
    const ids = [...finding.evidence, ...finding.unlike];
    void this.store.show(`${name}: ${ideaName(finding.id as MisconceptionId).toLowerCase()}`, { ids });
  }

  protected async takeBack(wordingId: string): Promise<void> {
    if (await this.store.takeWordingBack(wordingId)) await this.store.open(this.store.insight()!.classId);
  }
}
