import {
  ChangeDetectionStrategy,
  Component,
  computed,
  type ElementRef,
  input,
  linkedSignal,
  output,
  signal,
  viewChild,
} from '@angular/core';
import type { SessionDetail } from '@zeitpunkt/contract';
import { kindOf, type Asking, type Response } from '@zeitpunkt/core';
import { ResponseView } from '../../question-views/response-view';
import { lateWords } from '../../shared/late';
import type { RoomAct } from '../../state/live';
import { LineLost } from '../../ui/line-lost';
import { PupilAnswers } from './pupil-answers';
import { typicalResponse, wallGroups, type WallGroup, type WallOrder, type WallPupil } from './wall-groups';

/** So many cards stand in a row beside the title of their group, and so many rows are one screen of 800 pixels. */
const CARDS_BESIDE_TITLE = 6;
const MOST_ROWS = 6;

/**
 * Every pupil's answer as it comes, on one screen: who is still thinking, what was given, and what explains it. Names and marks
 * are hidden at a press, for sharing. A card opens what the pupil answered before; arrow keys go from card to card.
 */
@Component({
  selector: 'zp-wall',
  imports: [LineLost, PupilAnswers, ResponseView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(keydown)': 'move($event)' },
  templateUrl: './wall.html',
  styleUrl: './wall.scss',
})
export class Wall {
  readonly detail = input.required<SessionDetail>();
  /** The question on the stage. */
  readonly asking = input.required<Asking>();
  readonly act = output<RoomAct>();
  /** An answer that the class is to talk about; whose it is, is told nowhere. */
  readonly discuss = output<Response>();

  protected readonly lateWords = lateWords;
  /** Names and marks are hidden, for a screen that is shared. */
  protected readonly sharing = signal(false);
  protected readonly order = signal<WallOrder>('idea');
  /** The group that alone is shown; null for all. A new question shows all again. */
  protected readonly only = linkedSignal<string, string | null>({ source: () => this.asking().id, computation: () => null });
  /** The pupil whose answers are looked at. */
  protected readonly looked = linkedSignal<string, string | null>({ source: () => this.detail().id, computation: () => null });
  private readonly cards = viewChild.required<ElementRef<HTMLElement>>('cards');

  protected readonly inRoom = computed(() => this.detail().live.participants.filter(({ waits }) => !waits).length);
  /** The question as pupils see it: responses are shown beside it. */
  protected readonly view = computed(() => {
    const { item } = this.asking();
    return kindOf(item).viewOf(item, this.detail().lesson.settings);
  });
  protected readonly groups = computed(() => wallGroups(this.detail(), this.asking(), this.sharing() ? 'arrival' : this.order()));
  protected readonly shown = computed(() => {
    const [all, only] = [this.groups(), this.only()];
    const one = all.filter(({ id }) => id === only);
    return one.length > 0 ? one : all;
  });
  protected readonly answeredCount = computed(
    () =>
      this.groups()
        .filter(({ tone }) => tone !== 'late')
        .flatMap(({ pupils }) => pupils)
        .filter(({ response }) => response).length,
  );
  /** Whether each group can have rows of its own on one screen; a full class is one flow of cards. */
  protected readonly roomy = computed(() => {
    const rows = this.shown().reduce((sum, { pupils }) => sum + Math.ceil(pupils.length / CARDS_BESIDE_TITLE), 0);
    return rows <= MOST_ROWS;
  });
  /** Most frequent first among the ideas: what the class would gain most from. */
  protected readonly hint = computed(() => this.groups().find(({ tone }) => tone === 'idea')?.hint ?? null);

  /** Whether a group has a wrong answer to talk about. */
  protected canDiscuss({ tone }: WallGroup): boolean {
    return (tone === 'idea' || tone === 'other') && this.asking().phase !== 'open';
  }

  protected talkAbout(group: WallGroup): void {
    const typical = typicalResponse(group);
    if (typical) this.discuss.emit(typical.response);
  }

  protected toggleOnly(id: string): void {
    this.only.update((before) => (before === id ? null : id));
  }

  protected nameOf({ participant }: WallPupil, place: number): string {
    return this.sharing() ? String(place + 1) : participant.name;
  }

  /** Arrow keys go from card to card, Home and End to the first and the last. */
  protected move(event: KeyboardEvent): void {
    const all = [...this.cards().nativeElement.querySelectorAll<HTMLElement>('button.open')];
    const here = all.indexOf(document.activeElement as HTMLElement);
    if (here < 0) return;
    const to = { ArrowRight: here + 1, ArrowDown: here + 1, ArrowLeft: here - 1, ArrowUp: here - 1, Home: 0, End: all.length - 1 }[
      event.key
    ];
    if (to === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    all[Math.min(all.length - 1, Math.max(0, to))]?.focus();
  }
}
