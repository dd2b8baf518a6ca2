import { type LevelWatch, NEW_WATCH, watchLevel } from '@zeitpunkt/core/voice/level-watch';
import { decibelOf } from '@zeitpunkt/core/voice/levels';
import { ApiProblem } from '../../shared/api';

/** A microphone to choose. */
export interface MicrophoneChoice {
  readonly id: string;
  readonly name: string;
}

const SENTENCES: Readonly<Record<string, string>> = {
  NotAllowedError: 'This browser may not use the microphone. Allow it beside the address of this page, then try again.',
  NotFoundError: 'No microphone was found. Plug one in, then try again.',
  OverconstrainedError: 'The microphone that was chosen is not there any more. Choose another one.',
  NotReadableError: 'The microphone is used by another program. Close that program, then try again.',
};

/** The level is looked at so often, in milliseconds. */
const LOOK_MS = 60;

/** A microphone that is open: it is listened to, and its level is watched. Only the teacher's voice: nothing of a call comes in here. */
export class Microphone {
  private timer = 0;
  private watch: LevelWatch = NEW_WATCH;
  private readonly analyser: AnalyserNode;
  private readonly samples: Float32Array<ArrayBuffer>;

  private constructor(
    readonly stream: MediaStream,
    private readonly context: AudioContext,
  ) {
    this.analyser = new AnalyserNode(context, { fftSize: 4096 });
    this.samples = new Float32Array(this.analyser.fftSize);
    context.createMediaStreamSource(stream).connect(this.analyser);
  }

  /** @param id of the microphone; null for the one that the device prefers. @throws MicrophoneProblem */
  static async open(id: string | null): Promise<Microphone> {
    if (!('mediaDevices' in navigator)) {
      throw new ApiProblem('MICROPHONE', 'This page may not record here: it must be opened on this computer itself or over https.');
    }
    try {
      const audio = { channelCount: 1, autoGainControl: true, noiseSuppression: true, echoCancellation: false };
      const stream = await navigator.mediaDevices.getUserMedia({ audio: id === null ? audio : { ...audio, deviceId: { exact: id } } });
      const context = new AudioContext();
      if (context.state === 'suspended') void context.resume();
      return new Microphone(stream, context);
    } catch (error) {
      const name = error instanceof DOMException ? error.name : '';
      throw new ApiProblem('MICROPHONE', SENTENCES[name] ?? 'The microphone cannot be used just now. Choose another one, or try again.');
    }
  }

  /** All microphones; they have names once one was allowed. */
  static async all(): Promise<MicrophoneChoice[]> {
    const devices = await navigator.mediaDevices.enumerateDevices();
    return devices
      .filter(({ kind, deviceId }) => kind === 'audioinput' && deviceId !== '')
      .map(({ deviceId, label }, index) => ({ id: deviceId, name: label || `Microphone ${index + 1}` }));
  }

  get id(): string | null {
    return this.stream.getAudioTracks()[0]?.getSettings().deviceId ?? null;
  }

  /** Tells the level again and again, from 0 for none to 1 for the loudest, and what is wrong with it. */
  listen(tell: (db: number, watch: LevelWatch) => void): void {
    clearInterval(this.timer);
    this.watch = NEW_WATCH;
    this.timer = window.setInterval(() => {
      this.analyser.getFloatTimeDomainData(this.samples);
      const db = decibelOf(this.samples);
      const peak = this.samples.reduce((most, value) => Math.max(most, Math.abs(value)), 0);
      this.watch = watchLevel(this.watch, db, peak, performance.now());
      tell(db, this.watch);
    }, LOOK_MS);
  }

  /** Calls back when the microphone is pulled out. */
  onGone(gone: () => void): void {
    this.stream.getAudioTracks()[0]?.addEventListener('ended', gone);
  }

  close(): void {
    clearInterval(this.timer);
    for (const track of this.stream.getTracks()) track.stop();
    void this.context.close();
  }
}
