import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink, RouterLinkActive } from '@angular/router';
import { Store } from '@ngrx/store';
import { authActions, authFeature } from '../../state/auth';

/** The bar above the teacher's places. */
@Component({
  selector: 'zp-teacher-frame',
  imports: [MatButton, RouterLink, RouterLinkActive],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <header>
      <a class="home" routerLink="/ladder"><img src="dial.svg" alt="" width="30" height="30" /> Zeitpunkt</a>
      <ng-content select="[bar]" />
      @if (teacher()) {
        <nav aria-label="Places">
          <a routerLink="/ladder" routerLinkActive="here" ariaCurrentWhenActive="page">Ladder</a>
          <a routerLink="/dials" routerLinkActive="here" ariaCurrentWhenActive="page">Dials</a>
          <a routerLink="/paper" routerLinkActive="here" ariaCurrentWhenActive="page">Paper</a>
        </nav>
      }
      @if (teacher(); as teacher) {
        <a class="who" routerLink="/school" routerLinkActive="here" title="Who teaches here">{{ teacher.name }}</a>
        <button mat-button type="button" (click)="signOut()">Sign out</button>
      }
    </header>
    <main [class.wide]="wide()"><ng-content /></main>
  `,
  styles: `
    :host {
      display: block;
      min-height: 100%;
    }
    header {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 0.25rem 1rem;
      padding: 0.5rem 1.5rem;
      border-bottom: 2px solid var(--ink);
      background: var(--sheet);
    }
    .home {
      display: flex;
      align-items: center;
      gap: 0.5rem;
      font-weight: 700;
      font-size: 1.15rem;
      text-decoration: none;
    }
    nav {
      display: flex;
      gap: 1.25rem;
      margin-left: 1rem;
    }
    nav a {
      padding: 0.2rem 0;
      text-decoration: none;
    }
    nav .here {
      border-bottom: 3px solid var(--accent);
    }
    .who {
      margin-left: auto;
      color: var(--soft);
    }
    .wide.wide {
      max-width: none;
    }
    main {
      max-width: 1240px;
      margin: 0 auto;
      padding: 1.5rem;
    }
    @media (max-width: 600px) {
      header,
      main {
        padding-inline: 0.75rem;
      }
      nav {
        margin-left: 0;
      }
    }
    @media print {
      header {
        display: none;
      }
    }
  `,
})
export class TeacherFrame {
  /** The place takes all the width there is. */
  readonly wide = input(false);
  private readonly store = inject(Store);
  protected readonly teacher = this.store.selectSignal(authFeature.selectTeacher);

  protected signOut(): void {
    this.store.dispatch(authActions.signOut());
  }
}
