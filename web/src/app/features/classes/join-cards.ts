import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked, viewChild } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { CardsMade } from '@zeitpunkt/contract';
import { ask, sentenceOf } from '../../shared/api';
import { DeskAddress } from '../../shared/desk-address';
import { PaperMaker } from '../../shared/paper/paper-maker';
import { PaperProgress } from '../../shared/paper/paper-progress';
import { Confirm } from '../../ui/confirm';
import { QrCode } from '../../ui/qr-code';
import { ClassStore } from './class-store';

/** Join cards: made for chosen pupils, shown this once, and printed. A card says who comes, so it is as good as a key to one's desk. */
@Component({
  selector: 'zp-join-cards',
  imports: [Confirm, MatButton, PaperProgress, QrCode, RouterLink],
  providers: [ClassStore, PaperMaker],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './join-cards.html',
  styleUrl: './join-cards.scss',
})
export class JoinCards {
  readonly id = input.required<string>();
  protected readonly store = inject(ClassStore);
  protected readonly maker = inject(PaperMaker);
  protected readonly address = inject(DeskAddress);
  protected readonly made = signal<CardsMade['cards']>([]);
  protected readonly chosen = signal<ReadonlySet<string>>(new Set());
  protected readonly problem = signal<string | null>(null);
  private readonly confirmAgain = viewChild.required<Confirm>('confirmAgain');
  /** Of those chosen, the ones whose card of before would open nothing any more. */
  protected readonly replaced = computed(() =>
    this.store.present().filter(({ id, cardAtMs }) => cardAtMs !== null && this.chosen().has(id)),
  );
  protected readonly withCard = computed(() => this.store.present().filter(({ cardAtMs }) => cardAtMs !== null));

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.begin(id));
    });
  }

  /** The address that a card leads to. What follows the # stays on the device. */
  protected linkOf(token: string): string {
    return `${this.address.desk()}#card=${token}`;
  }

  protected choose(id: string, isChosen: boolean): void {
    this.chosen.update((before) => {
      const now = new Set(before);
      if (isChosen) now.add(id);
      else now.delete(id);
      return now;
    });
  }

  protected askToMake(): void {
    if (this.replaced().length > 0) this.confirmAgain().open();
    else void this.make();
  }

  protected async make(): Promise<void> {
    try {
      const { cards } = await ask<CardsMade>('POST', `/api/classes/${this.id()}/cards`, { pupilIds: [...this.chosen()] });
      this.made.set(cards);
      this.problem.set(null);
      await this.store.load(this.id());
    } catch (error) {
      this.problem.set(sentenceOf(error));
    }
  }

  /** The cards as a file: like what is printed, it opens desks. */
  protected save(): void {
    const className = this.store.detail()!.name;
    const cards = this.made().map(({ name, token }) => ({ name, link: this.linkOf(token) }));
    void this.maker.save({ kind: 'join-links', className, cards }, `Join cards of ${className}`);
  }

  protected print(): void {
    window.print();
  }

  /** Those without a card are chosen first. */
  private async begin(id: string): Promise<void> {
    await this.store.load(id);
    this.chosen.set(new Set(this.store.present().flatMap((pupil) => (pupil.cardAtMs === null ? [pupil.id] : []))));
  }
}
