import { CdkDrag, type CdkDragDrop, CdkDragHandle, CdkDropList, CdkDropListGroup } from '@angular/cdk/drag-drop';
import { afterRenderEffect, ChangeDetectionStrategy, Component, computed, ElementRef, inject, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatMenu, MatMenuContent, MatMenuItem } from '@angular/material/menu';
import type { NamedFinding } from '@zeitpunkt/core/checker-rules/check';
import { lengthText } from '@zeitpunkt/core/time/length-text';
import type { Phase } from '@zeitpunkt/core/lesson/phases';
import { nextFrame } from '../../../shared/next-frame';
import { RIM_WORDS } from '../../../shared/rim/words';
import { Icon } from '../../../ui/icons/icon';
import { SmallDial } from '../../../ui/parts/small-dial';
import { SCRIPT_WORDS } from '../words';
import { BeatPictureView } from './beat-picture';
import { hasText, type BeatRow } from './beat-rows';
import { InsertBar } from './insert-bar';
import { OTHER_INSERTS, QUESTION_INSERTS } from './new-beats';

/** Which beats are chosen: one at hand, and those chosen with it. */
export interface Chosen {
  readonly id: string;
  readonly all: readonly string[];
}

/** So many dials of a part that is folded are shown. */
const MOST_DIALS = 5;

/**
 * The script as a column: its parts, which fold, with their beats. One beat or several are chosen, by press or by arrow keys, and
 * moved, by their handle or with Alt and an arrow; after the one at hand something can be added.
 */
