import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { misconceptionOf, RUNGS, type Holder, type IdeaFinding, type MisconceptionId } from '@zeitpunkt/core';
import { notAskedFor } from '../../shared/diagnosis/sureness-words';
import { Chart, type ChartOf, type ChartPressed } from '../../ui/chart';
import { ClassReviewStore } from './class-review-store';

/** The ideas that a class holds: who, how sure that is, since when, and every answer that shows it. */
@Component({
  selector: 'zp-look-ideas',
  imports: [Chart, DatePipe, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (ideas().length) {
      <div class="sides">
        <div>
          @for (idea of ideas(); track idea.id) {
            <section [attr.aria-labelledby]="'idea-' + idea.id" [id]="idea.id">
              <h2 [id]="'idea-' + idea.id">
                {{ idea.name }} <span class="facts">{{ idea.holders.length }}</span>
              </h2>
              <p class="facts">{{ idea.does }}</p>
              <table>
                <thead class="heard-only">
                  <tr>
                    <th scope="col">Pupil</th>
                    <th scope="col">How sure</th>
                    <th scope="col">Evidence</th>
                    <th scope="col">Seen</th>
                  </tr>
                </thead>
                <tbody>
                  @for (holder of idea.holders; track holder.pupilId) {
                    <tr>
                      <th scope="row">
                        <a [routerLink]="['../pupils', holder.pupilId]">{{ holder.name }}</a>
                      </th>
                      <td>{{ holder.finding.sureness }}{{ asked(holder.finding) }}</td>
                      <td>
                        <button type="button" class="link" (click)="open(holder)">
                          {{ holder.finding.hits }} of {{ holder.finding.chances }} answers<span class="heard-only">
                            of {{ holder.name }} that could show {{ idea.name }}</span
                          >
                        </button>
                      </td>
                      <td>
                        {{ holder.sinceMs | date: 'd MMM' }} to {{ holder.lastMs | date: 'd MMM' }}, most on
                        {{ rungs[holder.rung].name.toLowerCase() }}
                      </td>
                    </tr>
                  }
                </tbody>
              </table>
              <p><strong>Next:</strong> {{ idea.nextMove }}</p>
            </section>
          }
        </div>
        <figure>
          <figcaption><h2>How many hold what</h2></figcaption>
          <zp-chart [option]="chart()" [height]="60 + 44 * ideas().length" [press]="press" />
        </figure>
      </div>
    } @else {
      <p>No wrong idea is likely for anybody just now, or there are too few answers to say.</p>
    }
    <p class="facts">
      <em>Settled</em> and <em>likely</em> are how well an idea explains a pupil’s answers, older ones counting less. It says where to look,
      not what a child is like.
    </p>
    @if (store.notes().wordings.length) {
      <section aria-labelledby="wordings">
        <h2 id="wordings">Wordings that count in this class</h2>
        <ul>
          @for (one of store.notes().wordings; track one.id) {
            <li>
              “{{ one.wording }}” ({{ one.answers }} {{ one.answers === 1 ? 'answer' : 'answers' }})
              <button type="button" class="link" (click)="takeBack(one.id)">
                take it back<span class="heard-only">: {{ one.wording }}</span>
              </button>
            </li>
          }
        </ul>
      </section>
    }
  `,
  styles: `
    .sides {
      display: grid;
      grid-template-columns: minmax(0, 1fr) minmax(16rem, 24rem);
      gap: 2rem;
      align-items: start;
    }
    figure {
      position: sticky;
      top: 1rem;
      margin: 0;
    }
    section {
      margin-bottom: 1.5rem;
    }
    table {
      margin: 0.3rem 0;
      border-collapse: collapse;
    }
    th,
    td {
      padding: 0.1rem 1.25rem 0.1rem 0;
      font-weight: 400;
      text-align: left;
    }
    ul {
      margin: 0.3rem 0 0;
      padding: 0;
      list-style: none;
    }
    @media (max-width: 900px) {
      .sides {
        grid-template-columns: minmax(0, 1fr);
      }
      figure {
        position: static;
        order: -1;
      }
    }
  `,
})
export class LookIdeas {
  protected readonly store = inject(ClassReviewStore);
  protected readonly rungs = RUNGS;
  /** ", not asked for 6 weeks" */
  protected readonly asked = (finding: IdeaFinding): string => {
    const since = notAskedFor(finding, this.store.insight()!.picture.nowMs);
    return since && `, ${since}`;
  };
  protected readonly ideas = computed(() =>
    this.store.insight()!.picture.ideas.map(({ id, holders }) => {
      const { name, whatThePupilDoes: does, nextMove } = misconceptionOf(id);
      return { id, holders, name, does, nextMove };
    }),
  );
  protected readonly chart = computed((): ChartOf => {
    const ideas = this.ideas();
    return (inks) => {
      const bar = (sureness: 'settled' | 'likely', color: string, decal: object) => ({
        name: sureness,
        type: 'bar',
        stack: 'held',
        barMaxWidth: 22,
        itemStyle: { color, borderColor: inks.ink, borderWidth: 1, decal },
        data: ideas.map(({ id, holders }) => ({ value: holders.filter(({ finding }) => finding.sureness === sureness).length, idea: id })),
      });
      return {
        grid: { left: 10, right: 20, top: 36, bottom: 24, containLabel: true },
        legend: { top: 0, left: 0, textStyle: { color: inks.ink } },
        xAxis: { type: 'value', minInterval: 1, axisLabel: { color: inks.soft }, splitLine: { lineStyle: { color: inks.faint } } },
        yAxis: {
          type: 'category',
          inverse: true,
          data: ideas.map(({ name }) => name),
          axisLabel: { color: inks.ink, width: 120, overflow: 'break', lineHeight: 15 },
          axisTick: { show: false },
        },
        series: [
          bar('settled', inks.blue, { symbol: 'none' }),
          bar('likely', inks.sheet, { symbol: 'rect', dashArrayX: [1, 0], dashArrayY: [2, 4], rotation: Math.PI / 4, color: inks.blue }),
        ],
      };
    };
  });
  protected readonly press = ({ idea }: ChartPressed): void =>
    document.getElementById(`idea-${String(idea)}`)?.scrollIntoView({ block: 'start' });

  protected open({ name, finding }: Holder): void {
    const ids = [...finding.evidence, ...finding.unlike];
    void this.store.show(`${name}: ${misconceptionOf(finding.id as MisconceptionId).name.toLowerCase()}`, { ids });
  }

  protected async takeBack(wordingId: string): Promise<void> {
    if (await this.store.takeWordingBack(wordingId)) await this.store.open(this.store.insight()!.classId);
  }
}
