import { type Signal, signal } from '@angular/core';
import { deviceStore } from './device-store';

/** What is chosen once and stays so on this device; windows that are open already go on with what they have. */
export interface KeptChoice<T extends string> {
  readonly now: Signal<T>;
  choose(next: T): void;
}

/** @param key where it is kept @param first what it is until somebody chooses, or where what is kept is none of them */
export function keptChoice<T extends string>(key: string, all: readonly T[], first: T): KeptChoice<T> {
  const device = deviceStore();
  const kept = device.get(key);
  const chosen = signal<T>(all.find((one) => one === kept) ?? first);
  return {
    now: chosen.asReadonly(),
    choose(next) {
      device.set(key, next);
      chosen.set(next);
    },
  };
}
