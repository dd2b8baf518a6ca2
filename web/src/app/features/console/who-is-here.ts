import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { Store } from '@ngrx/store';
import type { Participant } from '@zeitpunkt/contract';
import { liveActions, liveFeature } from '../../state/live';
import { LineLost } from '../../ui/line-lost';
import { CONSOLE_WORDS } from './words';

/** Who is in the room: whose line is lost, who is missing; a name is put right, and somebody sent out. */
@Component({
  selector: 'zp-who-is-here',
  imports: [LineLost, MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle, MatFormField, MatInput, MatLabel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ words().heading }}</h2>
    <mat-dialog-content>
      <p>
        <strong>{{ words().in(inRoom().length, pupils().length) }}</strong>
        @if (missing().length && inRoom().length) {
          · <span class="facts">{{ words().missing(missing().join(', ')) }}</span>
        }
      </p>
      @if (inRoom().length) {
        <p class="facts">{{ words().hint }}</p>
        <ul>
          @for (one of inRoom(); track one.id) {
            <li>
              <mat-form-field appearance="outline" subscriptSizing="dynamic">
                <mat-label>{{ words().nameOf(one.name) }}</mat-label>
                <input #name matInput maxlength="60" autocomplete="off" [value]="one.name" (change)="rename(one, name)" />
              </mat-form-field>
              @if (!one.online) {
                <zp-line-lost />
              }
              <button mat-button type="button" (click)="sendOut(one)">
                {{ words().sendOut }}<span class="heard-only">{{ words().one(one.name) }}</span>
              </button>
            </li>
          }
        </ul>
      } @else {
        <p class="facts">{{ words().nobody }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="start">
      <button mat-stroked-button type="button" mat-dialog-close>{{ words().close }}</button>
    </mat-dialog-actions>
  `,
  styles: `
    ul {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(280px, 1fr));
      gap: 8px 24px;
      margin: 12px 0 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: flex;
      gap: 4px;
      align-items: center;
    }
    mat-form-field {
      flex: 1;
    }
  `,
})
export class WhoIsHere {
  private readonly store = inject(Store);
  private readonly detail = this.store.selectSignal(liveFeature.selectDetail);
  private readonly catalogue = CONSOLE_WORDS;
  protected readonly words = computed(() => this.catalogue().here);
  protected readonly pupils = computed(() => this.detail()?.pupils ?? []);
  protected readonly inRoom = computed(() => (this.detail()?.live.participants ?? []).filter(({ waits }) => !waits));
  protected readonly missing = computed(() => {
    const here = new Set(this.detail()?.live.participants.map(({ pupilId }) => pupilId));
    return this.pupils()
      .filter(({ id }) => !here.has(id))
      .map(({ name }) => name);
  });

  protected rename({ pupilId, name }: Participant, field: HTMLInputElement): void {
    const now = field.value.trim();
    field.value = name; // until the server has said that it may
    const detail = this.detail();
    if (detail && now !== '' && now !== name) {
      this.store.dispatch(liveActions.act({ sessionId: detail.id, act: { type: 'rename', classId: detail.classId, pupilId, name: now } }));
    }
  }

  protected sendOut({ id }: Participant): void {
    const detail = this.detail();
    if (detail) this.store.dispatch(liveActions.act({ sessionId: detail.id, act: { type: 'send-out', participantId: id } }));
  }
}
