import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked, viewChild } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import type { MatDialogRef } from '@angular/material/dialog';
import { MatFormField, MatPrefix } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { MatTooltip } from '@angular/material/tooltip';
import { Router, RouterLink } from '@angular/router';
import type { Beat } from '@zeitpunkt/core/beats/registry';
import {
  addQuestion,
  changeBeat,
  clipOf,
  duplicateBeat,
  moveBeats,
  pasteClip,
  removeBeats,
  type ScriptEdit,
} from '@zeitpunkt/core/edit/edit';
import { RUNGS } from '@zeitpunkt/core/ladder/registry';
import { prepareLesson, prepareTyped, type Step } from '@zeitpunkt/core/lesson/prepare';
import { rungOfLesson } from '@zeitpunkt/core/lesson/rung-of-lesson';
import { thinkSecondsFor } from '@zeitpunkt/core/lesson/think-times';
import { timingOf, type TimingOffer } from '@zeitpunkt/core/lesson/timing';
import type { Item } from '@zeitpunkt/core/question-kinds/registry';
import type { DialMark } from '@zeitpunkt/core/scene/dial-state';
import { checkPrepared } from '@zeitpunkt/core/checker-rules/check';
import { phasesOf } from '@zeitpunkt/core/lesson/phases';
import type { Clip } from '@zeitpunkt/contract';
import { ask, sentenceOf } from '../../shared/api';
import { download, fileName } from '../../shared/download';
import { useShortcuts, type Shortcut } from '../../shared/shortcuts';
import { Icon } from '../../ui/icons/icon';
import { Failing, Loading } from '../../ui/parts/states';
import { Place } from '../../ui/parts/place';
import { SavingWord } from '../../ui/saving-word';
import { PutOnDay } from '../../shared/plan/put-on-day';
import { BeatColumn, type Chosen } from './column/beat-column';
import { asObject, isTyping } from './column/clipboard';
import { hasText, rowsOf, rowsTyped, stepAtMs, type BeatRow } from './column/beat-rows';
import { BeatSettings } from './fields/beat-settings';
import { Findings } from './column/findings';
import { LessonStore } from './lesson-store';
import { insertOf } from './column/new-beats';
import { OpenRoom } from './open-room';
import { OverScript } from './over-script';
import { LessonRim } from './rim/lesson-rim';
import { StagePlayer } from './stage/stage-player';
import { SCRIPT_WORDS } from './words';

/** So long without a change, and the best places to cut or stretch are looked for. */
const OFFERS_AFTER_MS = 250;

/** Where a lesson is built: its beats as a column with their times, the stage as it will be, and what the checker finds. */
@Component({
  selector: 'zp-script-place',
  imports: [
    BeatColumn,
    BeatSettings,
    Failing,
    Findings,
    Icon,
    LessonRim,
    Loading,
    MatButton,
    MatFormField,
    MatIconButton,
    MatInput,
    MatMenu,
    MatMenuItem,
    MatMenuTrigger,
    MatPrefix,
    MatTooltip,
    OpenRoom,
    PutOnDay,
    RouterLink,
    SavingWord,
    StagePlayer,
    Place,
  ],
  providers: [LessonStore, OverScript],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './script-place.html',
  styleUrl: './script-place.scss',
  host: { '(copy)': 'copy($event, false)', '(cut)': 'copy($event, true)', '(paste)': 'paste($event)' },
})
export class ScriptPlace {
  readonly id = input.required<string>();
  /** The question that is worked on over the script; stands in the address. */
  readonly question = input<string>();
  protected readonly store = inject(LessonStore);
  protected readonly over = inject(OverScript);
  private readonly router = inject(Router);
  protected readonly words = SCRIPT_WORDS;
  protected readonly atMs = signal(0);
  /** Chosen along with the beat at hand; that one is told by the moment that is seen. */
  private readonly along = signal<readonly string[]>([]);
  protected readonly sought = signal('');
  protected readonly column = viewChild(BeatColumn);
  private readonly player = viewChild(StagePlayer);
  private readonly settings = viewChild(BeatSettings);

