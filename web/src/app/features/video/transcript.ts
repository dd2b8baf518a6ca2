import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { RecordingDetail } from '@zeitpunkt/contract';
import { lengthText } from '@zeitpunkt/core/time/length-text';
import type { Chapter } from '@zeitpunkt/core/voice/chapters';
import { type Film, filmOf } from '@zeitpunkt/core/voice/film';
import { WORD_PACKS } from '@zeitpunkt/core/words/registry';
import { webVtt } from '@zeitpunkt/core/voice/webvtt';
import { ask, sentenceOf } from '../../shared/api';
import { download, fileName } from '../../shared/download';
import { Icon } from '../../ui/icons/icon';
import { Failing, Loading } from '../../ui/parts/states';
import { LessonStore } from '../script/gives';
import { VIDEO_WORDS } from './words';

/** What is said in a recorded lesson, part by part, to read, to print and to give along. */
@Component({
  selector: 'zp-transcript',
  imports: [Failing, Icon, Loading, MatButton, RouterLink],
  providers: [LessonStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (parts(); as parts) {
      <header class="bar">
        <button mat-flat-button class="next" type="button" (click)="print()"><mat-icon svgIcon="print" />{{ words().print }}</button>
        <button mat-button type="button" (click)="saveText()">{{ words().saveText }}</button>
        <button mat-button type="button" (click)="saveCaptions()">{{ words().captionsFile }}</button>
        <a mat-button [routerLink]="['/lessons', id(), 'record']">{{ words().toRecording }}</a>
      </header>
      <main id="main" tabindex="-1" [attr.lang]="language()">
        <h1>{{ store.lesson()!.title }}</h1>
        @if (generated()) {
          <p class="facts" lang="en">{{ words().generated }}</p>
        }
        @for (part of parts; track part.fromMs) {
          <h2>
            <span class="time">{{ clock(part.fromMs) }}</span> {{ part.text }}
          </h2>
          @for (words of part.paragraphs; track $index) {
            <p>{{ words }}</p>
          }
        }
      </main>
    } @else {
      <main id="main" tabindex="-1">
        @if (problem() ?? store.problem(); as problem) {
          <zp-failing [problem]="problem" [canTryAgain]="false" />
        } @else {
          <zp-loading [text]="words().loading" />
        }
      </main>
    }
  `,
  styles: `
    :host {
      display: block;
      max-width: 46rem;
      margin: 0 auto;
      padding: 1rem 1.5rem;
    }
    .bar {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem;
      margin-bottom: 1rem;
    }
    h2 {
      margin: 1.2rem 0 0.3rem;
      font-size: 1.15rem;
    }
    p {
      margin: 0 0 0.35rem;
      line-height: 1.5;
    }
    .time {
      display: inline-block;
      min-width: 3.2rem;
      color: var(--soft);
      font-weight: 400;
      font-variant-numeric: tabular-nums;
    }
    @media print {
      .bar {
        display: none;
      }
    }
  `,
})
export class Transcript {
  readonly id = input.required<string>();
  protected readonly words = VIDEO_WORDS;
  protected readonly store = inject(LessonStore);
  protected readonly clock = lengthText;
  private readonly recording = signal<RecordingDetail | null>(null);
  protected readonly problem = signal<string | null>(null);
  private readonly film = computed(() => {
    const [lesson, recording] = [this.store.lesson(), this.recording()];
    return lesson && recording && filmOf(lesson, recording.takes, 'countdown');
  });
  protected readonly language = computed(() => WORD_PACKS[this.store.lesson()!.settings.pack].language);
  protected readonly generated = computed(() => this.recording()?.takes.some(({ generated }) => generated) ?? false);
  protected readonly parts = computed(() => {
    const film = this.film();
    return film?.chapters.map((chapter) => ({ ...chapter, paragraphs: paragraphsIn(film, chapter) }));
  });

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.load(id));
    });
  }

  protected print(): void {
    window.print();
  }

  protected saveText(): void {
    const { title } = this.store.lesson()!;
    const parts = (this.parts() ?? []).map(({ fromMs, text, paragraphs }) => `${lengthText(fromMs)} ${text}\n${paragraphs.join('\n')}`);
    download(
      new Blob([`${title}\n\n${parts.join('\n\n')}\n`], { type: 'text/plain' }),
      fileName(`${title} transcript`, 'transcript', 'txt'),
    );
  }

  protected saveCaptions(): void {
    const { title } = this.store.lesson()!;
    const text = webVtt(this.film()!.cues, this.language());
    download(new Blob([text], { type: 'text/vtt' }), fileName(`${title} captions`, 'captions', 'vtt'));
  }

  private async load(id: string): Promise<void> {
    try {
      await this.store.load(id);
      this.recording.set(await ask<RecordingDetail>('GET', `/api/lessons/${id}/recording`));
    } catch (error) {
      this.problem.set(sentenceOf(error));
    }
  }
}

/** What is said in a part of a film: a paragraph for each beat. */
function paragraphsIn({ shots, cues }: Film, { fromMs, toMs }: Chapter): string[] {
  const byBeat = new Map<number, string[]>();
  for (const cue of cues.filter((one) => one.fromMs >= fromMs && one.fromMs < toMs)) {
    const { beatIndex } = shots.findLast(({ startMs }) => startMs <= cue.fromMs)!.step;
    byBeat.set(beatIndex, [...(byBeat.get(beatIndex) ?? []), cue.text]);
  }
  return [...byBeat.values()].map((texts) => texts.join(' '));
}
