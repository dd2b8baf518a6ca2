/** Plays the sound of takes, one at a time, at any pace without changing the pitch of the voice. */
export class TakePlayer {
  private readonly audio = new Audio();
  private url = '';

  constructor(ended: () => void) {
    this.audio.preservesPitch = true;
    this.audio.onended = ended;
  }

  /** Where it is, in milliseconds. */
  get atMs(): number {
    return this.audio.currentTime * 1000;
  }

  /** Plays a sound from its beginning. @throws DOMException where the browser does not let it, or cannot play it */
  async play(sound: Blob, rate = 1): Promise<void> {
    this.stop();
    this.url = URL.createObjectURL(sound);
    this.audio.src = this.url;
    this.setRate(rate);
    await this.audio.play();
  }

  pause(): void {
    this.audio.pause();
  }

  async resume(): Promise<void> {
    await this.audio.play();
  }

  setRate(rate: number): void {
    this.audio.defaultPlaybackRate = rate;
    this.audio.playbackRate = rate;
  }

  stop(): void {
    this.audio.pause();
    if (this.url) URL.revokeObjectURL(this.url);
    this.url = '';
  }
}
