import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { Icon } from '../../ui/icons/icon';
import { MatInput } from '@angular/material/input';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { Router, RouterLink } from '@angular/router';
import type { ClassPupil } from '@zeitpunkt/contract';
import { StandingStore } from '../../shared/course/standing-store';
import { inSlices } from '../../shared/in-slices';
import { dayAndMonth } from '../../shared/words/days';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { AskFirst } from '../../ui/parts/ask-dialog';
import { Place } from '../../ui/parts/place';
import { Empty, Failing, Loading } from '../../ui/parts/states';
import { CanComeIn } from './can-come-in';
import { ClassData } from './class-data';
import { ClassStore } from './class-store';
import { PupilActs } from './pupil-acts';
import { PupilTable } from './pupil-table';
import { CLASS_WORDS } from './words';

/** From so many pupils on rows are low, so that a full class is seen at once. */
const FULL = 26;
/** Pupils that a frame draws. */
const DRAWN_AT_ONCE = 6;

/** A class: who is in it and can come in, lists in and out, cards, and what is kept of it and for how long. */
@Component({
  selector: 'zp-class-list',
  imports: [
    CanComeIn,
    ClassData,
    Empty,
    Failing,
    Loading,
    MatButton,
    MatFormField,
    Icon,
    MatIconButton,
    MatInput,
    MatLabel,
    MatMenu,
    MatMenuItem,
    MatMenuTrigger,
    Place,
    PupilTable,
    RouterLink,
  ],
  providers: [ClassStore, PupilActs, StandingStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './class-list.html',
  styleUrl: './class-list.scss',
})
export class ClassListPlace {
  readonly id = input.required<string>();
  /** What somebody comes here for: to take in a list, or to type names. */
  readonly add = input<string>();
  protected readonly store = inject(ClassStore);
  private readonly dialog = inject(MatDialog);
  private readonly askFirst = inject(AskFirst);
  protected readonly pupilActs = inject(PupilActs);
  private readonly router = inject(Router);
  protected readonly words = CLASS_WORDS;
  protected readonly isEditing = signal(false);
  /** Where each pupil stands comes after the list; without it the list is there all the same. */
  protected readonly standings = inject(StandingStore);
  protected readonly standing = this.standings.standing;
  protected readonly help = computed(() => ({ place: this.words().title, ...this.words().help }));
  protected readonly about = computed(() => {
    const detail = this.store.detail();
    return detail ? this.words().about(detail.name, this.store.present().length) : null;
  });
  protected readonly isFull = computed(() => this.store.present().length > FULL);
  private readonly drawn = inSlices(() => (this.store.detail() ? this.store.present().length + 1 : 0), DRAWN_AT_ONCE, 0);
  protected readonly isWhole = computed(() => this.drawn() > this.store.present().length);
  /** Two columns of equal height, read down. */
  protected readonly halves = computed((): readonly (readonly ClassPupil[])[] => {
    const all = this.store.present();
    const half = Math.ceil(all.length / 2);
    const drawn = this.drawn();
    return this.isEditing() || all.length < 8 ? [all] : [all.slice(0, Math.min(half, drawn)), all.slice(half, Math.max(half, drawn))];
  });

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.load(id));
    });
  }

  protected async load(id: string): Promise<void> {
    if (!(await this.store.load(id))) return;
    const how = this.add();
    if (how) await this.router.navigate([], { queryParams: { add: null }, queryParamsHandling: 'merge', replaceUrl: true });
    if (how === 'list') void this.takeList();
    if (how === 'type') void this.typeNames();
    await this.standings.load(id);
  }

  protected async takeList(): Promise<void> {
    const { RosterImport } = await import('./roster-import');
    this.dialog.open(RosterImport, { data: this.store, width: '760px', maxWidth: '96vw' });
  }

  protected async typeNames(): Promise<void> {
    const { TypeNames } = await import('./type-names');
    this.dialog.open(TypeNames, { data: this.store, width: '480px', maxWidth: '96vw' });
  }

  protected async rename(field: HTMLInputElement): Promise<void> {
    const [name, before] = [field.value.trim(), this.store.detail()!.name];
    if (name === '' || name === before || !(await this.store.change({ name }))) field.value = this.store.detail()!.name;
  }

  protected day(ms: number): string {
    return dayAndMonth(dayOf(ms));
  }

  protected async handOver(): Promise<void> {
    const { HandOver } = await import('./hand-over');
    const { id, name } = this.store.detail()!;
    const opened = this.dialog.open(HandOver, { data: { id, name }, width: '520px', maxWidth: '96vw' });
    opened.componentInstance.gone.subscribe(() => void this.store.leaveClass());
  }

  protected async deleteClass(): Promise<void> {
    if (await this.askFirst.ask(this.words().ask.deleteClass)) await this.store.removeClass();
  }
}
