import type { MisconceptionId } from '../misconceptions/registry.js';
import { predictionsBy } from '../question-kinds/predictions.js';
import type { Item } from '../question-kinds/registry.js';
import type { LessonSettings } from '../lesson/settings.js';

/**
 * Which ideas a question would show. What was found out once is kept: a draft is made several times, a little longer or
 * shorter, and each time begins with the same questions.
 */
export class Chances {
  private readonly known = new Map<string, Map<MisconceptionId, boolean>>();

  constructor(private readonly settings: LessonSettings) {}

  /** Those of some ideas that the question gives a chance to show. */
  of(item: Item, ideas: readonly MisconceptionId[]): readonly MisconceptionId[] {
    const content = JSON.stringify({ ...item, id: '' });
    const known = this.known.get(content) ?? new Map<MisconceptionId, boolean>();
    this.known.set(content, known);
    const unknown = ideas.filter((id) => !known.has(id));
    if (unknown.length > 0) {
      const found = predictionsBy(unknown, item, this.settings);
      for (const id of unknown) known.set(id, found.has(id));
    }
    return ideas.filter((id) => known.get(id));
  }
}
