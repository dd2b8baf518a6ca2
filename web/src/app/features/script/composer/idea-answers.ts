import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { type Pose, gearedPose } from '@zeitpunkt/core/dial/pose';
import { RUNGS } from '@zeitpunkt/core/ladder/registry';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { rungOfLesson } from '@zeitpunkt/core/lesson/rung-of-lesson';
import type { MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import { canBeGiven, kindOf, type Item, type Response } from '@zeitpunkt/core/question-kinds/registry';
import { timeThatTells } from '@zeitpunkt/core/question-kinds/telling-time';
import { sentenceOf } from '../../../shared/api';
import { CurrentClass } from '../../../shared/current-class';
import { Diagnoser } from '../../../shared/diagnosis/diagnoser';
import { VERDICT_WORDS } from '../../../shared/verdict-words';
import { Icon } from '../../../ui/icons/icon';
import { IdeaPair } from '../../../ui/parts/idea-pair';
import { SmallDial } from '../../../ui/parts/small-dial';
import { Ticks } from '../../../ui/parts/ticks';
import { ideasOfClass } from '../set/class-ideas';
import { keyOf, tellsOf, triedOut } from './what-it-tells';
import { COMPOSER_WORDS } from './words';

/** What each idea would answer to a question, and who of the class says so; a better time where two of them answer alike. */
@Component({
  selector: 'zp-idea-answers',
  imports: [Icon, IdeaPair, MatButton, SmallDial, Ticks],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './idea-answers.html',
  styleUrl: './idea-answers.scss',
})
export class IdeaAnswers {
  readonly item = input.required<Item>();
  readonly lesson = input.required<Lesson>();
  /** What stands in the pupil's view: given there, or by an idea. */
  readonly tried = input.required<Response | null>();
  readonly triedChange = output<Response | null>();
  /** A question to ask instead. */
  readonly another = output<Item>();
  protected readonly classes = inject(CurrentClass);
  private readonly diagnoser = inject(Diagnoser);
  private readonly catalogue = COMPOSER_WORDS;
  protected readonly words = computed(() => this.catalogue().tells);
  protected readonly verdicts = VERDICT_WORDS;
  private readonly settings = computed(() => this.lesson().settings);
  protected readonly key = computed(() => keyOf(this.item(), this.settings()));
  protected readonly tells = computed(() => tellsOf(this.item(), this.settings()));
  protected readonly dial = computed(() => dialOf(this.item()));
  protected readonly result = computed(() => {
    const tried = this.tried();
    return tried && canBeGiven(this.item(), tried, this.settings()) ? triedOut(this.item(), tried, this.settings()) : null;
  });
  /** Where two usual ideas answer alike: a time of the rung at which they do not. */
  protected readonly better = computed(() => {
    const rung = RUNGS[rungOfLesson(this.lesson())];
    const tells = this.tells().filter(({ id }) => rung.misconceptions.includes(id));
    const words = this.catalogue().alike;
    for (const [place, one] of tells.entries()) {
      const other = tells.slice(place + 1).find(({ text }) => text === one.text);
      const telling = other && timeThatTells(this.item(), [one.id, other.id], rung, this.settings());
      if (!telling) continue;
      const at = keyOf(telling.item, this.settings()).text;
      return {
        item: telling.item,
        dial: dialOf(telling.item),
        both: words.both(one.name, lower(other.name), one.text),
        apart: words.apart(at, ...telling.answers),
        ask: words.ask(at),
      };
    }
    return null;
  });
  /** How many of the class hold each idea; null until somebody asks. */
  protected readonly held = signal<ReadonlyMap<MisconceptionId, number> | null>(null);
  /** How much of their answers is looked through, in percent. */
  protected readonly part = signal<number | null>(null);
  protected readonly problem = signal<string | null>(null);

  protected readonly lower = lower;
  protected readonly isTried = (response: Response): boolean => JSON.stringify(response) === JSON.stringify(this.tried());

  protected async look(classId: string): Promise<void> {
    this.problem.set(null);
    this.part.set(1);
    try {
      const ideas = await ideasOfClass(classId, this.diagnoser, (part) => this.part.set(Math.max(1, Math.round(100 * part))));
      this.held.set(new Map(ideas.map(({ id, pupils }) => [id, pupils])));
    } catch (error) {
      this.problem.set(sentenceOf(error));
    }
    this.part.set(null);
  }
}

const lower = (name: string) => name.charAt(0).toLowerCase() + name.slice(1);

/** The dial of a question that is about a time. */
function dialOf(item: Item): Pose | null {
  const [at] = kindOf(item).timesOf(item);
  return at === undefined ? null : gearedPose(at);
}
