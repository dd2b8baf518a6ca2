import { ChangeDetectionStrategy, Component } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';

/** An address that names no place. */
@Component({
  selector: 'zp-nothing-here',
  imports: [MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main>
      <h1>There is nothing at this address.</h1>
      <p>A letter may be missing, or what stood here is gone.</p>
      <a mat-flat-button class="next" routerLink="/ladder">To the lessons</a>
      <a mat-stroked-button href="/desk">To a pupil’s desk</a>
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
export class NothingHere {}
