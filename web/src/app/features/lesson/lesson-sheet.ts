import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { explain, secondOfDay } from '@zeitpunkt/core';
import { download, fileName } from '../../shared/download';
import { useShortcuts, type Shortcut } from '../../shared/shortcuts';
import { Choice } from '../../ui/choice';
import { SavingWord } from '../../ui/saving-word';
import { TeacherFrame } from '../frame/teacher-frame';
import { Findings } from './findings';
import { LessonStore } from './lesson-store';
import { SCHOOLS } from './schools';
import { Script } from './script';

/** What a lesson says of itself and which school it follows: everything that is made for it, and every mark, obeys that. */
@Component({
  selector: 'zp-lesson-sheet',
  imports: [Choice, Findings, MatButton, RouterLink, SavingWord, Script, TeacherFrame],
  providers: [LessonStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lesson-sheet.html',
  styleUrl: './lesson-sheet.scss',
})
export class LessonSheet {
  readonly id = input.required<string>();
  protected readonly store = inject(LessonStore);
  protected readonly schools = SCHOOLS;
  /** How a time is explained in this school: the one that beginners find hardest. */
  protected readonly example = computed(() => {
    const lesson = this.store.lesson();
    return lesson ? explain(secondOfDay(12, 40), lesson.settings).map(({ beat }) => beat.text) : [];
  });
  protected readonly shortcuts: readonly Shortcut[] = [
    { left: ['Ctrl+Z'], right: ['U'], text: 'Undo', repeats: true, act: () => this.store.undo() },
    { left: ['Ctrl+Shift+Z'], right: ['Shift+U', 'Ctrl+Y'], text: 'Redo', repeats: true, act: () => this.store.redo() },
  ];

  /** Gives the lesson out as it is here, also what is not saved yet. */
  protected saveFile(): void {
    const lesson = this.store.lesson();
    if (!lesson) return;
    const text = JSON.stringify(lesson, null, 2);
    download(new Blob([`${text}\n`], { type: 'application/json' }), fileName(lesson.title, 'lesson', 'lesson.json'));
  }

  constructor() {
    useShortcuts(this.shortcuts);
    effect(() => {
      const id = this.id();
      untracked(() => void this.store.load(id));
    });
  }
}
