import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { NamedFinding } from '@zeitpunkt/core';

/** What the checker finds about a lesson as a whole, why it matters, and the change that mends it. */
@Component({
  selector: 'zp-findings',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="top">
      <h2 id="checked">{{ heading() }}</h2>
      @if (ofBeats() > 0) {
        <button mat-button type="button" (click)="seekNext.emit()">Go to the next “!”</button>
      }
    </div>
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
    .top {
      display: flex;
      flex-wrap: wrap;
      gap: 0 1rem;
      align-items: center;
    }
    h2 {
      font-size: 1.05rem;
    }
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
  /** The next beat at which something stands is to be looked at. */
  readonly seekNext = output();
  protected readonly heading = computed(() => {
    const [here, beats] = [this.findings().length, this.ofBeats()];
    const count = here + beats;
    if (count === 0) return 'Checked: nothing to mend';
    const which = beats < count ? `${beats} of them at` : count === 1 ? 'at' : 'all at';
    const where = beats > 0 ? `, ${which} ${beats === 1 ? 'a beat' : 'beats'} with a “!”` : '';
    return `Checked: ${count} ${count === 1 ? 'thing' : 'things'} to look at${where}`;
  });
}
