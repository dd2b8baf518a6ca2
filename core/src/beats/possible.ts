import type { Pose } from '../dial/pose.js';
import { reportPose } from '../dial/possible.js';
import { NEW_BUILD } from '../stage/dial-build.js';
import { talkOf } from '../talk/registry.js';
import { PLAIN_LAYERS } from '../scene/dial-state.js';
import type { ExpandingKind } from './expanding-kind.js';
import type { MarkBeat } from './mark.js';
import type { SetBeat } from './set.js';
import type { ShowBeat } from './show.js';

/** Two hands put by themselves: can a clock look like this? And why, or why not. */
export interface PossibleBeat {
  readonly kind: 'possible';
  readonly pose: Pose;
  /** What is asked; the lesson's own words where it is empty. */
  readonly text: string;
}

export const possible: ExpandingKind<PossibleBeat, SetBeat | MarkBeat | ShowBeat> = {
  name: 'Possible or not',
  does: 'slip',
  about: ({ pose }) => (reportPose(pose).possible ? 'possible' : 'not possible'),
  expand({ pose, text }, settings) {
    const talk = talkOf(settings);
    const report = reportPose(pose);
    const build = { ...NEW_BUILD, hands: 'free' as const, freePose: pose, layers: PLAIN_LAYERS, display: 'none' as const, events: [] };
    const sentence = talk.possible.verdict(pose);
    return [
      { step: 'shown', beat: { kind: 'show', build, text: text || talk.possible.ask } },
      { step: 'verdict', beat: { kind: 'mark', marks: [{ type: 'hand', hand: 'hour' }], text: sentence, board: sentence } },
      {
        step: 'right',
        beat: {
          kind: 'set',
          timeSec: report.nearest,
          display: 'full',
          words: true,
          text: report.possible ? talk.possible.moved : talk.possible.mended,
        },
      },
    ];
  },
};
