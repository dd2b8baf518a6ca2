import { NEW_BUILD } from '../stage/dial-build.js';
import type { NewBeat } from '../beats/registry.js';
import { gearedPose } from '../dial/pose.js';
import type { Rung } from '../ladder/rung.js';
import { PLAIN_LAYERS } from '../scene/dial-state.js';
import { secondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import { tongueOf } from '../talk/registry.js';
import { DEMONSTRATIONS } from './demonstrations/registry.js';
import type { LessonInMaking } from './lesson-in-making.js';

/** What is shown: examples from easy to tricky, a contrast, help that fades. */
export class Examples {
  /** Tricky times that no example has shown yet. */
  private readonly traps: Rung['tricky'][number][];
  /** Examples in which hands are set. */
  private handsSet = 0;
  private wasContrasted = false;

  constructor(private readonly lesson: LessonInMaking) {
    // The one between 12 and 1 first, then those where the hands mislead, then what is left.
    const [past12 = [], others = []] = [true, false].map((is12) => lesson.rung.tricky.filter(({ hour }) => (hour === 12) === is12));
    this.traps = [...past12.slice(0, 1), ...others, ...past12.slice(1)];
  }

  example(at: SecondOfDay, from?: 'display' | 'words'): void {
    const { demonstration } = this.lesson.rung;
    this.lesson.picker.show(at);
    const beats: readonly NewBeat[] =
      from && demonstration === 'sweep'
        ? [{ kind: 'worked-example', timeSec: at, from }]
        : DEMONSTRATIONS[demonstration].example(at, this.lesson.made());
    this.lesson.beats.push(...beats);
  }

  /** The trap is named before it is gone round. */
  trickyExample(): void {
    const place = this.traps.findIndex(({ hour, minute }) => !this.lesson.picker.wasAsked(secondOfDay(hour, minute)));
    // When the tricky ones are through, hands are set: from words and from a display in turn.
    if (place < 0) return this.example(this.lesson.times.forExample(), this.handsSet++ % 2 === 0 ? 'words' : 'display');
    const [tricky] = this.traps.splice(place, 1) as [Rung['tricky'][number]];
    this.lesson.say(this.lesson.texts.tricky(tricky.why[tongueOf(this.lesson.wish.settings)]));
    this.example(this.lesson.times.use(secondOfDay(tricky.hour, tricky.minute)));
  }

  /** Two dials beside each other that show where the trap lies. */
  contrast(): void {
    const { contrast } = this.lesson.rung;
    if (!contrast || this.wasContrasted) return;
    const [left, right] = contrast.times.map(({ hour, minute }) => secondOfDay(hour, minute)) as [SecondOfDay, SecondOfDay];
    if (this.lesson.picker.wasAskedLately(left) || this.lesson.picker.wasAskedLately(right)) return;
    this.wasContrasted = true;
    for (const at of [left, right]) this.lesson.picker.show(at);
    const { settings } = this.lesson.wish;
    this.lesson.beats.push({
      kind: 'show',
      build: {
        ...NEW_BUILD,
        timeSec: right,
        layers: PLAIN_LAYERS,
        display: 'none',
        separator: settings.separator,
        pack: settings.pack,
        events: [],
        beside: [{ pose: gearedPose(left), layers: PLAIN_LAYERS, marks: [] }],
        place: 1,
      },
      text: contrast.says[tongueOf(settings)],
    });
  }

  /** From here on plain: a clock at home has no minute numbers and no colours. */
  fade(): void {
    this.lesson.beats.push({
      kind: 'layers',
      layers: { minuteRing: 'none', handInk: 'alike' },
      lasts: true,
      text: this.lesson.texts.fades,
    });
  }
}
