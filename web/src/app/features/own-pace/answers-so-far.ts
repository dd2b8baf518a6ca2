import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { MarkedResponse } from '@zeitpunkt/contract';
import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import { isNotSure } from '@zeitpunkt/core/question-kinds/not-sure';
import { kindOf, textOfResponse, type Item } from '@zeitpunkt/core/question-kinds/registry';
import { isRightVerdict } from '@zeitpunkt/core/question-kinds/verdict';
import { gearedPose } from '@zeitpunkt/core/dial/pose';
import { pairOfAnswer } from '@zeitpunkt/core/misconceptions/idea-pair';
import { ideaWords } from '@zeitpunkt/core/misconceptions/idea-words';
import { Icon } from '../../ui/icons/icon';
import { IdeaPair } from '../../ui/parts/idea-pair';
import { SmallDial } from '../../ui/parts/small-dial';
import { OWN_PACE_WORDS } from './words';

/** A question with what was given to it so far. */
export interface AnsweredSoFar {
  readonly id: string;
  readonly number: number;
  readonly item: Item;
  readonly given: readonly { readonly name: string; readonly response: MarkedResponse }[];
}

/** So many different slips of a question are shown, the commonest first. */
const MOST_SLIPS = 3;

/** What was answered so far by question: how many right, and the slips as pairs of dials with the names of those who made them. */
@Component({
  selector: 'zp-answers-so-far',
  imports: [Icon, IdeaPair, SmallDial],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>
      {{ words().heading }} <span class="facts">{{ sum() }}</span>
    </h2>
    <ul>
      @for (one of columns(); track one.id) {
        <li>
          <div class="asked">
            @if (one.dial; as dial) {
              <zp-dial [hands]="dial" [size]="64" />
            }
            <p>
              <span class="facts">{{ one.kind }}</span><br /><strong>{{ one.key }}</strong>
            </p>
          </div>
          <p class="facts">{{ one.of ? words().right(one.right, one.of) : words().none }}</p>
          @for (slip of one.slips; track slip.words) {
            <div class="slip">
              @if (slip.pair; as pair) {
                <zp-pair [asked]="pair.asked" [answered]="pair.answered" [size]="40" />
              } @else if (slip.isUnsure) {
                <mat-icon svgIcon="help" />
              }
              <p>
                <span class="facts">{{ slip.words }}</span><br /><strong>{{ slip.names }}</strong>
              </p>
            </div>
          }
        </li>
      } @empty {
        <li class="facts">{{ words().asked }}</li>
      }
    </ul>
  `,
  styles: `
    :host {
      display: block;
      padding-top: 12px;
      border-top: 2px solid var(--ink);
    }
    h2,
    p {
      margin: 0;
    }
    h2 {
      font-size: 18px;
    }
    h2 .facts {
      font-weight: 400;
    }
    ul {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(168px, 1fr));
      gap: 16px;
      margin: 12px 0 0;
      padding: 0;
      list-style: none;
    }
    li {
      padding-right: 12px;
      border-right: 1px solid var(--faint);
    }
    .asked {
      display: flex;
      gap: 12px;
      align-items: center;
    }
    .slip {
      display: grid;
      gap: 4px;
      padding: 8px 0;
      border-top: 1px solid var(--faint);
    }
    .slip p {
      font-size: 14px;
      line-height: 18px;
    }
  `,
})
export class AnswersSoFar {
  readonly questions = input.required<readonly AnsweredSoFar[]>();
  readonly settings = input.required<LessonSettings>();
  private readonly catalogue = OWN_PACE_WORDS;
  protected readonly words = computed(() => this.catalogue().answers);
  protected readonly sum = computed(() => {
    const all = this.questions().flatMap(({ given }) => given);
    return this.words().from(all.length, new Set(all.map(({ name }) => name)).size);
  });
  protected readonly columns = computed(() =>
    this.questions().map(({ id, item, given }) => {
      const settings = this.settings();
      const kind = kindOf(item);
      const [at] = kind.timesOf(item);
      const right = given.filter(({ response }) => isRightVerdict(response.mark.verdict)).length;
      const byText = new Map<string, { pair: ReturnType<typeof pairOfAnswer>; words: string; isUnsure: boolean; names: string[] }>();
      for (const { name, response } of given) {
        if (isRightVerdict(response.mark.verdict)) continue;
        const text = textOfResponse(item, response.response, settings);
        const words = ideaWords(response.mark.misconceptions, item, response.response) || text;
        const slip = byText.get(text) ?? {
          pair: pairOfAnswer(item, response.response),
          words,
          isUnsure: isNotSure(response.response),
          names: [],
        };
        slip.names.push(name);
        byText.set(text, slip);
      }
      const slips = [...byText.values()].sort((one, other) => other.names.length - one.names.length).slice(0, MOST_SLIPS);
      return {
        id,
        kind: kind.name,
        key: textOfResponse(item, kind.keyOf(item, settings), settings),
        dial: at === undefined ? null : gearedPose(at),
        right,
        of: given.length,
        slips: slips.map((slip) => ({ ...slip, names: slip.names.join(', ') })),
      };
    }),
  );
}
