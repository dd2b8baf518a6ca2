import { afterNextRender, ChangeDetectionStrategy, Component, DestroyRef, inject, input, output, signal } from '@angular/core';
import type { CardRead, DeskView } from '@zeitpunkt/contract';
import { v4 as uuid } from 'uuid';
import { ApiProblem, ask, sentenceOf } from '../../shared/api';
import { cardUsed } from './card-in-address';

/** While nothing is open the page looks again so often, in milliseconds. */
const LOOK_AGAIN_MS = 8000;

/** Coming in by join card: straight into the one lesson that is open, or a choice where there are several. */
@Component({
  selector: 'zp-desk-card',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main>
      @if (card(); as card) {
        <h1>Hello, {{ card.pupilName }}.</h1>
        @if (word(); as word) {
          <p role="status">{{ word }}</p>
        }
        @if (problem(); as problem) {
          <p class="problem" role="alert">{{ problem }}</p>
        }
        @for (lesson of card.lessons; track lesson.sessionId) {
          <button type="button" class="button filled big" [disabled]="busy()" (click)="join(lesson.sessionId)">{{ lesson.title }}</button>
        } @empty {
          <p role="status">No lesson is open for you just now. Leave this page open: it looks again by itself.</p>
        }
        <button type="button" class="button quiet big" (click)="leave.emit()">I am not {{ card.pupilName }}</button>
      } @else if (problem(); as problem) {
        <p class="problem" role="alert">{{ problem }}</p>
        <button type="button" class="button outlined big" (click)="leave.emit()">Come in with pictures</button>
      } @else {
        <p role="status">One moment …</p>
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
    .button {
      width: 100%;
    }
  `,
})
export class DeskCard {
  readonly token = input.required<string>();
  /** Something to say first; nothing is gone into then without a touch. */
  readonly word = input<string | null>(null);
  readonly joined = output<DeskView>();
  readonly leave = output();

  protected readonly card = signal<CardRead | null>(null);
  protected readonly problem = signal<string | null>(null);
  protected readonly busy = signal(false);
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
      const view = await ask<DeskView>('POST', '/api/desk/card/join', { token: this.token(), sessionId, joinId: this.joinId });
      cardUsed(this.token());
      this.joined.emit(view);
    } catch (error) {
      this.problem.set(sentenceOf(error));
      if (!(error instanceof ApiProblem && error.mayPass)) await this.look();
    } finally {
      this.busy.set(false);
    }
  }

  private async look(): Promise<void> {
    clearTimeout(this.timer);
    try {
      const card = await ask<CardRead>('POST', '/api/desk/card', { token: this.token() });
      this.card.set(card);
      this.problem.set(null);
      if (card.lessons.length === 1 && this.word() === null && !this.busy()) return await this.join(card.lessons[0]!.sessionId);
    } catch (error) {
      this.problem.set(sentenceOf(error));
      if (!(error instanceof ApiProblem && error.mayPass)) return;
    }
    this.timer = window.setTimeout(() => void this.look(), LOOK_AGAIN_MS);
  }
}
