import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { NamedFinding } from '@zeitpunkt/core';

/** What the checker finds about a lesson as a whole, why it matters, and the change that mends it. */
@Component({
  selector: 'zp-findings',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 id="checked">{{ heading() }}</h2>
    <ul aria-labelledby="checked">
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
  /** Those about the whole lesson. */
  readonly findings = input.required<readonly NamedFinding[]>();
  /** How many more stand at their beats. */
  readonly ofBeats = input.required<number>();
  readonly mend = output<NamedFinding>();
  protected readonly heading = computed(() => {
    const [here, beats] = [this.findings().length, this.ofBeats()];
    const count = here + beats;
    if (count === 0) return 'Checked: nothing to mend';
    const where = beats > 0 ? `, ${beats === count ? (count === 1 ? 'it is' : 'all') : `${beats} of them`} at beats with a “!”` : '';
    return `Checked: ${count} ${count === 1 ? 'thing' : 'things'} to look at${where}`;
  });
}
