import type { HomePage } from '../insight/home-page.js';
import type { RungId } from '../ladder/registry.js';
import type { CardPattern } from '../lesson/card-pattern.js';
import type { DayEvent } from '../series/day-events.js';
import type { Lesson } from '../lesson/lesson.js';
import { prepareLesson } from '../lesson/prepare.js';
import type { LessonSettings } from '../lesson/settings.js';
import type { Tongue } from '../words/pack.js';
import { keptPage, type KeptFacts } from './family/kept-page.js';
import type { PupilRecord } from './family/pupil-record.js';
import { recordPages } from './family/record-pages.js';
import { chartPages } from './handouts/chart.js';
import { cutOutDialPages } from './handouts/cut-out-dial.js';
import { dailyCardsPages } from './handouts/daily-cards.js';
import { dayLinePages } from './handouts/day-line.js';
import { fractionStripPages } from './handouts/fraction-strip.js';
import { homePagesOnPaper } from './handouts/home-pages.js';
import { joinCardsPages, type JoinCardOnPaper } from './handouts/join-cards.js';
import { lessonPage } from './handouts/lesson-page.js';
import { pencilDialPages } from './handouts/pencil-dial.js';
import { zonesPages } from './handouts/zones.js';
import { keyPages } from './key.js';
import type { PaperLook, PaperPage } from './paper-page.js';
import { sheetPages } from './sheet.js';
import type { SheetVersion } from './versions.js';

/** Who gets which version of a sheet; a pupil without a name writes it. */
export interface SheetCopy {
  readonly pupil: string | null;
  readonly letter: string;
}

/** Everything that can be put on paper, with what it is made of. */
export type PaperWish =
  | {
      readonly kind: 'sheet';
      readonly title: string;
      readonly code: string;
      readonly versions: readonly SheetVersion[];
      readonly copies: readonly SheetCopy[];
      readonly withKey: boolean;
      /** Which wrong ideas are usual. */
      readonly rung: RungId;
      readonly settings: LessonSettings;
    }
  | { readonly kind: 'lesson'; readonly lesson: Lesson }
  | { readonly kind: 'chart'; readonly rung: RungId; readonly settings: LessonSettings }
  | { readonly kind: 'cut-out-dial' | 'zones' | 'pencil-dial' | 'fraction-strip'; readonly tongue: Tongue }
  | { readonly kind: 'day-line'; readonly events: readonly DayEvent[]; readonly tongue: Tongue }
  | {
      readonly kind: 'daily-cards';
      readonly pattern: CardPattern;
      readonly from: number;
      readonly count: number;
      readonly settings: LessonSettings;
    }
  | { readonly kind: 'join-cards'; readonly className: string; readonly cards: readonly JoinCardOnPaper[] }
  | { readonly kind: 'home'; readonly pages: readonly { readonly name: string; readonly page: HomePage }[]; readonly tongue: Tongue }
  | { readonly kind: 'pupil-record'; readonly record: PupilRecord; readonly tongue: Tongue }
  | { readonly kind: 'kept'; readonly facts: KeptFacts; readonly tongue: Tongue };

/** Pages that are made in one go, so that long papers can show progress and be cancelled between them. */
export type PaperPart = () => PaperPage[];

const one = (make: PaperPart): PaperPart[] => [make];

/** A paper in parts, in their order: for a sheet each copy, then the keys. */
export function paperParts(wish: PaperWish, look: PaperLook): PaperPart[] {
  switch (wish.kind) {
    case 'sheet': {
      const { versions, copies, title, code, rung, settings } = wish;
      const sheets = copies.map(({ pupil, letter }) => () => {
        const version = versions.find((each) => each.letter === letter) ?? versions[0]!;
        return sheetPages(version, { title, code, pupil }, versions.length, settings, look);
      });
      const keys = wish.withKey
        ? versions.map((version) => () => keyPages(version, { title, code, versions: versions.length, rung, settings }, look))
        : [];
      return [...sheets, ...keys];
    }
    case 'lesson':
      return one(() => [lessonPage(prepareLesson(wish.lesson), look)]);
    case 'chart':
      return one(() => chartPages(wish.rung, wish.settings, look));
    case 'cut-out-dial':
      return one(() => cutOutDialPages(wish.tongue, look));
    case 'zones':
      return one(() => zonesPages(wish.tongue, look));
    case 'pencil-dial':
      return one(() => pencilDialPages(wish.tongue, look));
    case 'fraction-strip':
      return one(() => fractionStripPages(wish.tongue, look));
    case 'day-line':
      return one(() => dayLinePages(wish.events, wish.tongue, look));
    case 'daily-cards':
      return one(() => dailyCardsPages(wish.pattern, wish.from, wish.count, wish.settings, look));
    case 'join-cards':
      return one(() => joinCardsPages(wish.cards, wish.className, look));
    case 'home':
      return wish.pages.map((page) => () => homePagesOnPaper([page], wish.tongue, look));
    case 'pupil-record':
      return one(() => recordPages(wish.record, wish.tongue, look));
    case 'kept':
      return one(() => keptPage(wish.facts, wish.tongue, look));
  }
}
