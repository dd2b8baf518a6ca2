import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { PreparedLesson } from '@zeitpunkt/core/lesson/prepare';
import { phasesOf } from '@zeitpunkt/core/lesson/phases';
import { RIM_WORDS } from '../../shared/rim/words';
import { OWN_PACE_WORDS } from './words';

/** A pupil on the line of steps. */
export interface OnLine {
  readonly pupilId: string;
  readonly name: string;
  /** Which step, from 0; null where it was not begun. */
  readonly at: number | null;
  readonly done: boolean;
  readonly online: boolean;
  /** For how long nothing was heard of whoever is on the way, where that is long. */
  readonly since: string | null;
}

/** So many rows of names stand above the line; of more pupils at one place the names stand closer. */
const ROWS = 4;

/** The steps of a lesson as a line with everybody where they are: who has not begun at its left, who is done at its right. */
@Component({
  selector: 'zp-step-line',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section [attr.aria-label]="words().line.label">
      <div class="group">
        <p>
          <strong>{{ notBegun().length }}</strong> {{ words().line.notBegun }}
        </p>
        <ul [attr.aria-label]="words().line.notBegun">
          @for (one of notBegun(); track one.pupilId) {
            <li>{{ one.name }}</li>
          }
        </ul>
      </div>
      <div class="way">
        <ul class="names">
          @for (one of onTheWay(); track one.pupilId) {
            <li [style.left.%]="one.left" [style.bottom.px]="one.bottom" [class.here]="one.online" [class.stuck]="one.since">
              <strong>{{ one.name }}</strong>
              @if (one.online) {
                <span>{{ words().line.now }}</span>
              } @else if (one.since) {
                <span>{{ one.since }}</span>
              }
              <span class="heard-only">{{ words().line.at(one.step, stepCount()) }}</span>
              <i [style.height.px]="one.bottom" aria-hidden="true"></i>
            </li>
          }
        </ul>
        <div class="line" aria-hidden="true"></div>
        <div class="parts" aria-hidden="true">
          @for (part of parts(); track part.key) {
            <span [style.left.%]="part.left" [style.width.%]="part.width"
              ><span>{{ part.name }}</span></span
            >
          }
        </div>
      </div>
      <div class="group">
        <p>
          <strong>{{ done().length }}</strong> {{ words().line.done }}
        </p>
        <ul [attr.aria-label]="words().line.done">
          @for (one of done(); track one.pupilId) {
            <li>{{ one.name }}</li>
          }
        </ul>
      </div>
    </section>
  `,
  styles: `
    section {
      display: grid;
      grid-template-columns: minmax(0, 14rem) minmax(0, 1fr) minmax(0, 11rem);
      gap: 32px;
      padding: 16px;
      border: 2px solid var(--ink);
      border-radius: 4px;
      background: var(--sheet);
    }
    p,
    ul {
      margin: 0;
    }
    .group p {
      color: var(--soft);
    }
    .group p strong {
      color: var(--ink);
      font-size: 22px;
    }
    ul {
      padding: 0;
      list-style: none;
    }
    .group ul {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(4.6rem, 1fr));
      gap: 0 8px;
    }
    .way {
      min-width: 0;
    }
    .names {
      position: relative;
      height: 150px;
    }
    .names li {
      position: absolute;
      margin-left: -8px;
      font-size: 15px;
      line-height: 20px;
      white-space: nowrap;
    }
    .names strong,
    .names span {
      position: relative;
      z-index: 1;
      padding: 0 4px 0 0;
      background: var(--sheet); // the lines of others go behind it
    }
    .names span {
      color: var(--soft);
      font-size: 14px;
    }
    .names i {
      position: absolute;
      top: 20px;
      left: 7px;
      width: 2px;
      background: var(--line);
    }
    .names i::after {
      position: absolute;
      bottom: -7px;
      left: -5px;
      width: 12px;
      height: 12px;
      border-radius: 50%;
      background: var(--ink);
      content: '';
    }
    .here span {
      color: var(--minute);
    }
    .here i::after {
      background: var(--minute);
    }
    .stuck,
    .stuck span {
      color: var(--wrong);
    }
    .stuck i::after {
      border: 2px solid var(--wrong);
      background: var(--sheet);
    }
    .line {
      height: 3px;
      background: var(--ink);
    }
    .parts {
      position: relative;
      height: 28px;
      margin-top: 12px;
    }
    .parts > span {
      position: absolute;
      height: 24px;
      padding-right: 2px;
    }
    .parts > span > span {
      display: block;
      padding: 0 6px;
      overflow: hidden;
      background: var(--faint);
      font-size: 14px;
      line-height: 24px;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
    @media (max-width: 900px) {
      section {
        grid-template-columns: minmax(0, 1fr);
        gap: 12px;
      }
      .way {
        overflow-x: auto;
      }
      .names,
      .line,
      .parts {
        min-width: 480px;
      }
    }
  `,
})
export class StepLine {
  readonly prepared = input.required<PreparedLesson>();
  /** How many steps a pupil goes through. */
  readonly stepCount = input.required<number>();
  readonly pupils = input.required<readonly OnLine[]>();
  protected readonly words = OWN_PACE_WORDS;
  protected readonly notBegun = computed(() => this.pupils().filter(({ at, done }) => at === null && !done));
  protected readonly done = computed(() => this.pupils().filter(({ done }) => done));
  /** Those on the way from left to right, each in the lowest row that is free where their name stands. */
  protected readonly onTheWay = computed(() => {
    const count = Math.max(1, this.stepCount());
    const ends = Array.from({ length: ROWS }, () => -Infinity);
    return this.pupils()
      .flatMap((one) => (one.done || one.at === null ? [] : [{ ...one, step: one.at + 1, left: (100 * (one.at + 0.5)) / count }]))
      .sort((one, other) => one.left - other.left)
      .map((one) => {
        const free = ends.findIndex((end) => end <= one.left);
        const row = free < 0 ? ends.indexOf(Math.min(...ends)) : free;
        ends[row] = one.left + WIDTH_OF_NAME;
        return { ...one, bottom: 14 + row * 30 };
      });
  });
  protected readonly parts = computed(() => {
    const prepared = this.prepared();
    const total = Math.max(1, prepared.totalMs);
    return phasesOf(prepared).map((phase) => ({
      key: phase.from,
      name: RIM_WORDS().phase[phase.id],
      left: (100 * phase.startMs) / total,
      width: (100 * phase.durationMs) / total,
    }));
  });
}

/** How much of the line a name takes, in percent. */
const WIDTH_OF_NAME = 14;
