import { ChangeDetectionStrategy, Component } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { FRAME_WORDS } from './words';

/** An address that names no place. */
@Component({
  selector: 'zp-nothing-here',
  imports: [MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main>
      <h1>{{ words().nothing.heading }}</h1>
      <p>{{ words().nothing.text }}</p>
      <a mat-flat-button class="next" routerLink="/today">{{ words().nothing.toToday }}</a>
      <a mat-stroked-button href="/desk">{{ words().nothing.toDesk }}</a>
    </main>
  `,
  styles: `
    main {
      display: grid;
      gap: 1rem;
      justify-content: center;
      padding: 4rem 1.5rem;
    }
  `,
})
export class NothingHere {
  protected readonly words = FRAME_WORDS;
}
