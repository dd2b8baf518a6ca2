import { Injectable } from '@angular/core';
import type { LessonDetail, LessonSaved, NoteKeep } from '@zeitpunkt/contract';
import { ask } from '../../shared/api';

/** Notes at the beats of a lesson, as the server keeps them. */
@Injectable({ providedIn: 'root' })
export class NotesApi {
  fetch(lessonId: string): Promise<LessonDetail> {
    return ask('GET', `/api/lessons/${lessonId}`);
  }

  async keep(lessonId: string, note: NoteKeep): Promise<void> {
    await ask<LessonSaved>('POST', `/api/lessons/${lessonId}/notes`, note);
  }
}