@Component({
  selector: 'zp-beat-column',
  imports: [
    BeatPictureView,
    CdkDrag,
    CdkDragHandle,
    CdkDropList,
    CdkDropListGroup,
    Icon,
    InsertBar,
    MatButton,
    MatMenu,
    MatMenuContent,
    MatMenuItem,
    SmallDial,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './beat-column.html',
  styleUrl: './beat-column.scss',
})
export class BeatColumn {
  readonly rows = input.required<readonly BeatRow[]>();
  readonly phases = input.required<readonly Phase[]>();
  readonly chosen = input.required<Chosen>();
  /** What is searched for, in small letters; empty for nothing. */
  readonly sought = input('');
  readonly choose = output<Chosen>();
  /** The chosen beats are to stand before this one, or at the end. */
  readonly moved = output<{ readonly ids: readonly string[]; readonly beforeId: string | null }>();
  readonly removed = output<readonly string[]>();
  readonly doubled = output<string>();
  /** Something is to be added after the beat at hand. */
  readonly inserted = output<string>();
  readonly mended = output<NamedFinding>();
  protected readonly words = SCRIPT_WORDS;
  protected readonly questionInserts = QUESTION_INSERTS;
  protected readonly otherInserts = OTHER_INSERTS;
  protected readonly clock = lengthText;
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;

  /** Parts that were folded, by their first beat. */
  private readonly folded = signal<ReadonlySet<string>>(new Set());
  readonly hasFolded = computed(() => this.folded().size > 0);
  protected readonly parts = computed(() => {
    const [rows, folded, { id }] = [this.rows(), this.folded(), this.chosen()];
    return this.phases().map(({ id: phase, from, to, durationMs }) => {
      const own = rows.slice(from, to);
      const poses = own.flatMap(({ picture }) => (picture.kind === 'hands' ? [picture.pose] : []));
      return {
        from,
        name: RIM_WORDS().phase[phase],
        durationMs,
        rows: own,
        pictures: poses.slice(0, MOST_DIALS),
        // Whoever goes to a beat sees it.
        isOpen: !folded.has(own[0]?.id ?? '') || own.some((row) => row.id === id),
      };
    });
  });

  constructor() {
    const atHand = computed(() => this.chosen().id);
    // Whatever chose it, a beat is in sight with the presses that add something after it. Looked at a frame later: where things
    // stand is known then, and is not measured twice.
    afterRenderEffect((onCleanup) => {
      const id = atHand();
      onCleanup(nextFrame(() => this.show(id)));
    });
  }

  protected fold(from: number): void {
    const key = this.rows()[from]?.id ?? '';
    this.folded.update((before) => new Set(before.has(key) ? [...before].filter((one) => one !== key) : [...before, key]));
  }

  /** Folds all parts but the one at hand, or opens all where some are folded. */
  foldAll(): void {
    this.folded.set(new Set(this.hasFolded() ? [] : this.phases().map(({ from }) => this.rows()[from]?.id ?? '')));
  }

  protected isChosen(id: string): boolean {
    return this.chosen().all.includes(id);
  }

  protected isFound(row: BeatRow): boolean {
    const sought = this.sought();
    return sought !== '' && hasText(row, sought);
  }

  protected press(event: MouseEvent, id: string): void {
    if (event.shiftKey) return this.extendTo(id);
    const { all } = this.chosen();
    if (event.ctrlKey || event.metaKey) {
      const others = all.filter((one) => one !== id);
      return this.choose.emit({ id, all: others.length === all.length ? [...all, id] : others.length > 0 ? others : [id] });
    }
    this.choose.emit({ id, all: [id] });
  }

  protected key(event: KeyboardEvent): void {
    const rows = this.rows();
    const index = rows.findIndex(({ id }) => id === this.chosen().id);
    const by = { ArrowDown: 1, ArrowUp: -1, Home: -rows.length, End: rows.length, PageDown: 10, PageUp: -10 }[event.key];
    const { all, id } = this.chosen();
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      return this.removed.emit(all);
    }
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'd') {
      event.preventDefault();
      return this.doubled.emit(id);
    }
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'a') {
      event.preventDefault();
      return this.choose.emit({ id, all: rows.map((row) => row.id) });
    }
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation(); // the arrows of the place play the script
    if (event.altKey) return this.moveBy(Math.sign(by));
    const next = rows[Math.max(0, Math.min(rows.length - 1, index + by))];
    if (!next) return;
    if (event.shiftKey) this.extendTo(next.id);
    else this.choose.emit({ id: next.id, all: [next.id] });
    this.goTo(next.id);
  }

  protected dropped({ previousIndex, currentIndex, item, container, previousContainer }: CdkDragDrop<BeatRow[], BeatRow[], string>): void {
    if (container === previousContainer && previousIndex === currentIndex) return;
    const ids = this.isChosen(item.data) ? this.chosen().all : [item.data];
    // In its own part the dragged one is not counted; behind the last of a part stands the first of the next.
    const there = container.data.filter(({ id }) => id !== item.data);
    const rows = this.rows();
    const next = there[currentIndex] ?? rows[rows.findIndex(({ id }) => id === there.at(-1)?.id) + 1];
    const before = next && rows.slice(rows.indexOf(next)).find(({ id }) => !ids.includes(id));
    this.moved.emit({ ids, beforeId: before?.id ?? null });
  }

  /** Brings a row into view and gives it the keys. */
  goTo(id: string): void {
    this.rowOf(id)?.focus({ preventScroll: true });
    this.show(id);
  }

  /** Brings a row into view within the column, with the presses below it: the page itself stays where it is. */
  show(id: string): void {
    const row = this.rowOf(id)?.closest('li');
    if (!row) return;
    const [box, { top }] = [this.host.getBoundingClientRect(), row.getBoundingClientRect()];
    const { bottom } = (row.nextElementSibling ?? row).getBoundingClientRect();
    if (bottom > box.bottom) this.host.scrollTop += bottom - box.bottom;
    if (top < box.top) this.host.scrollTop -= box.top - top;
  }

  private rowOf(id: string): HTMLElement | null {
    return this.host.querySelector<HTMLElement>(`[data-beat="${CSS.escape(id)}"]`);
  }

  private extendTo(id: string): void {
    const rows = this.rows();
    const { id: from, all } = this.chosen();
    const ends = [from, id, ...all].map((one) => rows.findIndex((row) => row.id === one)).filter((place) => place >= 0);
    const to = rows.findIndex((row) => row.id === id);
    const first = Math.min(...ends);
    const last = Math.max(...ends);
    // Going back over what was chosen takes it out again.
    const anchor = to >= last ? first : to <= first ? last : rows.findIndex((row) => row.id === from) > to ? first : last;
    const [low, high] = [Math.min(anchor, to), Math.max(anchor, to)];
    this.choose.emit({ id, all: rows.slice(low, high + 1).map((row) => row.id) });
  }

  private moveBy(by: number): void {
    const rows = this.rows();
    const ids = this.chosen().all;
    const places = ids.map((id) => rows.findIndex((row) => row.id === id)).sort((a, b) => a - b);
    const beforeId = by < 0 ? rows[places[0]! - 1]?.id : rows[places.at(-1)! + 2]?.id;
    if (by < 0 && beforeId === undefined) return;
    if (by > 0 && places.at(-1)! >= rows.length - 1) return;
    this.moved.emit({ ids, beforeId: beforeId ?? null });
  }
}