  private readonly isThere = computed(() => this.store.lesson() !== null);
  /** The lesson as it was before the first letter of what is being typed: a letter costs no more than its own beat. */
  private readonly settled = computed(() => {
    const lesson = this.store.began() ?? this.store.lesson();
    return lesson && prepareLesson(lesson);
  });
  protected readonly prepared = computed(() => {
    const [settled, lesson] = [this.settled(), this.store.lesson()];
    if (!settled || !lesson) return null;
    return lesson === settled.lesson ? settled : prepareTyped(settled, lesson);
  });
  private readonly findings = computed(() => {
    const settled = this.settled();
    return settled ? checkPrepared(settled) : [];
  });
  private readonly settledRows = computed(() => {
    const settled = this.settled();
    return settled ? rowsOf(settled, this.findings()) : [];
  });
  protected readonly rows = computed(() => {
    const prepared = this.prepared();
    return prepared ? rowsTyped(this.settledRows(), prepared) : [];
  });
  /** What is found about the whole lesson; what is about a beat stands beside it. */
  protected readonly ofTheLesson = computed(() => this.findings().filter(({ at }) => at === null));
  /** How much was found in all. */
  protected readonly checked = computed(() => this.findings().length);
  protected readonly phases = computed(() => {
    const settled = this.settled();
    return settled ? phasesOf(settled) : [];
  });
  protected readonly about = computed(() => {
    const lesson = this.store.lesson();
    return lesson && this.words().rung(RUNGS[rungOfLesson(lesson)].name, lesson.targetMinutes);
  });
  /** The step that is seen. */
  private readonly step = computed(() => {
    const prepared = this.prepared();
    return prepared && stepAtMs(prepared, this.atMs());
  });
  /** Its place within the beat at hand, from 0. */
  protected readonly stepNow = computed(() => this.step()?.stepInBeat ?? 0);
  /** Where time is best won or lost; found when nothing was changed for a moment, because each offer is tried out. */
  protected readonly offers = signal<readonly TimingOffer[]>([]);
  protected readonly chosen = computed((): Chosen => {
    const id = this.step()?.ref.beatId ?? '';
    const along = this.along();
    return { id, all: along.includes(id) ? along : [id] };
  });
  protected readonly atHand = computed(() => {
    const lesson = this.store.lesson();
    const { id } = this.chosen();
    const row = this.rows().find((one) => one.id === id);
    const beat = lesson?.beats.find((one) => one.id === id);
    return lesson && row && beat ? { lesson, row, beat } : null;
  });
  /** What the beat at hand points at, where it is of the kind that does. */
  protected readonly marksAtHand = computed(() => {
    const beat = this.atHand()?.beat;
    return beat?.kind === 'mark' ? beat.marks : null;
  });
  protected readonly found = computed(() => {
    const sought = this.sought();
    return sought ? this.rows().filter((row) => hasText(row, sought)).length : 0;
  });

  protected readonly shortcuts: readonly Shortcut[] = [
    { left: ['Ctrl+Z'], right: ['U'], text: SCRIPT_WORDS().keys.undo, repeats: true, act: () => this.undo() },
    { left: ['Ctrl+Shift+Z'], right: ['Shift+U', 'Ctrl+Y'], text: SCRIPT_WORDS().keys.redo, repeats: true, act: () => this.store.redo() },
    { left: ['Space'], right: ['P'], text: SCRIPT_WORDS().keys.play, act: () => this.player()?.togglePlay() },
    {
      left: ['Q', 'E'],
      right: ['K', 'J'],
      text: SCRIPT_WORDS().keys.beats,
      repeats: true,
      act: (place) => this.stepBy(place === 0 ? -1 : 1),
    },
    { left: ['R'], right: ['Enter'], text: SCRIPT_WORDS().keys.keep, act: () => this.player()?.keep() },
    { left: ['Escape'], right: ['.'], text: SCRIPT_WORDS().keys.putBack, act: () => this.player()?.putBack() },
  ];

  protected readonly help = computed(() => ({
    place: this.words().script,
    sentence: this.words().help.sentence,
    shortcuts: this.shortcuts,
    keys: this.words().keys.column,
  }));

