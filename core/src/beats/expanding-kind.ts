import type { LessonSettings } from '../lesson/settings.js';
import type { BeatDoes } from './beat-kind.js';

/** One step of a beat that expands, by a name of its own within the beat. Names stand in stored places: add, never rename. */
export interface ExpandedStep<Played> {
  readonly step: string;
  readonly beat: Played;
}

/** A kind of beat that is one line in a lesson and several steps on the stage, each a beat that plays. */
export interface ExpandingKind<Beat, Played> {
  /** For lists: "Worked example". */
  readonly name: string;
  readonly does: BeatDoes;
  /** What it is about in a few words, for lists: "7:40". */
  readonly about: (beat: Beat, settings: LessonSettings) => string;
  /** Its steps, at least one. @throws CoreError where the beat cannot be played in this school */
  readonly expand: (beat: Beat, settings: LessonSettings) => readonly ExpandedStep<Played>[];
}
