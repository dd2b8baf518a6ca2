import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import type { LessonSummary } from '@zeitpunkt/contract';
import { TeacherFrame } from '../frame/teacher-frame';
import { DraftForm } from './draft-form';
import { LessonsStore } from './lessons-store';

/** The class, its lessons ready to teach, lessons running now, and those taught. */
@Component({
  selector: 'zp-lessons',
  imports: [DatePipe, DraftForm, MatButton, RouterLink, TeacherFrame],
  providers: [LessonsStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lessons.html',
  styleUrl: './lessons.scss',
})
export class Lessons {
  protected readonly store = inject(LessonsStore);
  private readonly router = inject(Router);
  protected readonly classId = linkedSignal(() => this.store.classes()[0]?.id);
  protected readonly running = computed(() => this.store.sessions().filter((session) => session.phase !== 'ended'));
  protected readonly taught = computed(() => this.store.sessions().filter((session) => session.phase === 'ended'));

  constructor() {
    void this.store.load();
  }

  protected minutes(lesson: LessonSummary): number {
    return Math.round((lesson.facts?.plannedSec ?? 0) / 60);
  }

  protected async takeFile(input: HTMLInputElement): Promise<void> {
    const file = input.files?.[0];
    input.value = ''; // the same file can be chosen again when it has been put right
    if (file) await this.store.takeFile(file);
  }

  protected async start(lesson: LessonSummary): Promise<void> {
    const classId = this.classId();
    const id = classId && (await this.store.start(lesson.id, classId));
    if (id) await this.router.navigate(['/console', id]);
  }
}
