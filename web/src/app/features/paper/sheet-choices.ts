import { ChangeDetectionStrategy, Component, inject, input, model } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatExpansionPanel, MatExpansionPanelHeader } from '@angular/material/expansion';
import { MatSlideToggle } from '@angular/material/slide-toggle';
import { MOST_VERSIONS } from '@zeitpunkt/core/paper/versions';
import { Icon } from '../../ui/icons/icon';
import { PaperStore } from './paper-store';
import { PAPER_WORDS } from './words';

/** What is chosen of a sheet of questions: its versions, whose names stand on it, what is asked, whether there is a key. */
@Component({
  selector: 'zp-sheet-choices',
  imports: [
    Icon,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatCheckbox,
    MatExpansionPanel,
    MatExpansionPanelHeader,
    MatSlideToggle,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="one">
      <span id="versions">{{ words().versions }}</span>
      <mat-button-toggle-group
        hideSingleSelectionIndicator
        aria-labelledby="versions"
        [value]="store.versionCount()"
        (change)="store.setVersions($event.value)"
      >
        @for (many of counts; track many) {
          <mat-button-toggle [value]="many">{{ many }}</mat-button-toggle>
        }
      </mat-button-toggle-group>
      @if (store.versionCount() > 1) {
        <button mat-button type="button" (click)="store.drawAnew()"><mat-icon svgIcon="autorenew" />{{ words().others }}</button>
      }
    </div>
    <div class="one">
      <span id="names">{{ words().names }}</span>
      <mat-button-toggle-group
        hideSingleSelectionIndicator
        aria-labelledby="names"
        [value]="store.isNamed()"
        (change)="store.setNamed($event.value)"
      >
        <mat-button-toggle [value]="false">{{ words().name.line }}</mat-button-toggle>
        <mat-button-toggle [value]="true" [disabled]="!store.pupils().length">{{ words().name.each }}</mat-button-toggle>
      </mat-button-toggle-group>
      <span class="facts">{{ store.isNamed() ? words().nameHint(store.pupils().length, store.ofClass()!.name) : words().lineHint }}</span>
    </div>
    <mat-slide-toggle [checked]="withKey()" (change)="withKey.set($event.checked)">{{ words().key }}</mat-slide-toggle>
    <mat-expansion-panel class="mat-elevation-z0">
      <mat-expansion-panel-header>{{ words().asked(store.chosen().length, store.questions().length) }}</mat-expansion-panel-header>
      @for (one of store.questions(); track one.id) {
        <mat-checkbox [checked]="one.chosen" (change)="store.choose(one.id, $event.checked)">{{ one.number }}. {{ one.stem }}</mat-checkbox>
      }
    </mat-expansion-panel>
    @if (differs().length) {
      <section class="facts" [attr.aria-label]="words().differs">
        @for (one of differs(); track one.what) {
          <p>{{ words().differsAt(one.questions, one.what) }}</p>
        }
      </section>
    }
  `,
  styles: `
    :host,
    .one {
      display: grid;
      gap: 16px;
    }
    .one {
      gap: 4px;
    }
    .one > span {
      color: var(--soft);
      font-size: 14px;
    }
    mat-button-toggle {
      flex: 1;
    }
    .one button {
      justify-self: start;
    }
    mat-checkbox {
      display: block;
    }
    p {
      margin: 4px 0 0;
    }
  `,
})
export class SheetChoices {
  /** What is different on paper, with the numbers of the questions. */
  readonly differs = input.required<readonly { readonly questions: readonly number[]; readonly what: string }[]>();
  readonly withKey = model.required<boolean>();
  protected readonly store = inject(PaperStore);
  protected readonly words = PAPER_WORDS;
  protected readonly counts = Array.from({ length: MOST_VERSIONS }, (_, index) => index + 1);
}
