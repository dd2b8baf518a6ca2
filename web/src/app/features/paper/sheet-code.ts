import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router } from '@angular/router';
import { PaperStore } from './paper-store';

/** From a sheet in the hand to where its answers are typed in, by the code in its corner. */
@Component({
  selector: 'zp-sheet-code',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form aria-label="Answers that came back" (submit)="$event.preventDefault(); open(code.value)">
      <label for="sheet-code">Sheets came back? The code on them</label>
      <input #code id="sheet-code" class="field" maxlength="4" autocomplete="off" autocapitalize="characters" spellcheck="false" />
      <button mat-stroked-button type="submit">Type in the answers</button>
    </form>
  `,
  styles: `
    @use '../../../styles/options' as *;

    form {
      @include wrapping-row;
    }
    input {
      width: 5.5rem;
      text-transform: uppercase;
    }
  `,
})
export class SheetCode {
  private readonly store = inject(PaperStore);
  private readonly router = inject(Router);

  protected async open(typed: string): Promise<void> {
    const code = typed.trim();
    if (code === '') return;
    const sessionId = await this.store.answersByCode(code);
    if (sessionId) await this.router.navigate(['/review', sessionId, 'enter']);
  }
}
