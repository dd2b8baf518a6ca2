import { ChangeDetectionStrategy, Component, computed, inject, input, output, viewChild } from '@angular/core';
import { Store } from '@ngrx/store';
import type { Pose } from '@zeitpunkt/core/dial/pose';
import type { RoomCommand } from '@zeitpunkt/core/live/room';
import { liveFeature, type RoomAct } from '../../state/live';
import { Icon } from '../../ui/icons/icon';
import { LineLost } from '../../ui/line-lost';
import { SmallDial } from '../../ui/parts/small-dial';
import { DoorPanel } from './door';
import { DoorTurn } from './door-turn';
import { KeyShow } from '../../shared/room-key/key-show';
import { SimulatedPanel } from './simulated-panel';
import { CONSOLE_WORDS } from './words';

/** A pupil of the class before the lesson begins. */
interface LobbyTile {
  readonly id: string;
  readonly name: string;
  readonly state: 'in' | 'lost' | 'waits' | 'away';
  /** The clock that this pupil is turning. */
  readonly pose: Pose | null;
  readonly heard: string;
}

const TWELVE: Pose = { hourDeg: 0, minuteDeg: 0 };

/** Before the lesson begins: the way in, the door, and the class as tiles that light up with the clock each child is turning. */
@Component({
  selector: 'zp-lobby',
  imports: [DoorPanel, DoorTurn, Icon, KeyShow, LineLost, SimulatedPanel, SmallDial],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lobby.html',
  styleUrl: './lobby.scss',
})
export class Lobby {
  /** The server's clock, in milliseconds since 1970. */
  readonly nowMs = input.required<number>();
  readonly tell = output<RoomCommand>();
  readonly act = output<RoomAct>();
  private readonly store = inject(Store);
  private readonly catalogue = CONSOLE_WORDS;
  protected readonly words = computed(() => this.catalogue().lobby);
  protected readonly detail = this.store.selectSignal(liveFeature.selectDetail);
  readonly door = viewChild(DoorPanel);

  /** Everybody on the list of the class, and who came besides. */
  protected readonly tiles = computed((): readonly LobbyTile[] => {
    const detail = this.detail();
    if (!detail) return [];
    const words = this.words();
    const { participants, passing } = detail.live;
    const here = new Map(participants.map((one) => [one.pupilId, one]));
    const poses = new Map(passing.shown.map(({ participantId, pose }) => [participantId, pose]));
    const listed = new Set(detail.pupils.map(({ id }) => id));
    const others = participants.filter(({ pupilId }) => !listed.has(pupilId)).map(({ pupilId, name }) => ({ id: pupilId, name }));
    return [...detail.pupils, ...others].map(({ id, name }) => {
      const one = here.get(id);
      if (!one) return { id, name, state: 'away', pose: null, heard: words.notYet };
      if (one.waits) return { id, name: one.name, state: 'waits', pose: null, heard: words.atDoor };
      if (!one.online) return { id, name: one.name, state: 'lost', pose: null, heard: words.isLost };
      return { id, name: one.name, state: 'in', pose: poses.get(one.id) ?? TWELVE, heard: words.isIn };
    });
  });
  protected readonly inCount = computed(() => this.tiles().filter(({ state }) => state === 'in' || state === 'lost').length);
}
