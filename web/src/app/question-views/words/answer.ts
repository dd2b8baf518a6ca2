import { ChangeDetectionStrategy, Component, computed, type ElementRef, input, output, signal, viewChildren } from '@angular/core';
import type { Response } from '@zeitpunkt/core/question-kinds/registry';
import { LONGEST_LINE } from '@zeitpunkt/core/question-kinds/shapes/words';
import { type AnswerView, givenTo, responseTo, type ViewOfShape } from '../answer-view';
import { anewWith } from '../../shared/anew-with';
import { Sign } from '../../ui/sign';
import { ANSWER_WORDS } from '../words';

/** A time in words: pressed together from tiles, or typed. */
@Component({
  selector: 'zp-words-answer',
  imports: [Sign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (line of lines(); track $index) {
      <input
        #line
        type="text"
        autocomplete="off"
        autocapitalize="off"
        spellcheck="false"
        [attr.aria-label]="lines().length > 1 ? words().line($index + 1) : words().inWords"
        [attr.maxlength]="longest"
        [class.here]="here() === $index"
        [value]="line"
        (keydown.enter)="send()"
        (focus)="here.set($index)"
        (input)="put($index, $any($event.target).value)"
      />
    }
    <div class="tiles" role="group" [attr.aria-label]="words().tiles">
      @for (tile of view().tiles; track tile) {
        <button type="button" (click)="press(tile)">{{ tile }}</button>
      }
      <button type="button" class="rub" (click)="rubOut()"><zp-sign name="rub" />{{ words().rubOut }}</button>
    </div>
  `,
  styleUrl: './answer.scss',
})
export class WordsAnswerView implements AnswerView<ViewOfShape<'words'>> {
  protected readonly words = ANSWER_WORDS;
  readonly view = input.required<ViewOfShape<'words'>>();
  readonly given = input.required<Response | null>();
  readonly drafted = output<Response>();
  readonly answered = output<Response>();
  protected readonly longest = LONGEST_LINE;
  protected readonly here = signal(0);
  private readonly fields = viewChildren<ElementRef<HTMLInputElement>>('line');
  protected readonly lines = anewWith<readonly string[]>(
    () => this.view().itemId,
    () => givenTo<{ lines: readonly string[] }>(this.view(), this.given())?.lines ?? Array.from({ length: this.view().lines }, () => ''),
  );
  readonly ready = computed(() => this.lines().some((line) => line.trim() !== ''));

  protected send(): void {
    if (this.ready()) this.answered.emit(this.response());
  }

  protected put(place: number, text: string): void {
    this.lines.update((lines) => lines.map((line, index) => (index === place ? text.slice(0, LONGEST_LINE) : line)));
    this.drafted.emit(this.response());
  }

  /** A word goes to the end of the line that was touched last. */
  protected press(tile: string): void {
    const line = this.lines()[this.here()] ?? '';
    this.put(this.here(), `${line.trimEnd()} ${tile}`.trim());
    this.show();
  }

  protected rubOut(): void {
    const line = this.lines()[this.here()] ?? '';
    this.put(this.here(), line.trim().split(/\s+/).slice(0, -1).join(' '));
    this.show();
  }

  response(): Response {
    return responseTo(this.view(), { lines: this.lines() });
  }

  /** A field that was typed into keeps its text until it is told another one. */
  private show(): void {
    const field = this.fields()[this.here()]?.nativeElement;
    if (field) field.value = this.lines()[this.here()]!;
  }
}
