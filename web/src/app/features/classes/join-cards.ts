import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { CardsMade } from '@zeitpunkt/contract';
import { ask, sentenceOf } from '../../shared/api';
import { DeskAddress } from '../../shared/desk-address';
import { PaperMaker } from '../../shared/paper/paper-maker';
import { PaperProgress } from '../../shared/paper/paper-progress';
import { AskFirst } from '../../ui/parts/ask-dialog';
import { Place } from '../../ui/parts/place';
import { Failing, Loading } from '../../ui/parts/states';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { Icon } from '../../ui/icons/icon';
import { MatOption, MatSelect } from '@angular/material/select';
import { CLASS_WORDS } from './words';
import { QrCode } from '../../ui/qr-code';
import { ClassStore } from './class-store';

/** Join cards: made for chosen pupils, shown this once, and printed. A card says who comes, so it is as good as a key to one's desk. */
@Component({
  selector: 'zp-join-cards',
  imports: [
    Failing,
    Loading,
    MatButton,
    MatCheckbox,
    MatFormField,
    Icon,
    MatLabel,
    MatOption,
    MatSelect,
    PaperProgress,
    Place,
    QrCode,
    RouterLink,
  ],
  providers: [ClassStore, PaperMaker],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './join-cards.html',
  styleUrl: './join-cards.scss',
})
export class JoinCards {
  readonly id = input.required<string>();
  /** The pupil whose card is wanted; without one, all who have none. */
  readonly for = input<string>();
  protected readonly store = inject(ClassStore);
  protected readonly maker = inject(PaperMaker);
  protected readonly address = inject(DeskAddress);
  protected readonly made = signal<CardsMade['cards']>([]);
  protected readonly chosen = signal<ReadonlySet<string>>(new Set());
  protected readonly problem = signal<string | null>(null);
  private readonly askFirst = inject(AskFirst);
  private readonly all = CLASS_WORDS;
  protected readonly words = computed(() => this.all().joinCards);
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

  protected chooseAll(which: 'all' | 'none' | 'without'): void {
    const all = which === 'none' ? [] : this.store.present().filter(({ cardAtMs }) => which === 'all' || cardAtMs === null);
    this.chosen.set(new Set(all.map(({ id }) => id)));
  }

  protected async askToMake(): Promise<void> {
    const again = this.replaced().length;
    if (again === 0 || (await this.askFirst.ask(this.all().ask.replace(again)))) await this.make();
  }

  protected async revokeAll(): Promise<void> {
    if (await this.askFirst.ask(this.all().ask.revoke(this.withCard().length))) await this.store.revokeCards(this.withCard());
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
    void this.maker.save({ kind: 'join-links', className, cards }, this.words().file(className));
  }

  protected print(): void {
    window.print();
  }

  /** Those without a card are chosen first. */
  protected async begin(id: string): Promise<void> {
    await this.store.load(id);
    const wanted = this.for();
    if (wanted !== undefined)
      return this.chosen.set(new Set(this.store.present().flatMap((pupil) => (pupil.id === wanted ? [wanted] : []))));
    this.chosen.set(new Set(this.store.present().flatMap((pupil) => (pupil.cardAtMs === null ? [pupil.id] : []))));
  }
}
