import { ChangeDetectionStrategy, Component, effect, type ElementRef, inject, input, signal, untracked, viewChild } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { Pupil } from '@zeitpunkt/contract';
import { Confirm } from '../../ui/confirm';
import { TeacherFrame } from '../frame/teacher-frame';
import { ClassStore } from './class-store';

/** The pupils of a class: names put right, newcomers added, those who left deleted with all that they gave. */
@Component({
  selector: 'zp-class-list',
  imports: [Confirm, MatButton, RouterLink, TeacherFrame],
  providers: [ClassStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './class-list.html',
  styleUrl: './class-list.scss',
})
export class ClassListPlace {
  readonly id = input.required<string>();
  protected readonly store = inject(ClassStore);
  /** The pupil whose deletion is to be confirmed. */
  protected readonly leaving = signal<Pupil | null>(null);
  private readonly confirmPupil = viewChild.required<Confirm>('confirmPupil');
  private readonly newName = viewChild<ElementRef<HTMLInputElement>>('newName');

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.store.load(id));
    });
  }

  protected async add(event: Event): Promise<void> {
    event.preventDefault();
    const field = this.newName()!.nativeElement;
    const name = field.value.trim();
    if (name && (await this.store.add(name))) field.value = '';
    field.focus();
  }

  protected async rename(pupil: Pupil, field: HTMLInputElement): Promise<void> {
    const name = field.value.trim();
    const isNew = name !== '' && name !== pupil.name;
    if (!isNew || !(await this.store.rename(pupil, name))) field.value = pupil.name;
  }

  protected askToRemove(pupil: Pupil): void {
    this.leaving.set(pupil);
    this.confirmPupil().open();
  }
}