  constructor() {
    useShortcuts(this.shortcuts);
    effect(() => {
      const id = this.id();
      untracked(() => void this.store.load(id));
    });
    effect((onCleanup) => {
      const itemId = this.question();
      if (!this.isThere() || itemId === undefined) return;
      let opened: Promise<MatDialogRef<unknown> | null> = Promise.resolve(null);
      untracked(() => {
        if (!this.store.lesson()!.items.some(({ id }) => id === itemId)) return this.seeQuestion(null);
        opened = this.over.composer({ itemId, apply: (edit) => this.apply(edit) }).then((dialog) => {
          dialog.afterClosed().subscribe(() => this.seeQuestion(null));
          return dialog;
        });
      });
      onCleanup(() => void opened.then((dialog) => dialog?.close()));
    });
    effect((onCleanup) => {
      const prepared = this.settled();
      const timer = setTimeout(() => this.offers.set(prepared ? timingOf(prepared).offers : []), OFFERS_AFTER_MS);
      onCleanup(() => clearTimeout(timer));
    });
  }

  protected compose(itemId: string): void {
    this.store.endTyping();
    this.seeQuestion(itemId);
  }

  private seeQuestion(itemId: string | null): void {
    void this.router.navigate([], { queryParams: { question: itemId }, queryParamsHandling: 'merge' });
  }

  protected goTo(id: string): void {
    this.choose({ id, all: [id] });
    setTimeout(() => this.column()?.show(id));
  }

  protected openPackage(): void {
    void this.over.package({ lessonId: this.id(), add: this.addSet });
  }

  /** Questions of a designed set after the beat at hand, each with its time to think and its answer. */
  protected readonly addSet = (items: readonly Item[]): void => {
    const lesson = this.store.lesson();
    if (!lesson) return;
    const { id } = this.chosen();
    const beforeId = this.nextOf(id);
    const rung = rungOfLesson(lesson);
    this.addAfter(id, (one) => items.reduce((now, item) => addQuestion(item, thinkSecondsFor(item.kind, rung), beforeId)(now), one));
  };

  protected choose(chosen: Chosen): void {
    this.store.endTyping(); // the rows stand at their times again
    this.show(chosen);
  }

  private show({ id, all }: Chosen): void {
    const row = this.rows().find((one) => one.id === id);
    const last = row?.steps.at(-1);
    if (!last) return;
    this.along.set(all.length > 1 ? all : []);
    this.settle(last);
  }

  /** A beat or one step of it is looked at as it has settled. */
  private settle({ startMs, durationMs }: Step): void {
    this.player()?.stop();
    this.atMs.set(startMs + durationMs - 1);
  }

  protected lookAtStep(name: string): void {
    const step = this.atHand()?.row.steps.find(({ ref }) => ref.step === name);
    if (step) this.settle(step);
  }

  protected lookAtPlace(place: number): void {
    const step = this.atHand()?.row.steps[place];
    if (step) this.settle(step);
  }

  /** Everything that was typed is with the server. */
  protected readonly save = (): Promise<boolean> => {
    this.store.endTyping();
    return this.store.save();
  };

  protected undo(): void {
    this.store.endTyping();
    this.store.undo();
  }

  /** Words change as they are typed, and the beats after them move. */
  protected type(edit: ScriptEdit): void {
    const { id, all } = this.chosen();
    this.store.type(edit);
    this.stayAt(id, all);
  }

  protected apply(edit: ScriptEdit): void {
    const { id } = this.chosen();
    this.store.edit(edit);
    this.stayAt(id);
  }

  protected point(marks: readonly DialMark[]): void {
    this.apply(changeBeat(this.chosen().id, { marks }));
  }

  protected keep({ apply, afterId }: { readonly apply: ScriptEdit; readonly afterId: string }): void {
    this.addAfter(afterId, apply);
  }

  protected move({ ids, beforeId }: { readonly ids: readonly string[]; readonly beforeId: string | null }): void {
    const { id } = this.chosen();
    this.store.edit(moveBeats(ids, beforeId));
    this.stayAt(id, ids);
    queueMicrotask(() => setTimeout(() => this.column()?.goTo(id)));
  }

  protected remove(ids: readonly string[]): void {
    const rows = this.rows();
    const last = rows.findLastIndex(({ id }) => ids.includes(id));
    const next = rows[last + 1]?.id ?? rows[Math.max(0, rows.findIndex(({ id }) => ids.includes(id)) - 1)]?.id ?? '';
    this.store.edit(removeBeats(ids));
    this.stayAt(next);
    setTimeout(() => this.column()?.goTo(this.chosen().id));
  }

