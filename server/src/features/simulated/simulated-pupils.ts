import { CoreError } from '@zeitpunkt/core/errors';
import { RUNG_IDS, RUNGS } from '@zeitpunkt/core/ladder/registry';
import { rungOfLesson } from '@zeitpunkt/core/lesson/rung-of-lesson';
import { MISCONCEPTION_IDS } from '@zeitpunkt/core/misconceptions/registry';
import { seededRng } from '@zeitpunkt/core/random/rng';
import { simulatedClass } from '@zeitpunkt/core/rehearsal/simulated-class';
import type { SimulatedWish } from '@zeitpunkt/contract';
import { randomUUID } from 'node:crypto';
import type { LiveRoom } from '../../sessions/live-room.js';
import { SimulatedDevice, type SimulatedPupil } from './device.js';

export interface SimulatedNeeds {
  /** Where the server listens; null while it does not. */
  readonly base: () => string | null;
  readonly onFault: (error: unknown) => void;
}

/** The simulated pupils of open rooms. They are in memory only: a server that was started again has none. */
export class SimulatedPupils {
  private readonly inside = new Map<string, { readonly device: SimulatedDevice; readonly joinId: string }[]>();

  constructor(private readonly needs: SimulatedNeeds) {}

  /** Fills a room of a simulated class; those who were in it before leave. @throws CoreError INTERNAL while the server does not listen */
  async fill(room: LiveRoom, wish: SimulatedWish): Promise<void> {
    for (const { device, joinId } of this.inside.get(room.id) ?? []) {
      device.close();
      if (room.hasParticipant(joinId)) room.release(joinId);
    }
    const base = this.needs.base();
    if (base === null) throw new CoreError('INTERNAL', 'Simulated pupils come over the line, and the server does not listen yet.');
    const { roomKey, lesson } = room.detail();
    const needs = { base, settings: lesson.settings, itemOf: (askingId: string) => room.itemOf(askingId), onFault: this.needs.onFault };
    const pupils = pupilsOf(room, wish).map((pupil) => ({ device: new SimulatedDevice(pupil, needs), joinId: randomUUID() }));
    this.inside.set(room.id, pupils);
    const free = room.names.pupils;
    await Promise.all(
      pupils
        .slice(0, free.length)
        .map(({ device, joinId }, place) => device.comeIn({ joinId, roomKey: roomKey!, pupilId: free[place]!.id })),
    );
  }

  /** The devices of a room's simulated pupils are switched off; who was in, and what they gave, stays. */
  empty(roomId: string): void {
    this.inside.get(roomId)?.forEach(({ device }) => device.close());
  }

  close(): void {
    for (const roomId of this.inside.keys()) this.empty(roomId);
  }
}

/** Each rung beyond what pupils know takes so much of their skill; some they guess right all the same. */
const [SKILL_A_RUNG, LEAST_SKILL] = [0.18, 0.3];

function pupilsOf(room: LiveRoom, wish: SimulatedWish): SimulatedPupil[] {
  const { count, ideas, slowness, carelessness, dropOuts, seed } = wish;
  const taught = rungOfLesson(room.detail().lesson);
  const known = wish.rung ?? taught;
  const beyond = Math.max(0, RUNG_IDS.indexOf(taught) - RUNG_IDS.indexOf(known));
  const held = ideas ?? RUNGS[known].misconceptions;
  const unknown = held.find((id) => !MISCONCEPTION_IDS.includes(id));
  if (unknown !== undefined) throw new CoreError('REQUEST_SHAPE', `There is no misconception “${unknown}”.`, { unknown });
  return simulatedClass(count, held, seededRng(seed)).map((profile, place) => ({
    profile: {
      ...profile,
      carelessness,
      paceMs: profile.paceMs * slowness,
      ...(beyond > 0 && { skill: Math.max(LEAST_SKILL, 1 - SKILL_A_RUNG * beyond) }),
    },
    dropOuts,
    slowness,
    seed: seed + place + 1,
  }));
}
