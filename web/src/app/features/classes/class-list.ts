import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, effect, type ElementRef, inject, input, signal, untracked, viewChild } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { TeacherFrame } from '../frame/teacher-frame';
import { ClassData } from './class-data';
import { ClassStore } from './class-store';
import { PupilRow } from './pupil-row';
import { RosterImport } from './roster-import';

/** A class: its pupils, lists in and out, the way to the join cards, and what is kept of it and for how long. */
@Component({
  selector: 'zp-class-list',
  imports: [ClassData, DatePipe, MatButton, PupilRow, RosterImport, RouterLink, TeacherFrame],
  providers: [ClassStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './class-list.html',
  styleUrl: './class-list.scss',
})
export class ClassListPlace {
  readonly id = input.required<string>();
  protected readonly store = inject(ClassStore);
  protected readonly takingIn = signal(false);
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

  protected async rename(field: HTMLInputElement): Promise<void> {
    const [name, before] = [field.value.trim(), this.store.detail()!.name];
    if (name === '' || name === before || !(await this.store.change({ name }))) field.value = this.store.detail()!.name;
  }
}
