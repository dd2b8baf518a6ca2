import type { RungId } from '@zeitpunkt/core/ladder/registry';
import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import type { PaperLook, PaperPage } from '@zeitpunkt/core/paper/paper-page';
import type { PaperWish } from '@zeitpunkt/core/paper/paper-wish';
import type { SheetVersion } from '@zeitpunkt/core/paper/versions';
import type { Item } from '@zeitpunkt/core/question-kinds/registry';
import type { ToldProblem } from '../told-problem';

/** A join card before its code is drawn: that is done where the paper is made. */
export interface PaperOrder {
  readonly wish: PaperWish | JoinCardsWish;
  readonly look: Omit<PaperLook, 'measure'>;
  readonly inColour: boolean;
}

/** Join cards by their addresses. */
export interface JoinCardsWish {
  readonly kind: 'join-links';
  readonly className: string;
  readonly cards: readonly { readonly name: string; readonly link: string }[];
}

/** Versions of a sheet that are to be drawn: the arguments of `sheetVersions`. */
export interface VersionsWish {
  readonly items: readonly Item[];
  readonly rung: RungId;
  readonly settings: LessonSettings;
  readonly count: number;
  readonly seed: number;
}

/** Page → the worker that makes papers. */
export type ToPaperWorker =
  /** The first pages, to look at. */
  | { readonly type: 'look'; readonly number: number; readonly order: PaperOrder }
  | { readonly type: 'make'; readonly number: number; readonly order: PaperOrder; readonly title: string }
  | { readonly type: 'draw'; readonly number: number; readonly wish: VersionsWish };

/** The worker → its page, each with the number of what was asked. */
export type FromPaperWorker = { readonly number: number } & (
  | {
      readonly type: 'pages';
      readonly pages: readonly PaperPage[];
      /** Where each part of the paper begins, by the place of its page. */
      readonly starts: readonly number[];
      readonly hasMore: boolean;
      readonly missing: readonly string[];
    }
  | { readonly type: 'progress'; readonly done: number; readonly of: number }
  | { readonly type: 'made'; readonly file: Blob; readonly pages: number; readonly missing: readonly string[] }
  | { readonly type: 'drawn'; readonly versions: readonly SheetVersion[] }
  | { readonly type: 'failed'; readonly problem: ToldProblem }
);
