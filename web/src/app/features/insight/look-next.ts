import { ChangeDetectionStrategy, Component, computed, effect, inject, linkedSignal, untracked } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { dayWords, type Group, type GroupKey } from '@zeitpunkt/core';
import { ClassReviewStore } from './class-review-store';
import { GroupCard } from './group-card';

/** Groups for the next lesson, each with its reason, its next move and its questions; and those to look at first. */
@Component({
  selector: 'zp-look-next',
  imports: [GroupCard, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="head">
      <h2>Groups for the next lesson</h2>
      @if (store.days().length) {
        <label>
          It is on
          <select class="field" #day (change)="date.set(day.value)">
            @for (one of store.days(); track one) {
              <option [value]="one" [selected]="one === date()">{{ words(one) }}</option>
            }
          </select>
        </label>
      }
    </div>
    <div class="groups">
      @for (group of groups(); track group.key) {
        <zp-group-card
          [group]="group"
          [others]="places()"
          [set]="store.sets()[group.key]"
          [settings]="store.insight()!.settings"
          [busy]="store.drafting()"
          [on]="date() ? words(date()!) : null"
          (moved)="store.move($event.pupilId, $event.key)"
          (designed)="store.design(group, $event)"
          (drafted)="draft(group)"
        />
      } @empty {
        <p>There are no groups yet: too little has been answered.</p>
      }
    </div>
    @if (store.groups()?.lookFirst; as first) {
      @if (first.length) {
        <h2 id="look-first">Look first</h2>
        <p class="facts">Of these too little is known to propose anything: a question or two at the start of the lesson will tell.</p>
        <ul aria-labelledby="look-first">
          @for (pupil of first; track pupil.id) {
            <li>
              <a [routerLink]="['../pupils', pupil.id]">{{ pupil.name }}</a>: {{ pupil.why }}
            </li>
          }
        </ul>
      }
    }
  `,
  styles: `
    .head {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem 2rem;
      align-items: center;
      margin-bottom: 0.75rem;
    }
    .groups {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(100%, 33rem), 1fr));
      gap: 1rem;
      margin-bottom: 1.5rem;
    }
    ul {
      display: flex;
      flex-wrap: wrap;
      gap: 0.25rem 2rem;
      margin: 0.4rem 0 0;
      padding: 0;
      list-style: none;
    }
  `,
})
export class LookNext {
  protected readonly store = inject(ClassReviewStore);
  private readonly router = inject(Router);
  protected readonly words = dayWords;
  protected readonly date = linkedSignal<string | null>(() => this.store.days()[0] ?? null);
  protected readonly groups = computed(() => this.store.groups()?.groups ?? []);
  /** Where a pupil can be put: any group that there is. */
  protected readonly places = computed(() => this.groups().map(({ key, name }): { key: GroupKey; name: string } => ({ key, name })));

  constructor() {
    effect(() => {
      if (this.groups().length > 0) untracked(() => void this.store.designAll());
    });
  }

  protected async draft(group: Group): Promise<void> {
    const id = await this.store.draft(group, this.date());
    if (id) await this.router.navigate(['/lessons', id]);
  }
}
