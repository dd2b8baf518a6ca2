import { ChangeDetectionStrategy, Component, computed, effect, type ElementRef, inject, signal, viewChild } from '@angular/core';
import type { DeskView, RoomFound } from '@zeitpunkt/contract';
import { v4 as uuid } from 'uuid';
import { ask, sentenceOf } from '../../shared/api';
import { closeDialog, showDialog } from '../../ui/old-dialog';
import { Sign } from '../../ui/sign';
import { DeskStore } from './desk-store';
import { Sharing } from './sharing';
import { DESK_WORDS } from './words';

/** Two pupils at one device: the second comes in here, and one touch says whose turn it is. */
@Component({
  selector: 'zp-desk-share',
  imports: [Sign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (beside(); as other) {
      <button type="button" class="button outlined" (click)="swap()">
        <zp-sign name="two" />{{ words().share.turn(other.pupilName) }}
      </button>
    }
    <dialog #dialog aria-labelledby="who-else" (close)="sharing.asked.set(false)">
      <h2 id="who-else">{{ words().share.who }}</h2>
      @if (problem(); as problem) {
        <p class="problem" role="alert">{{ problem }}</p>
      }
      <ul>
        @for (pupil of names(); track pupil.id) {
          <li>
            <button type="button" class="press large" (click)="join(pupil.id)">{{ pupil.name }}</button>
          </li>
        } @empty {
          <li>{{ words().share.nobody }}</li>
        }
      </ul>
      <button type="button" class="button outlined big" (click)="shut()">{{ words().share.onlyMe }}</button>
    </dialog>
  `,
  styles: `
    .button {
      display: inline-flex;
      gap: 8px;
      align-items: center;
      justify-content: center;
      min-height: 48px;
    }
    ul {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(8rem, 1fr));
      gap: 0.5rem;
      max-height: 60vh;
      margin: 0 0 1rem;
      padding: 0;
      overflow-y: auto;
      list-style: none;
    }
    ul button {
      width: 100%;
    }
  `,
})
export class DeskShare {
  private readonly store = inject(DeskStore);
  protected readonly words = DESK_WORDS;
  protected readonly sharing = inject(Sharing);
  protected readonly names = signal<RoomFound['pupils']>([]);
  protected readonly problem = signal<string | null>(null);
  /** The other pupil of this device; null where there is none. */
  protected readonly beside = computed(() => this.store.beside());
  private readonly dialog = viewChild.required<ElementRef<HTMLDialogElement>>('dialog');
  private joinId = uuid();

  constructor() {
    effect(() => {
      if (this.sharing.asked()) void this.open();
    });
  }

  private async open(): Promise<void> {
    showDialog(this.dialog().nativeElement);
    await this.attempt(async () => this.names.set((await ask<RoomFound>('GET', '/api/desk/beside')).pupils));
  }

  protected shut(): void {
    closeDialog(this.dialog().nativeElement);
  }

  protected async join(pupilId: string): Promise<void> {
    await this.attempt(async () => {
      const view = await ask<DeskView>('POST', '/api/desk/beside/join', { joinId: this.joinId, pupilId });
      this.joinId = uuid();
      closeDialog(this.dialog().nativeElement);
      await this.store.turnTo(view);
    });
  }

  protected async swap(): Promise<void> {
    await this.store.tryTo(async () => this.store.turnTo(await ask<DeskView>('POST', '/api/desk/swap')));
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
