import { reallyDelete, type Store } from '../../db/connection.js';
import type { Events } from '../../events.js';
import { deletePupil, insertPupils, mustBeFree, pupilOfCard } from './queries.js';

/** Class lists as the door of a room knows and changes them. */
export class ClassLists {
  constructor(
    private readonly store: Store,
    private readonly events: Events,
  ) {}

  /** Adds one who came by key at the end of a class list. @throws CoreError NAME_TAKEN */
  add(classId: string, { id, name }: { readonly id: string; readonly name: string }): void {
    mustBeFree(this.store.db, classId, name, id);
    insertPupils(this.store.db, classId, [{ id, name, reference: null }]);
    this.events.emit('classChanged', { classId, merged: false });
  }

  /** Takes one off the class list again, who never was let in. */
  remove(classId: string, pupilId: string): void {
    reallyDelete(this.store, () => deletePupil(this.store.db, pupilId));
    this.events.emit('classChanged', { classId, merged: false });
  }

  /** The pupil whose join card it is, with the class; undefined where it opens nothing. */
  ofCard(hashOfToken: string) {
    return pupilOfCard(this.store.db, hashOfToken);
  }
}
