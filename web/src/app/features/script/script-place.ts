import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked, viewChild } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import type { MatDialogRef } from '@angular/material/dialog';
import { MatFormField, MatPrefix } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { MatTooltip } from '@angular/material/tooltip';
import { Router, RouterLink } from '@angular/router';
import { changeBeat, clipOf, duplicateBeat, moveBeats, pasteClip, removeBeats, type ScriptEdit } from '@zeitpunkt/core/edit/edit';
import type { Step } from '@zeitpunkt/core/lesson/prepare';
import type { Item } from '@zeitpunkt/core/question-kinds/registry';
import type { DialMark } from '@zeitpunkt/core/scene/dial-state';
import { sentenceOf } from '../../shared/api';
import { downloadLesson } from '../../shared/download';
import { useShortcuts } from '../../shared/shortcuts';
import { Icon } from '../../ui/icons/icon';
import { Failing, Loading } from '../../ui/parts/states';
import { Place } from '../../ui/parts/place';
import { SavingWord } from '../../ui/saving-word';
import { PutOnDay } from '../../shared/plan/put-on-day';
import { BeatColumn, type Chosen } from './column/beat-column';
import { clipIn, isTyping } from './column/clipboard';
import type { BeatRow } from './column/beat-rows';
import { BeatSettings } from './fields/beat-settings';
import { Findings } from './column/findings';
import { LessonStore } from './lesson-store';
import { insertOf, questionsBefore } from './column/new-beats';
import { OpenRoom } from './open-room';
import { OverScript } from './over-script';
import { scriptKeys } from './script-keys';
import { ScriptSeen } from './script-seen';
import { LessonRim } from './rim/lesson-rim';
import { StagePlayer } from './stage/stage-player';
import { SCRIPT_WORDS } from './words';

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
  providers: [LessonStore, OverScript, ScriptSeen],
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
  protected readonly seen = inject(ScriptSeen);
  private readonly router = inject(Router);
  protected readonly words = SCRIPT_WORDS;
  protected readonly column = viewChild(BeatColumn);
  private readonly player = viewChild(StagePlayer);
  private readonly settings = viewChild(BeatSettings);

  private readonly isThere = computed(() => this.store.lesson() !== null);

  protected readonly shortcuts = scriptKeys({
    undo: () => this.undo(),
    redo: () => this.store.redo(),
    play: () => this.player()?.togglePlay(),
    stepBy: (by) => this.stepBy(by),
    keep: () => this.player()?.keep(),
    putBack: () => this.player()?.putBack(),
  });

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
    const { id } = this.seen.chosen();
    this.addAfter(id, questionsBefore(this.seen.nextOf(id), items, lesson));
  };

  protected choose(chosen: Chosen): void {
    this.store.endTyping(); // the rows stand at their times again
    this.player()?.stop();
    this.seen.show(chosen);
  }

  private lookAt(step: Step | undefined): void {
    if (!step) return;
    this.player()?.stop();
    this.seen.settle(step);
  }

  protected lookAtStep(name: string): void {
    this.lookAt(this.seen.atHand()?.row.steps.find(({ ref }) => ref.step === name));
  }

  protected lookAtPlace(place: number): void {
    this.lookAt(this.seen.atHand()?.row.steps[place]);
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
    const { id, all } = this.seen.chosen();
    this.store.type(edit);
    this.stayAt(id, all);
  }

  protected apply(edit: ScriptEdit): void {
    const { id } = this.seen.chosen();
    this.store.edit(edit);
    this.stayAt(id);
  }

  protected point(marks: readonly DialMark[]): void {
    this.apply(changeBeat(this.seen.chosen().id, { marks }));
  }

  protected keep({ apply, afterId }: { readonly apply: ScriptEdit; readonly afterId: string }): void {
    this.addAfter(afterId, apply);
  }

  protected move({ ids, beforeId }: { readonly ids: readonly string[]; readonly beforeId: string | null }): void {
    const { id } = this.seen.chosen();
    this.store.edit(moveBeats(ids, beforeId));
    this.stayAt(id, ids);
    queueMicrotask(() => setTimeout(() => this.column()?.goTo(id)));
  }

  protected remove(ids: readonly string[]): void {
    const next = this.seen.without(ids);
    this.store.edit(removeBeats(ids));
    this.stayAt(next);
    setTimeout(() => this.column()?.goTo(this.seen.chosen().id));
  }

  protected double(id: string): void {
    this.addAfter(id, duplicateBeat(id));
  }

  protected insert(what: string): void {
    const lesson = this.store.lesson();
    if (!lesson) return;
    const { id } = this.seen.chosen();
    this.addAfter(id, insertOf(what, null, lesson, this.seen.nextOf(id)));
    // What is added is about some time: the one that is wanted can be typed at once.
    setTimeout(() => this.settings()?.goToTime());
  }

  /** Hits show as one types; Enter goes to the next. */
  protected look(typed: string): void {
    this.seen.sought.set(typed.trim().toLowerCase());
  }

  protected seek(event: Event, field: HTMLInputElement): void {
    event.preventDefault();
    this.look(field.value);
    this.goToRow(this.seen.nextHit());
  }

  protected seekFinding(): void {
    this.goToRow(this.seen.nextWhere(({ findings }) => findings.length > 0));
  }

  private goToRow(row: BeatRow | undefined): void {
    if (row) this.goTo(row.id);
  }

  protected copy(event: ClipboardEvent, takesAway: boolean): void {
    const lesson = this.store.lesson();
    if (!lesson || isTyping(event)) return;
    event.preventDefault();
    const { all } = this.seen.chosen();
    event.clipboardData?.setData('text/plain', JSON.stringify(clipOf(lesson, all)));
    if (takesAway) this.remove(all);
  }

  protected async paste(event: ClipboardEvent): Promise<void> {
    if (isTyping(event)) return;
    event.preventDefault();
    const { id } = this.seen.chosen();
    try {
      this.addAfter(id, pasteClip(await clipIn(event), this.seen.nextOf(id)));
    } catch (error) {
      this.store.tell(sentenceOf(error));
    }
  }

  /** Gives the lesson out as it is here, also what is not saved yet. */
  protected saveFile(): void {
    const lesson = this.store.lesson();
    if (lesson) downloadLesson(lesson);
  }

  /** Makes a change that adds beats after one, and goes to the first of them. */
  private addAfter(id: string, edit: ScriptEdit): void {
    const before = new Set(this.seen.rows().map((row) => row.id));
    this.store.edit(edit);
    const added = this.seen.rows().find((row) => !before.has(row.id));
    this.stayAt(added?.id ?? id);
    setTimeout(() => this.column()?.goTo(this.seen.chosen().id));
  }

  private stepBy(by: 1 | -1): void {
    const next = this.seen.beside(by);
    if (next) this.choose({ id: next.id, all: [next.id] });
  }

  /** The beat at hand is looked at all the same when its place in time has changed. */
  private stayAt(id: string, all?: readonly string[]): void {
    this.player()?.stop();
    this.seen.stayAt(id, all);
  }
}
