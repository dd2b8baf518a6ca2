import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { dialLetter } from '@zeitpunkt/core/scene/describe-stage';
import type { DialLayers } from '@zeitpunkt/core/scene/dial-state';
import { dayEventsText, readDayEvents } from '@zeitpunkt/core/series/day-events';
import {
  MOST_BESIDE,
  placeOf,
  setAside,
  switchBand,
  takeAway,
  takeUp,
  type BandChoice,
  type DialBuild,
} from '@zeitpunkt/core/stage/dial-build';
import { WORD_PACKS } from '@zeitpunkt/core/words/registry';
import { LayerPicture } from '../../ui/parts/layer-picture';
import { Choose } from './choose';
import { DialsStore } from './dials-store';
import { BANDS, FACE, HANDS, RINGS } from './options';
import { DIALS_WORDS } from './words';

const MOVING: ReadonlySet<string> = new Set<keyof DialBuild>(['timeSec', 'freePose', 'marks']);
const isBuiltAlike = (one: DialBuild, other: DialBuild): boolean =>
  (Object.keys(other) as (keyof DialBuild)[]).every((key) => MOVING.has(key) || one[key] === other[key]);

/** What is on the dial that is built, beside it and below it: each as a picture of what it does. */
@Component({
  selector: 'zp-layer-panel',
  imports: [Choose, LayerPicture, MatButton, MatButtonToggle, MatButtonToggleGroup, MatFormField, MatInput, MatLabel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './layer-panel.html',
  styleUrl: './layer-panel.scss',
})
export class LayerPanel {
  /** Hands are let free, or go into gear again: with a turn that can be seen. */
  readonly gear = output();
  protected readonly store = inject(DialsStore);
  protected readonly words = DIALS_WORDS;
  protected readonly face = FACE;
  protected readonly rings = RINGS;
  protected readonly hands = HANDS;
  protected readonly bands = BANDS;
  protected readonly digits = [0, 1, 2, 3];
  protected readonly mostBeside = MOST_BESIDE;
  /** What is built, but for where the hands and pointers stand: while a hand is drawn round nothing here is drawn anew. */
  protected readonly built = computed(() => this.store.build(), { equal: isBuiltAlike });
  protected readonly place = computed(() => placeOf(this.built()));
  /** Several dials by their letters. */
  protected readonly letters = computed(() => Array.from({ length: this.built().beside.length + 1 }, (_, place) => dialLetter(place)));
  protected readonly eventsProblem = signal<string | null>(null);
  protected readonly eventsText = computed(() => dayEventsText(this.built().events));

  protected set<Key extends keyof DialBuild>(key: Key, value: DialBuild[Key]): void {
    this.store.change((build) => ({ ...build, [key]: value }));
  }

  protected setLayer<Key extends keyof DialLayers>(key: Key, value: DialLayers[Key]): void {
    this.store.change((build) => ({ ...build, layers: { ...build.layers, [key]: value } }));
  }

  protected readonly aside = () => this.store.change(setAside);
  protected readonly away = () => this.store.change(takeAway);
  protected readonly takeUp = (place: number) => this.store.change(takeUp(place));
  protected readonly band = (choice: BandChoice) => this.store.change(switchBand(choice));

  protected setEvents(text: string): void {
    const entry = readDayEvents(text, WORD_PACKS[this.store.build().pack]);
    this.eventsProblem.set('problem' in entry ? entry.problem : null);
    if ('events' in entry) this.set('events', entry.events);
  }
}
