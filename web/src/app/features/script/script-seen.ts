import { computed, effect, inject, Injectable, signal } from '@angular/core';
import type { Beat } from '@zeitpunkt/core/beats/registry';
import { checkPrepared } from '@zeitpunkt/core/checker-rules/check';
import { RUNGS } from '@zeitpunkt/core/ladder/registry';
import { phasesOf } from '@zeitpunkt/core/lesson/phases';
import { prepareLesson, prepareTyped, type Step } from '@zeitpunkt/core/lesson/prepare';
import { rungOfLesson } from '@zeitpunkt/core/lesson/rung-of-lesson';
import { timingOf, type TimingOffer } from '@zeitpunkt/core/lesson/timing';
import type { Chosen } from './column/beat-column';
import { hasText, rowsOf, rowsTyped, stepAtMs, type BeatRow } from './column/beat-rows';
import { LessonStore } from './lesson-store';
import { SCRIPT_WORDS } from './words';

/** So long without a change, and the best places to cut or stretch are looked for. */
const OFFERS_AFTER_MS = 250;

/** What is seen of the lesson that is built: its rows with what was found, the moment that is looked at, and the beat at hand. */
@Injectable()
export class ScriptSeen {
  private readonly store = inject(LessonStore);
  readonly atMs = signal(0);
  /** Chosen along with the beat at hand; that one is told by the moment that is seen. */
  private readonly along = signal<readonly string[]>([]);

  /** The lesson as it was before the first letter of what is being typed: a letter costs no more than its own beat. */
  private readonly settled = computed(() => {
    const lesson = this.store.began() ?? this.store.lesson();
    return lesson && prepareLesson(lesson);
  });
  readonly prepared = computed(() => {
    const [settled, lesson] = [this.settled(), this.store.lesson()];
    if (!settled || !lesson) return null;
    return lesson === settled.lesson ? settled : prepareTyped(settled, lesson);
  });
  private readonly findings = computed(() => {
    const settled = this.settled();
    return settled ? checkPrepared(settled) : [];
  });
  private readonly settledRows = computed(() => {
    const settled = this.settled();
    return settled ? rowsOf(settled, this.findings()) : [];
  });
  readonly rows = computed(() => {
    const prepared = this.prepared();
    return prepared ? rowsTyped(this.settledRows(), prepared) : [];
  });
  /** What is found about the whole lesson; what is about a beat stands beside it. */
  readonly ofTheLesson = computed(() => this.findings().filter(({ at }) => at === null));
  /** How much was found in all. */
  readonly checked = computed(() => this.findings().length);
  readonly phases = computed(() => {
    const settled = this.settled();
    return settled ? phasesOf(settled) : [];
  });
  readonly about = computed(() => {
    const lesson = this.store.lesson();
    return lesson && SCRIPT_WORDS().rung(RUNGS[rungOfLesson(lesson)].name, lesson.targetMinutes);
  });
  /** The step that is seen. */
  private readonly step = computed(() => {
    const prepared = this.prepared();
    return prepared && stepAtMs(prepared, this.atMs());
  });
  /** Its place within the beat at hand, from 0. */
  readonly stepNow = computed(() => this.step()?.stepInBeat ?? 0);
  /** Where time is best won or lost; found when nothing was changed for a moment, because each offer is tried out. */
  readonly offers = signal<readonly TimingOffer[]>([]);
  readonly chosen = computed((): Chosen => {
    const id = this.step()?.ref.beatId ?? '';
    const along = this.along();
    return { id, all: along.includes(id) ? along : [id] };
  });
  readonly atHand = computed(() => {
    const lesson = this.store.lesson();
    const { id } = this.chosen();
    const row = this.rows().find((one) => one.id === id);
    const beat = lesson?.beats.find((one) => one.id === id);
    return lesson && row && beat ? { lesson, row, beat } : null;
  });
  /** What the beat at hand points at, where it is of the kind that does. */
  readonly marksAtHand = computed(() => {
    const beat = this.atHand()?.beat;
    return beat?.kind === 'mark' ? beat.marks : null;
  });

  /** What is looked for in the beats, in small letters. */
  readonly sought = signal('');
  readonly found = computed(() => {
    const sought = this.sought();
    return sought ? this.rows().filter((row) => hasText(row, sought)).length : 0;
  });

  constructor() {
    effect((onCleanup) => {
      const prepared = this.settled();
      const timer = setTimeout(() => this.offers.set(prepared ? timingOf(prepared).offers : []), OFFERS_AFTER_MS);
      onCleanup(() => clearTimeout(timer));
    });
  }

  /** The next beat of some sort after the one at hand, from the end on to the beginning. */
  nextWhere(is: (row: BeatRow) => boolean): BeatRow | undefined {
    const rows = this.rows();
    const place = rows.findIndex(({ id }) => id === this.chosen().id);
    return [...rows.slice(place + 1), ...rows.slice(0, place + 1)].find(is);
  }

  /** The beat before the one at hand, or after it. */
  beside(by: 1 | -1): BeatRow | undefined {
    const rows = this.rows();
    return rows[rows.findIndex(({ id }) => id === this.chosen().id) + by];
  }

  /** The beat that is looked at when some are gone: the one after them, or else the one before. */
  without(ids: readonly string[]): string {
    const rows = this.rows();
    const last = rows.findLastIndex(({ id }) => ids.includes(id));
    const first = rows.findIndex(({ id }) => ids.includes(id));
    return (rows[last + 1] ?? rows[Math.max(0, first - 1)])?.id ?? '';
  }

  /** The next beat that has what is looked for. */
  nextHit(): BeatRow | undefined {
    const sought = this.sought();
    return sought ? this.nextWhere((row) => hasText(row, sought)) : undefined;
  }

  show({ id, all }: Chosen): void {
    const row = this.rows().find((one) => one.id === id);
    const last = row?.steps.at(-1);
    if (!last) return;
    this.along.set(all.length > 1 ? all : []);
    this.settle(last);
  }

  /** A beat or one step of it is looked at as it has settled. */
  settle({ startMs, durationMs }: Step): void {
    this.atMs.set(startMs + durationMs - 1);
  }

  /** The beat before which something new goes after one; a question, its time to think and its answer stay together. */
  nextOf(id: string): string | null {
    const beats = this.store.lesson()?.beats ?? [];
    const itemOf = (beat: Beat | undefined) => (beat && 'itemId' in beat ? beat.itemId : null);
    let place = beats.findIndex((beat) => beat.id === id);
    const itemId = itemOf(beats[place]);
    while (itemId !== null && itemOf(beats[place + 1]) === itemId) place += 1;
    return beats[place + 1]?.id ?? null;
  }

  /** Beats move in time when something before them changes: the one at hand is looked at all the same. */
  stayAt(id: string, all: readonly string[] = [id]): void {
    const rows = this.rows();
    this.show({ id: rows.some((row) => row.id === id) ? id : (rows.at(-1)?.id ?? ''), all });
  }
}
