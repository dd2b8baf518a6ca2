import { NgComponentOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, effect, input, signal, type Type, untracked } from '@angular/core';
import { loadAgainIfReachable } from '../shared/load-again';

/** A wait before a part that could not be fetched is tried again, in milliseconds. */
const AGAIN_MS = 2000;

/**
 * A part of the page that is fetched when it is first shown. It takes what it needs from the stores of the page; lighter than
 * a deferred block, whose machinery every page would load.
 */
@Component({
  selector: 'zp-lazy',
  imports: [NgComponentOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<ng-container *ngComponentOutlet="part()" />',
  styles: ':host { display: contents; }',
})
export class LazyPart {
  readonly load = input.required<() => Promise<Type<unknown>>>();
  protected readonly part = signal<Type<unknown> | null>(null);

  constructor() {
    effect(() => {
      this.load();
      untracked(() => this.fetch());
    });
  }

  /** The line may be lost just now: it is tried again until it is there, if need be with the page loaded anew. */
  private fetch(isAgain = false): void {
    this.load()().then(
      (part) => this.part.set(part),
      () => {
        if (isAgain) void loadAgainIfReachable();
        setTimeout(() => this.fetch(true), AGAIN_MS);
      },
    );
  }
}
