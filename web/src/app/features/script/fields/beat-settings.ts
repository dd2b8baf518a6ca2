import { DecimalPipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, output } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import type { Beat } from '@zeitpunkt/core/beats/registry';
import { generatedSteps } from '@zeitpunkt/core/beats/worked-example';
import type { NamedFinding } from '@zeitpunkt/core/checker-rules/check';
import { changeBeat, changeItem, editStep, writeText, type ScriptEdit } from '@zeitpunkt/core/edit/edit';
import { nameInLesson } from '@zeitpunkt/core/lesson/beat-words';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { narrationMs } from '@zeitpunkt/core/lesson/settings';
import { kindOf } from '@zeitpunkt/core/question-kinds/registry';
import { displayText } from '@zeitpunkt/core/time/display';
import { toSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { readTimeEntry } from '@zeitpunkt/core/words/time-entry';
import { Icon } from '../../../ui/icons/icon';
import { isAboutOneTime } from '../column/new-beats';
import { anewWith } from '../../../shared/anew-with';
import { locale } from '../../../shared/words/language';
import { SCRIPT_WORDS } from '../words';
import type { BeatField } from './beat-field';
import { BEAT_FIELDS } from './beat-fields';
import { SettingFields } from './setting-fields';

/** The longest words that a lesson file takes. */
const LONGEST_TEXT = 2000;

/** The settings of the beat at hand: its words with how long they take to say, what its kind has, a note, and what was found. */
@Component({
  selector: 'zp-beat-settings',
  imports: [DecimalPipe, Icon, MatButton, MatFormField, MatIconButton, MatInput, MatLabel, SettingFields],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './beat-settings.html',
  styleUrl: './beat-settings.scss',
})
export class BeatSettings {
  readonly lesson = input.required<Lesson>();
  readonly beat = input.required<Beat>();
  readonly number = input.required<number>();
  readonly durationMs = input.required<number>();
  readonly findings = input.required<readonly NamedFinding[]>();
  /** Which step of the beat is seen, from 0, and how many it has. */
  readonly stepAt = input.required<number>();
  readonly stepsOf = input.required<number>();
  readonly goToStep = output<number>();
  readonly edit = output<ScriptEdit>();
  /** Words as they are typed: many moves of one change, until it is done. */
  readonly typed = output<ScriptEdit>();
  readonly typingDone = output();
  /** A step of the beat that is to be seen while its words are written. */
  readonly lookAt = output<string>();
  readonly mend = output<NamedFinding>();
  /** The question of the beat is to be worked on, by its id. */
  readonly compose = output<string>();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly all = SCRIPT_WORDS;
  protected readonly words = computed(() => this.all().settings);
  protected readonly places = computed(() => Array.from({ length: this.stepsOf() }, (_, place) => place));
  /** What cannot be kept of what was written here, by field. */
  protected readonly problems = anewWith<Readonly<Record<string, string>>>(
    () => this.beat().id,
    () => ({}),
  );
  protected readonly name = computed(() => nameInLesson(this.beat(), this.lesson()));
  protected readonly text = computed(() => {
    const beat = this.beat();
    return 'text' in beat ? beat.text : null;
  });
  /** How long the words take to say, in whole seconds, as one types. */
  protected readonly spokenSec = computed(() => Math.round(narrationMs(this.text() ?? '', this.lesson().settings) / 1000));
  protected readonly fields = computed(() => {
    const beat = this.beat();
    const { settings } = this.lesson();
    return BEAT_FIELDS()[beat.kind].map((field) => ({ field, value: field.read(beat as never, settings) }));
  });
  /** The question that the beat asks, with the time it is about. */
  protected readonly item = computed(() => {
    const beat = this.beat();
    const item = beat.kind === 'ask' ? this.lesson().items.find(({ id }) => id === beat.itemId) : undefined;
    if (!item) return null;
    const kind = kindOf(item);
    return {
      item,
      name: kind.name,
      time: kind
        .timesOf(item)
        .map((at) => displayText(at, this.lesson().settings.separator))
        .join(', '),
      canMove: isAboutOneTime(item),
    };
  });
  protected readonly steps = computed(() => {
    const beat = this.beat();
    if (beat.kind !== 'worked-example') return [];
    return generatedSteps(beat, this.lesson().settings).map(({ step, beat: made }) => {
      const edit = beat.edits?.find((one) => one.step === step);
      return { step, text: edit?.text ?? made.text, made: made.text, isEdited: edit !== undefined };
    });
  });

  /** Gives the keys to the time of the beat, so that another one can be typed; does nothing where it has none. */
  goToTime(): void {
    const field = this.host.querySelector<HTMLInputElement>('#field-timeSec, #field-fromSec, #item-time:not([readonly])');
    field?.focus();
    field?.select();
  }

  protected type(text: string): void {
    if (this.fits('words', text)) this.typed.emit(writeText(this.beat().id, text));
  }

  protected set(field: BeatField, text: string): void {
    const typed = field.write(text, this.beat() as never, this.lesson().settings);
    this.problems.update(({ [field.key]: _, ...others }) => ('problem' in typed ? { ...others, [field.key]: typed.problem } : others));
    if ('change' in typed) this.edit.emit(changeBeat(this.beat().id, typed.change));
  }

  protected setItemTime(text: string): void {
    const asked = this.item();
    if (!asked || !isAboutOneTime(asked.item)) return;
    const typed = readTimeEntry(text, this.lesson().settings.pack, toSecondOfDay(asked.item.timeSec));
    this.problems.update(({ item: _, ...others }) => ('problem' in typed ? { ...others, item: typed.problem } : others));
    if ('at' in typed) this.edit.emit(changeItem(asked.item.id, { timeSec: typed.at }));
  }

  protected writeStep(step: string, text: string): void {
    if (this.fits(`step ${step}`, text)) this.edit.emit(editStep(this.beat().id, step, text.trim()));
  }

  /** Whether words are as short as a lesson takes them; longer ones are not kept, and that is said. */
  private fits(field: string, text: string): boolean {
    const isLong = text.length > LONGEST_TEXT;
    this.problems.update(({ [field]: _, ...others }) => (isLong ? { ...others, [field]: this.tooLong(text) } : others));
    return !isLong;
  }

  private tooLong(text: string): string {
    const [has, fit] = [text.length, LONGEST_TEXT].map((count) => count.toLocaleString(locale()));
    return this.words().tooLong(this.number(), has!, fit!);
  }

  protected writeNote(text: string): void {
    this.edit.emit(changeBeat(this.beat().id, { note: text.trim().slice(0, 200) || undefined }));
  }

  protected writePlanned(text: string): void {
    const seconds = Math.round(Number(text));
    this.edit.emit(changeBeat(this.beat().id, { plannedSec: text === '' || !(seconds >= 1) ? undefined : Math.min(3600, seconds) }));
  }
}
