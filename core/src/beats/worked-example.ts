import { explain, type ExplainFrom, type ExplainStep } from '../stage/explain.js';
import { displayText } from '../time/display.js';
import { toSecondOfDay } from '../time/second-of-day.js';
import type { ExpandingKind } from './expanding-kind.js';

/** One line in a lesson file, a time; it plays as the chain of thought that {@link explain} generates from it. */
export interface WorkedExampleBeat {
  readonly kind: 'worked-example';
  readonly timeSec: number;
  /** What is given: a dial to read where absent, a display or words to set the hands to. */
  readonly from?: Exclude<ExplainFrom, 'dial'>;
  /** Steps whose words the teacher has changed, with the words that were there, so that one that no longer fits is told. */
  readonly edits?: readonly { readonly step: string; readonly text: string; readonly of: string }[];
}

/** The steps as generated, without the teacher's changes. */
export const generatedSteps = ({ timeSec, from }: WorkedExampleBeat, settings: Parameters<typeof explain>[1]) =>
  explain(toSecondOfDay(timeSec), settings, from ?? 'dial');

export const workedExample: ExpandingKind<WorkedExampleBeat, ExplainStep['beat']> = {
  name: 'Worked example',
  does: 'example',
  about: ({ timeSec, from }, { separator }) =>
    `${displayText(toSecondOfDay(timeSec), separator)}${from ? (from === 'words' ? ', from words' : ', from the display') : ''}`,
  expand: (beat, settings) =>
    generatedSteps(beat, settings).map((one) => {
      const edit = beat.edits?.find(({ step }) => step === one.step);
      return edit ? { ...one, beat: { ...one.beat, text: edit.text } } : one;
    }),
};
