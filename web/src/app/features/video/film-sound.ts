import type { Film } from '@zeitpunkt/core/voice/film';
import type { Shot } from '@zeitpunkt/core/voice/shot';
import { ALL_FORMATS, AudioSampleSink, BlobSource, Input, type AudioSample } from 'mediabunny';
import { ApiProblem } from '../../shared/api';

/** Samples a second that films are made with. */
export const FILM_RATE = 48_000;

const samplesIn = (ms: number) => Math.round((ms * FILM_RATE) / 1000);

/** The sound of a film from its beginning to its end: takes where they belong, silence between. Never more than one take is open. */
export class FilmSound {
  private place = 0;
  private open: { readonly shot: Shot; readonly voice: TakeVoice } | null = null;

  constructor(
    private readonly film: Film,
    private readonly soundOf: (takeId: string) => Promise<Blob>,
  ) {}

  /** The next so many samples. */
  async read(count: number): Promise<Float32Array<ArrayBuffer>> {
    const samples = new Float32Array(count);
    const [begin, end] = [this.place, this.place + count];
    this.place = end;
    for (const shot of this.film.shots) {
      const from = samplesIn(shot.startMs);
      if (from >= end) break;
      if (!shot.take) continue;
      const to = from + samplesIn(Math.min(shot.durationMs, shot.take.durationMs));
      if (to <= begin) continue;
      const voice = await this.voiceOf(shot);
      const at = Math.max(0, from - begin);
      await voice.readInto(samples.subarray(at, Math.min(count, to - begin)));
    }
    return samples;
  }

  private async voiceOf(shot: Shot): Promise<TakeVoice> {
    if (this.open?.shot === shot) return this.open.voice;
    this.open?.voice.close();
    const voice = await TakeVoice.open(await this.soundOf(shot.take!.id));
    this.open = { shot, voice };
    return voice;
  }

  close(): void {
    this.open?.voice.close();
  }
}

/** The samples of a take, one channel, at the rate of the film, decoded as they are needed. */
class TakeVoice {
  private block = new Float32Array(0);
  private rate = FILM_RATE;
  /** Where the next sample lies within the block, in samples of the take. */
  private at = 0;
  private last = 0;

  private constructor(
    private readonly input: Input,
    private readonly samples: AsyncGenerator<AudioSample, void, unknown>,
  ) {}

  static async open(sound: Blob): Promise<TakeVoice> {
    const input = new Input({ source: new BlobSource(sound), formats: ALL_FORMATS });
    const track = await input.getPrimaryAudioTrack();
    if (!track) throw new ApiProblem('SOUND_NOT_READ', 'A take holds no sound.');
    return new TakeVoice(input, new AudioSampleSink(track).samples());
  }

  /** Fills with the next samples; past the end of the take with silence. Another rate is bridged by straight lines. */
  async readInto(out: Float32Array): Promise<void> {
    for (let index = 0; index < out.length;) {
      if (this.at >= this.block.length) {
        this.at -= this.block.length;
        this.last = this.block.at(-1) ?? 0;
        if (!(await this.nextBlock())) return;
      }
      const step = this.rate / FILM_RATE;
      for (; index < out.length && this.at < this.block.length; index++, this.at += step) {
        const place = Math.floor(this.at);
        const [before, here] = [place === 0 ? this.last : this.block[place - 1]!, this.block[place]!];
        out[index] = before + (here - before) * (this.at - place);
      }
    }
  }

  close(): void {
    void this.samples.return();
    this.input.dispose();
  }

  private async nextBlock(): Promise<boolean> {
    const { value } = await this.samples.next();
    if (!value) return false;
    this.block = new Float32Array(value.numberOfFrames);
    this.rate = value.sampleRate;
    value.copyTo(this.block, { format: 'f32-planar', planeIndex: 0 });
    value.close();
    return true;
  }
}
