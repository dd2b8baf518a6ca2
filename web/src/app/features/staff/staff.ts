import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { Invited, Staff } from '@zeitpunkt/contract';
import { v4 as uuid } from 'uuid';
import { ask, sentenceOf } from '../../shared/api';
import { DeskAddress } from '../../shared/desk-address';
import { TeacherFrame } from '../frame/teacher-frame';

/** Who teaches at this school. The first teacher invites others, each with a code that can be used once. */
@Component({
  selector: 'zp-staff',
  imports: [DatePipe, MatButton, TeacherFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-teacher-frame>
      <h1>Who teaches here</h1>
      @if (problem(); as problem) {
        <p class="problem" role="alert">{{ problem }}</p>
      }
      @if (staff(); as staff) {
        <ul>
          @for (teacher of staff.teachers; track teacher.id) {
            <li>{{ teacher.name }}</li>
          }
        </ul>
        <p class="facts">
          Each teacher sees their own classes, lessons and answers, and nobody else’s. Whoever runs this server can read its files.
        </p>
        @if (staff.mayInvite) {
          <section aria-labelledby="invite">
            <h2 id="invite">Invite a teacher</h2>
            <form (submit)="invite($event, who)">
              <label for="who">For whom</label>
              <input #who id="who" class="field" maxlength="200" autocomplete="off" required />
              <button mat-flat-button type="submit">Make a code</button>
            </form>
            @if (made(); as made) {
              <div class="made" role="status">
                <p>
                  The code for {{ made.forWhom }}, shown this once: <strong>{{ made.code }}</strong>
                </p>
                <p>
                  Or this link: <strong>{{ address.now() }}/invited#code={{ made.code }}</strong>
                </p>
                <p class="facts">It can be used once, within a week.</p>
              </div>
            }
            @if (staff.invitations.length) {
              <h3>Not used yet</h3>
              <ul>
                @for (one of staff.invitations; track one.id) {
                  <li>
                    {{ one.forWhom }} <span class="facts">until {{ one.expiresAtMs | date: 'EEE d MMM, HH:mm' }}</span>
                    <button mat-button type="button" (click)="withdraw(one.id)">
                      Withdraw<span class="heard-only"> the invitation for {{ one.forWhom }}</span>
                    </button>
                  </li>
                }
              </ul>
            }
          </section>
        } @else {
          <p class="facts">The first teacher of this school can invite others.</p>
        }
      } @else if (!problem()) {
        <p role="status">One moment …</p>
      }
    </zp-teacher-frame>
  `,
  styles: `
    ul {
      margin: 0.75rem 0;
      padding: 0;
      list-style: none;
    }
    section {
      display: grid;
      gap: 0.75rem;
      margin-top: 2rem;
    }
    form {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem;
      align-items: center;
    }
    .made {
      padding: 0.75rem 1rem;
      border-left: 5px solid var(--accent);
      background: var(--sheet);
      overflow-wrap: anywhere;
    }
  `,
})
export class StaffPlace {
  protected readonly address = inject(DeskAddress);
  protected readonly staff = signal<Staff | null>(null);
  protected readonly made = signal<{ readonly code: string; readonly forWhom: string } | null>(null);
  protected readonly problem = signal<string | null>(null);

  constructor() {
    void this.attempt(async () => this.staff.set(await ask<Staff>('GET', '/api/staff')));
  }

  protected async invite(event: Event, field: HTMLInputElement): Promise<void> {
    event.preventDefault();
    const forWhom = field.value.trim();
    if (forWhom === '') return field.focus();
    await this.attempt(async () => {
      const { code, staff } = await ask<Invited>('POST', '/api/staff/invitations', { id: uuid(), forWhom });
      this.made.set({ code, forWhom });
      this.staff.set(staff);
      field.value = '';
    });
  }

  protected async withdraw(id: string): Promise<void> {
    await this.attempt(async () => {
      this.staff.set(await ask<Staff>('POST', `/api/staff/invitations/${id}/withdraw`));
      this.made.set(null);
    });
  }

  private async attempt(work: () => Promise<void>): Promise<void> {
    try {
      await work();
      this.problem.set(null);
    } catch (error) {
      this.problem.set(sentenceOf(error));
    }
  }
}
