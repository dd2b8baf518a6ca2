import { computed, Injectable, signal } from '@angular/core';
import { ask } from './api';
import { deviceStore } from './device-store';

const CHOSEN = 'zp-address';
const device = deviceStore();

/** The address that pupils open: one of those the server knows. What is chosen holds for every window of this browser. */
@Injectable({ providedIn: 'root' })
export class DeskAddress {
  /** Without a path, the likeliest first; this page's own until the server has said. */
  readonly all = signal<readonly string[]>([location.origin]);
  private readonly chosen = signal(device.get(CHOSEN));
  readonly now = computed(() => this.all().find((address) => address === this.chosen()) ?? this.all()[0]!);
  /** What pupils type and what the QR code holds. */
  readonly desk = computed(() => `${this.now()}/desk`);

  constructor() {
    window.addEventListener('storage', ({ key, newValue }) => {
      if (key === CHOSEN) this.chosen.set(newValue);
    });
    void ask<readonly string[]>('GET', '/api/addresses').then(
      (addresses) => addresses.length > 0 && this.all.set(addresses),
      () => undefined, // this page's own address is shown then
    );
  }

  choose(address: string): void {
    device.set(CHOSEN, address);
    this.chosen.set(address);
  }
}
