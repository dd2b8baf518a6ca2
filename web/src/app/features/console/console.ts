import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input, viewChild } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatTooltip } from '@angular/material/tooltip';
import { Router, RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import type { RoomCommand } from '@zeitpunkt/core';
import { everySecond } from '../../shared/every-second';
import { Steering } from '../../shared/steering';
import { liveActions, liveFeature, type RoomAct } from '../../state/live';
import { AUDIENCE_KEYS } from '../../ui/audience-window';
import { Confirm } from '../../ui/confirm';
import { KeyList } from '../../ui/key-list';
import { useShortcuts, type Shortcut } from '../../shared/shortcuts';
import { AnswersPanel } from './answers-panel';
import { DoorPanel } from './door';
import { DoorTurn, doorWords } from './door-turn';
import { KeyShow } from './key-show';
import { ScriptPanel, scriptShortcuts } from './script-panel';
import { SimulatedPanel } from './simulated-panel';
import { WhoIsHere } from './who-is-here';

/** The teacher's side of a live lesson: notes to read out, what comes next, the clock of the script, the answers coming in. */
@Component({
  selector: 'zp-console',
  imports: [
    AnswersPanel,
    Confirm,
    DoorPanel,
    DoorTurn,
    KeyList,
    KeyShow,
    MatButton,
    MatTooltip,
    RouterLink,
    ScriptPanel,
    SimulatedPanel,
    WhoIsHere,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(click)': 'steering.tap($event)' },
  templateUrl: './console.html',
  styleUrl: './console.scss',
})
export class Console {
  readonly id = input.required<string>();
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  protected readonly steering = inject(Steering);
  protected readonly audienceKeys = AUDIENCE_KEYS;
  protected readonly detail = this.store.selectSignal(liveFeature.selectDetail);
  protected readonly asking = this.store.selectSignal(liveFeature.selectAsking);
  protected readonly outdated = this.store.selectSignal(liveFeature.selectOutdated);
  protected readonly lineOpen = this.store.selectSignal(liveFeature.selectLineOpen);
  protected readonly problem = this.store.selectSignal(liveFeature.selectProblem);
  private readonly skewMs = this.store.selectSignal(liveFeature.selectClockSkewMs);
  private readonly now = everySecond();
  private readonly panel = viewChild(ScriptPanel);
  /** The server's clock now, to the second, in milliseconds since 1970. */
  protected readonly serverNow = computed(() => this.now() - this.skewMs());

  protected readonly room = computed(() => this.detail()?.live.room);
  protected readonly doorWords = computed(() => {
    const room = this.room();
    return room ? doorWords(room.door, this.serverNow()) : '';
  });
  /** The keys of the console, each within either half of a keyboard. */
  protected readonly shortcuts: readonly Shortcut[] = [
    ...scriptShortcuts(this.steering, () => this.panel()),
    { left: ['V'], right: ['O'], text: 'Audience window', act: () => this.openAudience() },
  ];

  constructor() {
    useShortcuts(this.shortcuts);
    effect(() => this.store.dispatch(liveActions.open({ sessionId: this.id(), window: 'console' })));
    inject(DestroyRef).onDestroy(() => this.store.dispatch(liveActions.close()));
  }

  protected openAudience(): void {
    // Named, so that pressing again brings the same window to the front.
    window.open(`/audience/${this.id()}`, `audience-${this.id()}`, 'popup,width=1280,height=720');
  }

  protected act(act: RoomAct): void {
    this.store.dispatch(liveActions.act({ sessionId: this.id(), act }));
  }

  protected tell(command: RoomCommand): void {
    this.steering.tell(command);
  }

  protected reload(): void {
    location.reload();
  }

  protected end(): void {
    this.steering.tell({ type: 'end' });
  }

  protected toReview(): void {
    void this.router.navigate(['/review', this.id()]);
  }
}
