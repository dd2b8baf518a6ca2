import type { DeskView } from '@zeitpunkt/contract';
import { deviceStore } from '../../shared/device-store';

/** A pupil who shares the device with another. */
export interface Beside {
  readonly participantId: string;
  readonly pupilName: string;
}

const BESIDE = 'zp-beside';
const device = deviceStore();

/** Keeps on this device which two pupils share it, or that none do. */
export function keepBeside(both: readonly Pick<DeskView, 'participantId' | 'pupilName'>[] | null): void {
  if (!both) device.remove(BESIDE);
  else device.set(BESIDE, JSON.stringify(both.map(({ participantId, pupilName }) => ({ participantId, pupilName }))));
}

/** The two who share this device, as it keeps them; whatever else stands there is nobody. */
function kept(): readonly Beside[] {
  try {
    const both: unknown = JSON.parse(device.get(BESIDE) ?? '[]');
    return Array.isArray(both) ? (both as readonly Beside[]) : [];
  } catch {
    return [];
  }
}

/** The other one of the two who share this device, if the one at it is one of them. */
export function besideOf(participantId: string): Beside | null {
  const both = kept();
  const isOne = both.some((one) => one.participantId === participantId);
  return (isOne && both.find((one) => one.participantId !== participantId)) || null;
}
