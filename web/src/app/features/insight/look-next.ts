import { CdkDropListGroup } from '@angular/cdk/drag-drop';
import { ChangeDetectionStrategy, Component, computed, effect, inject, linkedSignal, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { dayOf, dayWords, misconceptionOf, planOn, type FollowUp, type Group, type GroupKey, type MisconceptionId } from '@zeitpunkt/core';
import { movesInWords } from '../../shared/plan/moves-in-words';
import { Choice } from '../../ui/choice';
import { ClassReviewStore } from './class-review-store';
import { GroupCard } from './group-card';

/** Groups for the next lesson, each with its reason, its next move and its questions; and those to look at first. */
@Component({
  selector: 'zp-look-next',
  imports: [CdkDropListGroup, Choice, GroupCard, MatButton, RouterLink],
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
        <zp-choice label="A group’s lesson stands" [options]="ways" [value]="how()" (chosen)="how.set($event)" />
      }
    </div>
    @if (moves(); as words) {
      <p class="facts" role="status">{{ words }}</p>
    }
    <div class="groups" cdkDropListGroup>
      @for (group of groups(); track group.key) {
        <zp-group-card
          [group]="group"
          [others]="places()"
          [set]="store.sets()[group.key]"
          [settings]="store.insight()!.settings"
          [busy]="store.drafting()"
          [on]="date() ? words(date()!) : null"
          (moved)="move($event)"
          (designed)="store.design(group, $event)"
          (drafted)="draft(group)"
        />
      } @empty {
        <p>There are no groups yet: too little has been answered.</p>
      }
    </div>
    @if (unusual().length) {
      <h2 id="unusual">Worth a question</h2>
      <p class="facts">Something about these answers is unusual. It is a hint to ask about, and may have a good reason.</p>
      <ul aria-labelledby="unusual">
        @for (one of unusual(); track one.key) {
          <li>
            <a [routerLink]="['../pupils', one.id]">{{ one.name }}</a>: {{ one.words }}
          </li>
        }
      </ul>
    }
    @if (store.groups()?.besides; as besides) {
      @if (besides.length) {
        <h2 id="besides">Besides, at their own pace</h2>
        <p class="facts">What these pupils hold and their group does not work on: a few questions of their own beside the lesson.</p>
        <ul class="besides" aria-labelledby="besides">
          @for (one of besides; track one.idea) {
            <li>
              <span
                ><strong>{{ ideaName(one.idea) }}:</strong>{{ ' ' }}
                @for (pupil of one.pupils; track pupil.id) {
                  <a [routerLink]="['../pupils', pupil.id]">{{ pupil.name }}</a>{{ $last ? '' : ', ' }}
                }
              </span>
              <button mat-stroked-button type="button" [disabled]="store.drafting()" (click)="followUp(one)">
                Draft a follow-up<span class="heard-only"> on {{ ideaName(one.idea) }}</span>
              </button>
            </li>
          }
        </ul>
      }
    }
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
    .besides {
      display: grid;
      gap: 0.5rem;
      margin-bottom: 1.5rem;
    }
    .besides li {
      display: flex;
      flex-wrap: wrap;
      gap: 0.25rem 1rem;
      align-items: center;
    }
    ul {
      margin: 0.4rem 0 0;
      padding: 0;
      list-style: none;
    }
    ul:not(.besides) {
      display: flex;
      flex-wrap: wrap;
      gap: 0.25rem 2rem;
    }
  `,
})
export class LookNext {
  protected readonly store = inject(ClassReviewStore);
  private readonly router = inject(Router);
  protected readonly words = dayWords;
  protected readonly ideaName = (id: MisconceptionId): string => misconceptionOf(id).name;
  protected readonly date = linkedSignal<string | null>(() => this.store.days()[0] ?? null);
  protected readonly ways = [
    { value: 'beside', text: 'beside the class’s lesson' },
    { value: 'instead', text: 'in its place' },
  ] as const;
  protected readonly how = signal<'beside' | 'instead'>('beside');
  /** What a lesson in the class's place would move. */
  protected readonly moves = computed(() => {
    const [plan, date] = [this.store.plan(), this.date()];
    if (!plan || !date || this.how() === 'beside') return '';
    return movesInWords(plan, planOn(plan, 'new', date, dayOf(Date.now())), () => null);
  });
  protected readonly groups = computed(() => this.store.groups()?.groups ?? []);
  /** Answers that changed abruptly, or equal a neighbour's, with the names. */
  protected readonly unusual = computed(() => {
    const { pupils, unusual } = this.store.insight()!.picture;
    const nameOf = (id: string) => pupils.find((one) => one.id === id)?.name ?? '';
    return unusual.map((one) => ({
      key: `${one.why} ${one.pupilId} ${one.sessionId} ${one.why === 'alike' ? one.withId : ''}`,
      id: one.pupilId,
      name: nameOf(one.pupilId),
      words:
        one.why === 'changed'
          ? `${one.before[0]} of ${one.before[1]} right, then ${one.after[0]} of ${one.after[1]}, in one lesson`
          : `the same ${one.same} rare mistakes as ${nameOf(one.withId)}`,
    }));
  });
  /** Where a pupil can be put: any group that there is. */
  protected readonly places = computed(() => this.groups().map(({ key, name }): { key: GroupKey; name: string } => ({ key, name })));

  protected move({ id, key }: { readonly id: string; readonly key: string | null }): void {
    void this.store.move(id, this.groups().find((group) => group.key === key)?.key ?? null);
  }

  constructor() {
    effect(() => {
      if (this.groups().length > 0) untracked(() => void this.store.designAll());
    });
  }

  /** A short lesson for those of one idea, and then the place where it is given to them at their own pace. */
  protected async followUp(one: FollowUp): Promise<void> {
    const id = await this.store.draftFollowUp(one);
    if (!id) return;
    const to = one.pupils.map((pupil) => pupil.id).join(',');
    await this.router.navigate(['/lessons', id, 'give'], { queryParams: { of: this.store.insight()!.classId, to } });
  }

  protected async draft(group: Group): Promise<void> {
    const id = await this.store.draft(group, this.date(), this.how());
    if (id) await this.router.navigate(['/lessons', id]);
  }
}
