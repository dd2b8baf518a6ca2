import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { NamedFinding } from '@zeitpunkt/core';

/** What the checker finds about a lesson as a whole, why it matters, and the change that mends it. */
@Component({
  selector: 'zp-findings',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul aria-label="Found about the whole lesson">
      @for (one of findings(); track $index) {
        <li [class]="one.severity">
          <p>
            <strong>{{ one.severity === 'error' ? 'To mend before teaching' : 'Worth a look' }}:</strong> {{ one.what }}
          </p>
          <p class="facts">{{ one.why }}</p>
          <button mat-stroked-button type="button" (click)="mend.emit(one)">{{ one.mend.label }}</button>
        </li>
      }
    </ul>
  `,
  styles: `
    ul {
      display: grid;
      gap: 0.6rem;
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      padding-left: 0.75rem;
      border-left: 5px solid var(--accent);
    }
    .error {
      border-left-color: var(--wrong);
    }
  `,
})
export class Findings {
  readonly findings = input.required<readonly NamedFinding[]>();
  readonly mend = output<NamedFinding>();
}

/** What the checker found in a few words. @param ofTheLesson findings about the whole lesson; @param ofBeats findings at beats */
export function checkedWords(ofTheLesson: number, ofBeats: number): string {
  const count = ofTheLesson + ofBeats;
  if (count === 0) return 'Checked: nothing to mend';
  const which = ofBeats < count ? `${ofBeats} of them at` : count === 1 ? 'at' : 'all at';
  const where = ofBeats > 0 ? `, ${which} ${ofBeats === 1 ? 'a beat' : 'beats'} with a “!”` : '';
  return `Checked: ${count} ${count === 1 ? 'thing' : 'things'} to look at${where}`;
}
