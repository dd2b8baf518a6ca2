import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { checkLesson, type Lesson, type NamedFinding } from '@zeitpunkt/core';

/** What the checker finds in a lesson, where, why it matters, and the change that mends it. */
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
            <strong>{{ one.severity === 'error' ? 'To mend before teaching' : 'Worth a look' }}{{ placeOf(one) }}:</strong> {{ one.what }}
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
  readonly lesson = input.required<Lesson>();
  readonly mend = output<NamedFinding>();
  protected readonly findings = computed(() => checkLesson(this.lesson()));
  protected readonly heading = computed(() => {
    const count = this.findings().length;
    return count === 0 ? 'Checked: nothing to mend' : `Checked: ${count} ${count === 1 ? 'thing' : 'things'} to look at`;
  });

  protected placeOf({ at }: NamedFinding): string {
    const index = this.lesson().beats.findIndex(({ id }) => id === at?.beatId);
    return index < 0 ? '' : `, beat ${index + 1}`;
  }
}
