import { reasonFor } from '../../talk/reason.js';
import { tongueOf } from '../../talk/registry.js';
import { dialLetter } from '../../scene/describe-stage.js';
import { displayText } from '../../time/display.js';
import { toSecondOfDay } from '../../time/second-of-day.js';
import { choiceKind } from '../choice-kind.js';
import { whereToBegin } from '../kind-talk.js';
import { asPicture } from '../seen-as.js';
import type { ChooseOneItem } from './item.js';
import { makeChooseOne } from './make.js';
import { CHOOSE_ONE_SAMPLES } from './samples.js';
import { taken } from './taken.js';
import { TEXTS } from './texts.js';

const showsDial = ({ from, choices }: ChooseOneItem) => from === 'dial' || choices.some((choice) => !('text' in choice));
const atOf = (item: ChooseOneItem) => toSecondOfDay(item.timeSec);

export const chooseOne = choiceKind<'choose-one', ChooseOneItem>({
  kind: 'choose-one',
  name: 'Choose the one that shows it',
  thinkSec: 22,
  timesOf: (item) => [atOf(item)],
  stem: (item, settings) => TEXTS[tongueOf(settings)].stems[item.from],
  picture: (item, settings) => asPicture(atOf(item), item.from, settings),
  choices: (item) => item.choices,
  taken: (item, acts, settings) => taken(item, acts, settings).map((place) => [place]),
  doing: (item) => (item.from === 'words' ? ['mean', 'read', 'set', 'digits'] : ['read', 'set', 'mean', 'digits']),
  lookAt: (item, settings) => (showsDial(item) ? whereToBegin(atOf(item), settings) : TEXTS[tongueOf(settings)].noDial),
  reason: (item, settings, [key = 0]) => [
    TEXTS[tongueOf(settings)].is(dialLetter(key), displayText(atOf(item), settings.separator)),
    ...reasonFor(atOf(item), settings),
  ],
  make: makeChooseOne,
  samples: CHOOSE_ONE_SAMPLES,
});
