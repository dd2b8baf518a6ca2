import { ApiProblem, sentenceOf } from '../../shared/api';
import { deviceStore } from '../../shared/device-store';
import type { LevelFault } from '@zeitpunkt/core/voice/level-watch';
import { Microphone, type MicrophoneChoice } from './microphone';

const CHOSEN = 'zeitpunkt-microphone';
const device = deviceStore();

/** A microphone as the place shows it. */
export interface MicrophoneState {
  /** Not asked for, being opened, or heard. */
  readonly microphone: 'off' | 'opening' | 'on';
  readonly microphones: readonly MicrophoneChoice[];
  readonly microphoneId: string | null;
  /** How loud it is now, in dB, and what is wrong with it. */
  readonly db: number;
  readonly fault: LevelFault | null;
}

export const MICROPHONE_OFF: MicrophoneState = { microphone: 'off', microphones: [], microphoneId: null, db: -100, fault: null };

/** The microphone that is listened to, which this device remembers. */
export class OpenMicrophone {
  private open: Microphone | null = null;

  constructor(
    private readonly on: {
      readonly state: (state: Partial<MicrophoneState> & { readonly problem?: string | null }) => void;
      /** It was pulled out. */
      readonly gone: () => void;
    },
  ) {}

  get stream(): MediaStream | null {
    return this.open?.stream ?? null;
  }

  /** Opens the microphone that was used last, where there is one. @returns whether one is heard */
  async listen(id: string | null = device.get(CHOSEN)): Promise<boolean> {
    if (await this.tryTo(id)) return true;
    // The one of last time is not plugged in today: any other will do.
    if (id === null || id !== device.get(CHOSEN)) return false;
    device.remove(CHOSEN);
    return this.tryTo(null);
  }

  close(): void {
    this.open?.close();
    this.open = null;
    this.on.state({ microphone: 'off', db: MICROPHONE_OFF.db, fault: null });
  }

  private async tryTo(id: string | null): Promise<boolean> {
    this.close();
    this.on.state({ microphone: 'opening', problem: null });
    try {
      const opened = await Microphone.open(id);
      this.open = opened;
      opened.onGone(this.on.gone);
      opened.listen((db, { fault }) => this.on.state({ db, fault }));
      const chosen = opened.id;
      if (chosen) device.set(CHOSEN, chosen);
      this.on.state({ microphone: 'on', microphoneId: chosen, microphones: await Microphone.all() });
      return true;
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      this.on.state({ microphone: 'off', problem: sentenceOf(error) });
      return false;
    }
  }
}