  protected double(id: string): void {
    this.addAfter(id, duplicateBeat(id));
  }

  protected insert(what: string): void {
    const lesson = this.store.lesson();
    if (!lesson) return;
    const { id } = this.chosen();
    this.addAfter(id, insertOf(what, null, lesson, this.nextOf(id)));
    // What is added is about some time: the one that is wanted can be typed at once.
    setTimeout(() => this.settings()?.goToTime());
  }

  /** Hits show as one types; Enter goes to the next. */
  protected look(typed: string): void {
    this.sought.set(typed.trim().toLowerCase());
  }

  protected seek(event: Event, field: HTMLInputElement): void {
    event.preventDefault();
    this.look(field.value);
    const sought = this.sought();
    if (!sought) return;
    this.goToNext((row) => hasText(row, sought));
  }

  protected seekFinding(): void {
    this.goToNext(({ findings }) => findings.length > 0);
  }

  /** Goes to the next beat of some sort, from the end on to the beginning. */
  private goToNext(is: (row: BeatRow) => boolean): void {
    const rows = this.rows();
    const place = rows.findIndex(({ id }) => id === this.chosen().id);
    const next = [...rows.slice(place + 1), ...rows.slice(0, place + 1)].find(is);
    if (!next) return;
    this.goTo(next.id);
  }

  protected copy(event: ClipboardEvent, takesAway: boolean): void {
    const lesson = this.store.lesson();
    if (!lesson || isTyping(event)) return;
    event.preventDefault();
    const { all } = this.chosen();
    event.clipboardData?.setData('text/plain', JSON.stringify(clipOf(lesson, all)));
    if (takesAway) this.remove(all);
  }

  protected async paste(event: ClipboardEvent): Promise<void> {
    if (isTyping(event)) return;
    event.preventDefault();
    const text = event.clipboardData?.getData('text/plain') ?? '';
    const { id } = this.chosen();
    try {
      const clip = await ask<Clip>('POST', '/api/clips', { clip: asObject(text) });
      this.addAfter(id, pasteClip(clip as Parameters<typeof pasteClip>[0], this.nextOf(id)));
    } catch (error) {
      this.store.tell(sentenceOf(error));
    }
  }

  /** Gives the lesson out as it is here, also what is not saved yet. */
  protected saveFile(): void {
    const lesson = this.store.lesson();
    if (!lesson) return;
    const text = JSON.stringify(lesson, null, 2);
    download(new Blob([`${text}\n`], { type: 'application/json' }), fileName(lesson.title, 'lesson', 'lesson.json'));
  }

  /** The beat before which something new goes after one; a question, its time to think and its answer stay together. */
  private nextOf(id: string): string | null {
    const beats = this.store.lesson()?.beats ?? [];
    const itemOf = (beat: Beat | undefined) => (beat && 'itemId' in beat ? beat.itemId : null);
    let place = beats.findIndex((beat) => beat.id === id);
    const itemId = itemOf(beats[place]);
    while (itemId !== null && itemOf(beats[place + 1]) === itemId) place += 1;
    return beats[place + 1]?.id ?? null;
  }

  /** Makes a change that adds beats after one, and goes to the first of them. */
  private addAfter(id: string, edit: ScriptEdit): void {
    const before = new Set(this.rows().map((row) => row.id));
    this.store.edit(edit);
    const added = this.rows().find((row) => !before.has(row.id));
    this.stayAt(added?.id ?? id);
    setTimeout(() => this.column()?.goTo(this.chosen().id));
  }

  private stepBy(by: 1 | -1): void {
    const rows = this.rows();
    const next = rows[rows.findIndex(({ id }) => id === this.chosen().id) + by];
    if (next) this.choose({ id: next.id, all: [next.id] });
  }

  /** Beats move in time when something before them changes: the one at hand is looked at all the same. */
  private stayAt(id: string, all: readonly string[] = [id]): void {
    const rows = this.rows();
    this.show({ id: rows.some((row) => row.id === id) ? id : (rows.at(-1)?.id ?? ''), all });
  }
}
