import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatProgressBar } from '@angular/material/progress-bar';
import { MatOption, MatSelect } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import type { LessonDetail, RecordingDetail } from '@zeitpunkt/contract';
import { lengthText } from '@zeitpunkt/core/time/length-text';
import { type ThinkAs, filmOf } from '@zeitpunkt/core/voice/film';
import { WORD_PACKS } from '@zeitpunkt/core/words/registry';
import { settledStage } from '@zeitpunkt/core/stage/player';
import { webVtt } from '@zeitpunkt/core/voice/webvtt';
import { ask, sentenceOf } from '../../shared/api';
import { download, fileName } from '../../shared/download';
import { inksOf } from '../../ui/inks';
import { Icon } from '../../ui/icons/icon';
import { Place } from '../../ui/parts/place';
import { SmallDial } from '../../ui/parts/small-dial';
import { Failing, Loading } from '../../ui/parts/states';
import { FilmChoice } from './film-choice';
import {
  FILM_FOLDER,
  type FilmFormat,
  type FilmHeight,
  type FilmKind,
  type FilmOrder,
  type FromFilmWorker,
  type ToFilmWorker,
} from './film-messages';
import { FilmPreview } from './film-preview';
import { fontFiles } from './font-files';
import { startFilm } from './start-film';
import { VIDEO_WORDS } from './words';
import { errorOf } from '../../shared/told-problem';

type Captions = 'in' | 'beside' | 'none';

/** Where the making of a film stands. */
type Making =
  | { readonly at: 'not' | 'cancelled' }
  | { readonly at: 'on'; readonly doneMs: number; readonly totalMs: number }
  | { readonly at: 'made'; readonly file: File | null; readonly bytes: number; readonly tookMs: number };

/** A window of the browser that asks where to save; not every browser has it. */
type AsksForFile = (options: object) => Promise<FileSystemFileHandle>;

