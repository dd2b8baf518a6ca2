import type { HomePage } from '../../insight/home-page.js';
import type { GroupKey } from '../../insight/groups.js';
import type { DoorMode } from '../../live/door.js';
import type { Format } from '../format.js';

/** A class in the archive that holds all of it: who is in it, and what its teacher wrote. Lessons, plan and answers are files beside it. */
export interface ClassFile {
  readonly name: string;
  readonly keepDays: number | null;
  readonly doorAdmits: DoorMode;
  /** In the order of the class; `leftAtMs` for those who left. */
  readonly pupils: readonly {
    readonly id: string;
    readonly name: string;
    readonly reference: string | null;
    readonly leftAtMs: number | null;
  }[];
  readonly notes: {
    readonly comments: readonly {
      readonly id: string;
      readonly pupilId: string;
      readonly responseId: string | null;
      readonly text: string;
      readonly atMs: number;
    }[];
    readonly moves: readonly { readonly pupilId: string; readonly key: GroupKey }[];
    readonly wordings: readonly {
      readonly id: string;
      readonly wording: string;
      readonly timeSec: number;
      readonly atMs: number;
      readonly answers: number;
    }[];
    readonly homePages: readonly { readonly pupilId: string; readonly page: HomePage; readonly atMs: number }[];
  };
}

export const classFileFormat: Format = { name: 'class', migrations: [], carriesVersion: false, unreadable: 'CLASS_UNREADABLE' };
