import type { LessonSettings } from '../../lesson/settings.js';
import type { Item } from '../../question-kinds/registry.js';
import type { Scene } from '../../scene/scene-node.js';
import type { XmlElement } from '../xml.js';

/** A picture that belongs to an item, with its place in the package. */
export interface QtiPicture {
  readonly path: string;
  readonly scene: Scene;
  /** In words, for those who hear it. */
  readonly says: string;
}

/** What a response is declared as, with what is right. */
export interface QtiResponse {
  readonly id: string;
  readonly cardinality: 'single' | 'multiple' | 'ordered';
  readonly baseType: 'identifier' | 'string' | 'integer' | 'directedPair';
  readonly correct: readonly string[];
  /** Other texts that are right, too. */
  readonly alsoRight?: readonly string[];
}

/** An item as a standard interaction. */
export interface QtiBody {
  readonly responses: readonly QtiResponse[];
  readonly interaction: readonly XmlElement[];
  readonly pictures: readonly QtiPicture[];
  /** What this way of asking does not keep, in whole sentences for the teacher. */
  readonly lost: readonly string[];
}

export interface QtiPlace {
  readonly item: Item;
  readonly settings: LessonSettings;
}
