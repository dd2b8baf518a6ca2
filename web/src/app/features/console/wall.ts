import { ChangeDetectionStrategy, Component, computed, type ElementRef, input, output, signal, viewChild } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { SessionDetail } from '@zeitpunkt/contract';
import { wordingsOf } from '@zeitpunkt/core/question-kinds/class-wordings';
import { kindOf, textOfResponse, type Response } from '@zeitpunkt/core/question-kinds/registry';
import { isRightVerdict } from '@zeitpunkt/core/question-kinds/verdict';
import type { Asking } from '@zeitpunkt/core/run/asking';
import { ResponseView } from '../../question-views/response-view';
import { anewWith } from '../../shared/anew-with';
import { lateWords } from '../../shared/late';
import type { RoomAct } from '../../state/live';
import { Icon } from '../../ui/icons/icon';
import { LineLost } from '../../ui/line-lost';
import { IdeaPair } from '../../ui/parts/idea-pair';
import { KeyHint } from '../../ui/parts/key-hint';
import { PupilAnswers } from './pupil-answers';
import { typicalResponse, wallGroups, type WallGroup, type WallOrder, type WallPupil } from './wall-groups';
import { CONSOLE_WORDS } from './words';

/** So many tiles stand in a row beside the title of their group, and so many rows are one screen of 800 pixels. */
const TILES_BESIDE_TITLE = 4;
const MOST_ROWS = 7;

const ICONS = { silent: 'hourglass-empty', unsure: 'help', answered: 'chat-bubble', right: 'check', late: 'history' } as const;

/** A wording that somebody wrote and that is not taken for the time yet. */
export interface UnheardWording {
  readonly responseId: string;
  readonly text: string;
}

/**
 * Every pupil's answer as it comes, on one screen: who is still thinking, what was given, and what explains it. Names and marks
 * are hidden at a press, for sharing. A card opens what the pupil answered before; arrow keys go from card to card.
 */
@Component({
  selector: 'zp-wall',
  imports: [Icon, IdeaPair, KeyHint, LineLost, MatButton, PupilAnswers, ResponseView],
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
  /** A wording is to count for the whole class. */
  readonly accept = output<UnheardWording>();

  private readonly catalogue = CONSOLE_WORDS;
  protected readonly words = computed(() => this.catalogue().wallPlace);
  protected readonly icons = ICONS;
  protected readonly lateWords = lateWords;
  /** Names and marks are hidden, for a screen that is shared. */
  protected readonly sharing = signal(false);
  protected readonly order = signal<WallOrder>('idea');
  /** The group that alone is shown; null for all. A new question shows all again. */
  protected readonly only = anewWith<string | null>(
    () => this.asking().id,
    () => null,
  );
  /** The pupil whose answers are looked at. */
  protected readonly looked = anewWith<string | null>(
    () => this.detail().id,
    () => null,
  );
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
  /** A full class stands closer, so that it is one screen. */
  protected readonly dense = computed(() => {
    const rows = this.shown().reduce((sum, { pupils }) => sum + Math.ceil(pupils.length / TILES_BESIDE_TITLE), 0);
    return rows > MOST_ROWS;
  });
  /** The right answer as it reads. */
  protected readonly keyText = computed(() => {
    const [{ item }, { settings }] = [this.asking(), this.detail().lesson];
    return textOfResponse(item, kindOf(item).keyOf(item, settings), settings);
  });
  /** The groups that were talked about since the question was asked, by key. */
  private readonly talked = anewWith<readonly string[]>(
    () => this.asking().id,
    () => [],
  );
  /** The group that the key talks about next. */
  protected readonly nextToTalk = computed(() => {
    const open = this.groups().filter((group) => this.canDiscuss(group));
    return (open.find(({ id }) => !this.talked().includes(id)) ?? open[0])?.id ?? null;
  });
  /** Most frequent first among the ideas: what the class would gain most from. */
  protected readonly hint = computed(() => this.groups().find(({ tone }) => tone === 'idea')?.hint ?? null);

  /** Whether a group has a wrong answer to talk about. */
  protected canDiscuss({ tone }: WallGroup): boolean {
    return (tone === 'idea' || tone === 'other') && this.asking().phase !== 'open';
  }

  /** Names alone are enough where all answers are alike. */
  protected isNamed({ tone }: WallGroup): boolean {
    return tone === 'right' || tone === 'unsure';
  }

  /** What was written in a group and is not taken for the time, though it may be right where this class is at home. */
  protected wordingsOf({ tone, pupils }: WallGroup): readonly UnheardWording[] {
    if (this.sharing() || (tone !== 'other' && tone !== 'idea')) return [];
    const [{ item }, { settings }] = [this.asking(), this.detail().lesson];
    const byText = new Map<string, string>();
    for (const { response } of pupils) {
      if (!response || isRightVerdict(response.mark.verdict)) continue;
      for (const text of wordingsOf(item, response.response, settings)) if (!byText.has(text)) byText.set(text, response.id);
    }
    return [...byText].map(([text, responseId]) => ({ text, responseId }));
  }

  /** Hides every name and mark, or shows them again. */
  hide(): void {
    this.sharing.update((on) => !on);
  }

  /** Talks about the group that is next. */
  talkNext(): void {
    const group = this.groups().find(({ id }) => id === this.nextToTalk());
    if (group) this.talkAbout(group);
  }

  protected talkAbout(group: WallGroup): void {
    const talked = this.talked();
    const hasAll = this.groups().every((one) => !this.canDiscuss(one) || one.id === group.id || talked.includes(one.id));
    this.talked.set(hasAll ? [] : [...talked, group.id]);
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
