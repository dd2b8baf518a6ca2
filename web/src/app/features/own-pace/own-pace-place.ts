import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { nameOfKind } from '@zeitpunkt/core';
import { ResponseView } from '../../question-views/response-view';
import { everySecond } from '../../shared/every-second';
import { VERDICT_WORDS } from '../../shared/verdict-words';
import { Confirm } from '../../ui/confirm';
import { KeyShow } from '../console/key-show';
import { TeacherFrame } from '../frame/teacher-frame';
import { OwnPaceStore } from './own-pace-store';

/** A lesson at own pace as its teacher looks on: where each pupil is, what they answer, and one line to one of them or to all. */
@Component({
  selector: 'zp-own-pace-place',
  imports: [Confirm, DatePipe, KeyShow, MatButton, ResponseView, RouterLink, TeacherFrame],
  providers: [OwnPaceStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './own-pace-place.html',
  styleUrl: './own-pace-place.scss',
})
export class OwnPacePlace {
  readonly id = input.required<string>();
  protected readonly store = inject(OwnPaceStore);
  protected readonly verdicts = VERDICT_WORDS;
  protected readonly nameOfKind = nameOfKind;
  /** The pupil to whom a line is being written. */
  protected readonly writingTo = signal<string | null>(null);
  private readonly now = everySecond();
  protected readonly counts = computed(() => {
    const rows = this.store.rows();
    const begun = rows.filter(({ at }) => at !== null).length;
    const done = rows.filter((row) => row.done).length;
    return { all: rows.length, begun, done, here: rows.filter(({ online }) => online).length };
  });

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.store.load(id));
    });
  }

  /** How long ago, in words. @param ms since 1970 by the server's clock */
  protected ago(ms: number): string {
    const minutes = Math.max(0, Math.round((this.now() - ms) / 60_000));
    if (minutes < 1) return 'just now';
    if (minutes < 60) return `${minutes} min ago`;
    const hours = Math.round(minutes / 60);
    return hours < 24 ? `${hours} h ago` : `${Math.round(hours / 24)} days ago`;
  }

  protected async write(event: Event, pupilId: string | null, field: HTMLInputElement): Promise<void> {
    event.preventDefault();
    await this.store.write(pupilId, field.value.trim());
    this.writingTo.set(null);
  }
}
