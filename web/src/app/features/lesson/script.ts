import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  addExample,
  addSay,
  nameOfBeat,
  displayText,
  duplicateBeat,
  kindOf,
  moveBeat,
  narrationMs,
  prepareLesson,
  readTimeEntry,
  removeBeat,
  secondOfDay,
  writeText,
  type Beat,
  type Lesson,
  type ScriptEdit,
} from '@zeitpunkt/core';

/** The script as a column of beats: its words written in place, beats moved, doubled, taken out, and examples put in by typing a time. */
@Component({
  selector: 'zp-script',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './script.html',
  styleUrl: './script.scss',
})
export class Script {
  readonly lesson = input.required<Lesson>();
  readonly edit = output<ScriptEdit>();
  /** The beat before which new ones are put in; the end of the script where none is chosen. */
  protected readonly before = signal<string | null>(null);
  protected readonly entryProblem = signal<string | null>(null);
  private readonly written = signal<{ readonly id: string; readonly text: string } | null>(null);

  protected readonly beats = computed(() => {
    const lesson = this.lesson();
    const { steps } = prepareLesson(lesson);
    return lesson.beats.map((beat, index) => {
      const own = steps.filter(({ beatIndex }) => beatIndex === index);
      return {
        id: beat.id,
        number: index + 1,
        name: nameOf(beat, lesson),
        seconds: Math.round(own.reduce((sum, step) => sum + step.durationMs, 0) / 1000),
        text: 'text' in beat ? beat.text : null,
      };
    });
  });
  protected readonly plannedMin = computed(() => Math.round(this.beats().reduce((sum, { seconds }) => sum + seconds, 0) / 60));
  protected readonly beforeWords = computed(() => {
    const chosen = this.beats().find(({ id }) => id === this.before());
    return chosen ? `before beat ${chosen.number}` : 'at the end';
  });

  /** How long what is being written takes to say, in whole seconds, as one types; null where nothing is. */
  protected spokenSec(id: string): number | null {
    const written = this.written();
    return written?.id === id ? Math.round(narrationMs(written.text, this.lesson().settings) / 1000) : null;
  }

  protected typed(id: string, text: string): void {
    this.written.set({ id, text });
  }

  protected write(id: string, text: string): void {
    this.written.set(null);
    this.edit.emit(writeText(id, text.trim()));
  }

  protected move(id: string, by: 1 | -1): void {
    this.edit.emit(moveBeat(id, by));
  }

  protected duplicate(id: string): void {
    this.edit.emit(duplicateBeat(id));
  }

  protected remove(id: string): void {
    if (this.before() === id) this.before.set(null);
    this.edit.emit(removeBeat(id));
  }

  protected addExample(event: Event, field: HTMLInputElement): void {
    event.preventDefault();
    const entry = readTimeEntry(field.value, this.lesson().settings.pack, secondOfDay(8, 0));
    this.entryProblem.set('at' in entry ? null : entry.problem);
    if (!('at' in entry)) return;
    field.value = '';
    this.edit.emit(addExample(entry.at, this.before()));
  }

  protected addWords(): void {
    this.edit.emit(addSay('', this.before()));
  }
}

/** What a beat is, and which time it is about. */
function nameOf(beat: Beat, { items, settings }: Lesson): string {
  const name = nameOfBeat(beat, settings);
  const item = 'itemId' in beat ? items.find(({ id }) => id === beat.itemId) : undefined;
  if (!item) return name;
  const kind = kindOf(item);
  return `${name}: ${kind.name.toLowerCase()}, ${kind
    .timesOf(item)
    .map((at) => displayText(at, settings.separator))
    .join(', ')}`;
}