/** Makes a film of a lesson with the teacher's takes. */
@Component({
  selector: 'zp-video',
  imports: [
    Failing,
    FilmChoice,
    FilmPreview,
    Icon,
    Loading,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatFormField,
    MatLabel,
    MatOption,
    MatProgressBar,
    MatSelect,
    Place,
    RouterLink,
    SmallDial,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './video.html',
  styleUrl: './video.scss',
})
export class Video {
  readonly id = input.required<string>();
  protected readonly clock = lengthText;
  protected readonly words = VIDEO_WORDS;
  protected readonly help = computed(() => ({ place: this.words().place, sentence: this.words().help.sentence }));
  protected readonly thinks: readonly ThinkAs[] = ['script', 'countdown', 'card'];
  protected readonly captionWays: readonly Captions[] = ['in', 'beside', 'none'];
  protected readonly detail = signal<LessonDetail | null>(null);
  private readonly recording = signal<RecordingDetail | null>(null);
  protected readonly problem = signal<string | null>(null);
  /** The formats of this browser; null until it has said so, none where it can make no films. */
  protected readonly formats = signal<readonly FilmKind[] | null>(null);
  protected readonly format = signal<FilmFormat>('mp4');
  protected readonly height = signal<FilmHeight>(720);
  protected readonly thinkAs = signal<ThinkAs>('script');
  protected readonly captions = signal<Captions>('in');
  protected readonly making = signal<Making>({ at: 'not' });
  private startedAtMs = 0;
  private worker: Worker | null = null;

  protected readonly film = computed(() => {
    const [detail, recording] = [this.detail(), this.recording()];
    return detail && recording && filmOf(detail.lesson, recording.takes, this.thinkAs());
  });
  /** The chapters, each with the hands that it leaves on the stage. */
  protected readonly chapters = computed(() => {
    const film = this.film();
    return (film?.chapters ?? []).map((chapter) => {
      const shot = film!.shots.findLast(({ startMs }) => startMs < chapter.toMs);
      return { ...chapter, dial: (shot && settledStage(shot.step).dial?.pose) ?? null };
    });
  });
  protected readonly spoken = computed(() => this.film()?.shots.filter(({ take }) => take !== null).length ?? 0);
  protected readonly silent = computed(() => {
    const shots = this.film()?.shots ?? [];
    return shots.filter(({ take, step }) => take === null && step.beat.kind !== 'think').length;
  });
  protected readonly done = computed(() => {
    const making = this.making();
    return making.at === 'on' ? Math.min(100, Math.floor((100 * making.doneMs) / making.totalMs)) : 0;
  });
  /** How long it still takes, in milliseconds, at the pace so far; null while that cannot be told. */
  protected readonly leftMs = computed(() => {
    const making = this.making();
    if (making.at !== 'on' || making.doneMs < 2000) return null;
    return ((performance.now() - this.startedAtMs) * (making.totalMs - making.doneMs)) / making.doneMs;
  });
  protected readonly made = computed(() => {
    const making = this.making();
    return making.at === 'made' ? making : null;
  });

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.load(id));
    });
    effect(() => {
      const height = this.height();
      untracked(() => this.askForFormats(height));
    });
    inject(DestroyRef).onDestroy(() => this.worker?.terminate());
  }

  /** What is said of a kind of film: where it plays depends on its sound as well. */
  protected kindWords({ format, sound }: FilmKind): string {
    const { kinds } = this.words();
    if (format === 'webm') return kinds.webm;
    if (format === 'webm-av1') return kinds.av1;
    return sound === 'aac' ? kinds.aac : kinds.opus;
  }

  protected megabytes(bytes: number): string {
    return (bytes / 1_000_000).toFixed(1);
  }

  protected async make(): Promise<void> {
    const [detail, recording, worker] = [this.detail(), this.recording(), this.worker];
    if (!detail || !recording || !worker) return;
    this.problem.set(null);
    const file = await this.whereTo();
    if (file === 'nowhere') return;
    const order: FilmOrder = {
      lessonId: this.id(),
      lesson: detail.lesson,
      takes: recording.takes,
      thinkAs: this.thinkAs(),
      height: this.height(),
      format: this.format(),
      burnsIn: this.captions() === 'in',
      inks: inksOf(document.documentElement),
      fonts: fontFiles(),
      file,
    };
    this.startedAtMs = performance.now();
    this.making.set({ at: 'on', doneMs: 0, totalMs: this.film()!.totalMs });
    this.tell({ type: 'make', order });
  }

  protected cancel(): void {
    this.tell({ type: 'cancel' });
  }

  protected saveFilm(file: File): void {
    download(file, this.nameOf());
  }

  protected saveCaptions(): void {
    this.saveTrack(this.film()!.cues, 'captions');
  }

  protected saveChapters(): void {
    this.saveTrack(this.film()!.chapters, 'chapters');
  }

  private saveTrack(cues: Parameters<typeof webVtt>[0], what: string): void {
    const { lesson } = this.detail()!;
    const text = webVtt(cues, WORD_PACKS[lesson.settings.pack].language);
    download(new Blob([text], { type: 'text/vtt' }), fileName(`${lesson.title} ${what}`, what, 'vtt'));
  }

  /** The file to write to, where the browser lets one be chosen; null for one of its own. */
  private async whereTo(): Promise<FileSystemFileHandle | null | 'nowhere'> {
    const { showSaveFilePicker: pick } = window as { readonly showSaveFilePicker?: AsksForFile };
    if (!pick) return null;
    try {
      return await pick({ suggestedName: this.nameOf() });
    } catch (error) {
      if (error instanceof DOMException && error.name === 'AbortError') return 'nowhere';
      return null; // a frame, or a browser that has it and does not allow it
    }
  }

  private nameOf(): string {
    return fileName(this.detail()!.lesson.title, 'lesson', this.format() === 'mp4' ? 'mp4' : 'webm');
  }

  private tell(message: ToFilmWorker): void {
    this.worker?.postMessage(message);
  }

  private askForFormats(height: FilmHeight): void {
    if (!('VideoEncoder' in window) || !('OffscreenCanvas' in window)) return this.formats.set([]);
    if (!this.worker) {
      this.worker = startFilm();
      this.worker.onmessage = ({ data }: MessageEvent<FromFilmWorker>) => void this.hear(data);
      this.worker.onerror = () => this.fail(this.words().failed);
    }
    this.tell({ type: 'formats', height });
  }

  private fail(sentence: string): void {
    this.problem.set(sentence);
    this.making.set({ at: 'not' });
  }

  private async hear(message: FromFilmWorker): Promise<void> {
    switch (message.type) {
      case 'formats':
        this.formats.set(message.formats);
        if (!message.formats.some(({ format }) => format === this.format()) && message.formats[0])
          this.format.set(message.formats[0].format);
        return;
      case 'progress':
        return this.making.set({ at: 'on', doneMs: message.doneMs, totalMs: message.totalMs });
      case 'cancelled':
        return this.making.set({ at: 'cancelled' });
      case 'failed':
        return this.fail(sentenceOf(errorOf(message.problem)));
      case 'made': {
        const file = message.name === null ? null : await ownFilm(message.name);
        if (file) this.saveFilm(file);
        this.making.set({ at: 'made', file, bytes: message.bytes, tookMs: performance.now() - this.startedAtMs });
      }
    }
  }

  private async load(id: string): Promise<void> {
    try {
      const [detail, recording] = await Promise.all([
        ask<LessonDetail>('GET', `/api/lessons/${id}`),
        ask<RecordingDetail>('GET', `/api/lessons/${id}/recording`),
      ]);
      this.recording.set(recording);
      this.detail.set(detail);
    } catch (error) {
      this.problem.set(sentenceOf(error));
    }
  }
}

/** A film among the browser's own files. */
async function ownFilm(name: string): Promise<File> {
  const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle(FILM_FOLDER);
  return (await folder.getFileHandle(name)).getFile();
}
