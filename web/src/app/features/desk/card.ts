import { afterNextRender, ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import type { CardRead, DeskView } from '@zeitpunkt/contract';
import { v4 as uuid } from 'uuid';
import { ApiProblem, ask, sentenceOf } from '../../shared/api';
import { deskLanguage } from '../../shared/words/spoken';
import { ReadAloud } from '../../ui/read-aloud';
import { Sign, type SignName } from '../../ui/sign';
import { cardUsed } from './card-in-address';
import { DeskStore } from './desk-store';
import { dayWords } from './day-words';
import { sentences } from './sentences';
import { DESK_WORDS } from './words';

/** While nothing is open the page looks again so often, in milliseconds. */
const LOOK_AGAIN_MS = 8000;

/** Coming in by join card: straight into the one lesson that is open, or a choice where there are several. */
@Component({
  selector: 'zp-desk-card',
  imports: [ReadAloud, Sign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main>
      @if (card(); as card) {
        <div class="top">
          <h1>{{ words().card.hello(card.pupilName) }}</h1>
          <zp-read-aloud [text]="heard()" [language]="language()" />
        </div>
        @if (word(); as word) {
          <p role="status">{{ word }}</p>
        }
        @if (problem(); as problem) {
          <p class="problem" role="alert">{{ problem }}</p>
        }
        @for (lesson of card.lessons; track lesson.sessionId) {
          <button
            type="button"
            class="button big"
            [class.filled]="!lesson.own?.done"
            [class.outlined]="lesson.own?.done"
            [disabled]="busy() || lesson.own?.open === false"
            (click)="join(lesson.sessionId)"
          >
            <zp-sign [name]="signOf(lesson)" />
            <span>
              {{ lesson.title }}
              @if (when(lesson); as when) {
                <span class="when">{{ when }}</span>
              }
            </span>
          </button>
        } @empty {
          <p role="status">{{ words().card.none }}</p>
        }
        <button type="button" class="button quiet big" (click)="leave()">
          <zp-sign name="away" />{{ words().card.notMe(card.pupilName) }}
        </button>
      } @else if (problem(); as problem) {
        <p class="problem" role="alert">{{ problem }}</p>
        <zp-read-aloud [text]="sentences([problem, words().card.withPictures])" [language]="language()" />
        <button type="button" class="button outlined big" (click)="leave()"><zp-sign name="on" />{{ words().card.withPictures }}</button>
      } @else {
        <p role="status">{{ words().moment }}</p>
      }
    </main>
  `,
  styles: `
    main {
      display: grid;
      gap: 1rem;
      justify-items: start;
      max-width: 40rem;
      margin: 0 auto;
      padding: 1rem;
    }
    .top {
      display: flex;
      gap: 1rem;
      align-items: center;
      justify-content: space-between;
      width: 100%;
    }
    .button {
      display: flex;
      gap: 12px;
      align-items: center;
      width: 100%;
      text-align: left;
    }
    .when {
      display: block;
      font-size: 1rem;
      font-weight: 400;
    }
  `,
})
export class DeskCard {
  private readonly store = inject(DeskStore);
  protected readonly words = DESK_WORDS;
  /** Something to say first; nothing is gone into then without a touch. */
  protected readonly word = this.store.problem;
  protected readonly card = signal<CardRead | null>(null);
  protected readonly problem = signal<string | null>(null);
  protected readonly busy = signal(false);
  protected readonly language = deskLanguage;
  protected readonly sentences = sentences;
  protected readonly heard = computed(() => {
    const card = this.card();
    if (!card) return '';
    const lessons = card.lessons.map((lesson) => `${lesson.title}, ${this.when(lesson)}`.replace(/, $/, ''));
    const { hello, none } = this.words().card;
    return sentences([hello(card.pupilName), this.word() ?? '', ...(lessons.length ? lessons : [none])]);
  });
  /** The same for every try of this page, so that a repeated join is one join. */
  private readonly joinId = uuid();
  private timer = 0;

  constructor() {
    inject(DestroyRef).onDestroy(() => clearTimeout(this.timer));
    afterNextRender(() => void this.look());
  }

  protected async join(sessionId: string): Promise<void> {
    this.busy.set(true);
    try {
      const token = this.store.card()!;
      const view = await ask<DeskView>('POST', '/api/desk/card/join', { token, sessionId, joinId: this.joinId });
      cardUsed(token);
      await this.store.enter(view);
    } catch (error) {
      this.problem.set(sentenceOf(error));
      if (!(error instanceof ApiProblem && error.mayPass)) await this.look();
    } finally {
      this.busy.set(false);
    }
  }

  /** Done, not open yet or any more, or to be gone into. */
  protected signOf({ own }: Lessons[number]): SignName {
    if (own?.open === false) return 'closed';
    return own?.done ? 'right' : 'on';
  }

  /** When a lesson to do alone is open, or that it was done; nothing where the teacher leads it now. */
  protected when({ own }: Lessons[number]): string {
    const { doneOnce, until, from } = this.words().card;
    if (!own) return '';
    if (!own.open) return from(dayWords(own.firstDay));
    return own.done ? doneOnce : until(dayWords(own.lastDay));
  }

  protected leave(): void {
    this.store.withoutCard();
  }

  private async look(): Promise<void> {
    clearTimeout(this.timer);
    try {
      const card = await ask<CardRead>('POST', '/api/desk/card', { token: this.store.card()! });
      this.card.set(card);
      this.problem.set(null);
      const only = onlyWay(card.lessons);
      if (only && this.word() === null && !this.busy()) return await this.join(only.sessionId);
    } catch (error) {
      this.problem.set(sentenceOf(error));
      if (!(error instanceof ApiProblem && error.mayPass)) return;
    }
    this.timer = window.setTimeout(() => void this.look(), LOOK_AGAIN_MS);
  }
}

type Lessons = CardRead['lessons'];

/** The lesson that a pupil goes into without a touch: the one that the teacher leads now, or else the only one that is open. */
function onlyWay(lessons: Lessons): Lessons[number] | undefined {
  const led = lessons.filter(({ own }) => own === null);
  const ways = led.length > 0 ? led : lessons.filter(({ own }) => own?.open);
  return ways.length === 1 ? ways[0] : undefined;
}
