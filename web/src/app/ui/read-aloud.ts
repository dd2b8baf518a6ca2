import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input, signal, untracked } from '@angular/core';
import type { TakePlayer } from '../shared/voice/take-player';
import { spoken } from '../shared/words/spoken';
import { Sign } from './sign';
import { ApiProblem } from '../shared/api';

const READ_WORDS = spoken({
  en: { read: 'Read it to me', stop: 'Stop' },
  de: { read: 'Lies es mir vor', stop: 'Halt' },
});

/** Slower than people talk: for children who learn the words. */
const RATE = 0.9;

/** The speech of the device; null where it has none or refuses it. */
function speechOfDevice(): SpeechSynthesis | null {
  try {
    const speech = typeof speechSynthesis === 'undefined' ? null : speechSynthesis;
    speech?.getVoices();
    return speech;
  } catch {
    return null;
  }
}

/**
 * Reads a text aloud on a press, with a voice that this device itself has for the language. Where it has none the teacher's own
 * words are heard, if they were recorded; otherwise there is no press, as a voice of another language would be worse than none.
 */
@Component({
  selector: 'zp-read-aloud',
  imports: [Sign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (voice() || takeId()) {
      <button type="button" class="button outlined" [attr.aria-pressed]="speaking()" (click)="press()">
        <zp-sign [name]="speaking() ? 'stop' : 'read'" />
        <span [class.heard-only]="signAlone()">{{ speaking() ? words().stop : words().read }}</span>
      </button>
    }
  `,
  styles: `
    :host {
      flex: none;
    }
    button {
      display: inline-flex;
      gap: 8px;
      align-items: center;
      max-width: 7.25rem;
      min-height: 48px;
      padding: 2px 10px;
      background: var(--sheet);
      font-weight: 400;
      font-size: 1rem;
      line-height: 1.15;
      text-align: left;
    }
  `,
})
export class ReadAloud {
  protected readonly words = READ_WORDS;
  readonly text = input.required<string>();
  /** The language of the text, as in "en-GB". */
  readonly language = input.required<string>();
  /** Where a part of the screen is read that has a press of its own, its sign is enough. */
  readonly signAlone = input(false);
  /** A take in which the teacher says it: heard where this device has no voice of its own. */
  readonly takeId = input<string | null>(null);
  private take: TakePlayer | null = null;
  protected readonly speaking = signal(false);
  private readonly voices = signal<readonly SpeechSynthesisVoice[]>([]);
  private readonly speech = speechOfDevice();

  /** A voice of the device for exactly this language, or for another region of it; none that speaks over a network. */
  protected readonly voice = computed(() => {
    const wanted = this.language().toLowerCase();
    const local = this.voices().filter(({ localService }) => localService);
    const languageOf = ({ lang }: SpeechSynthesisVoice) => lang.replace('_', '-').toLowerCase();
    return (
      local.find((one) => languageOf(one) === wanted) ?? local.find((one) => languageOf(one).split('-')[0] === wanted.split('-')[0]) ?? null
    );
  });

  constructor() {
    effect(() => {
      this.text(); // another question: what is being read is over
      untracked(() => this.hush());
    });
    inject(DestroyRef).onDestroy(() => this.hush());
    const { speech } = this;
    if (!speech) return;
    const look = () => this.voices.set((speech.getVoices() as SpeechSynthesisVoice[] | undefined) ?? []);
    look();
    speech.addEventListener('voiceschanged', look);
    inject(DestroyRef).onDestroy(() => speech.removeEventListener('voiceschanged', look));
  }

  protected press(): void {
    const voice = this.voice();
    const takeId = this.takeId();
    const wasSpeaking = this.speaking();
    this.hush();
    if (wasSpeaking) return;
    if (voice) this.speak(voice);
    else if (takeId) void this.playTake(takeId);
  }

  private hush(): void {
    this.speech?.cancel();
    this.take?.stop();
    this.speaking.set(false);
  }

  private speak(voice: SpeechSynthesisVoice): void {
    const words = new SpeechSynthesisUtterance(this.text());
    words.voice = voice;
    words.lang = voice.lang;
    words.rate = RATE;
    words.onend = words.onerror = () => this.speaking.set(false);
    this.speaking.set(true);
    this.speech?.speak(words);
  }

  private async playTake(takeId: string): Promise<void> {
    this.speaking.set(true);
    try {
      const [{ TakePlayer }, reply] = await Promise.all([import('../shared/voice/take-player'), fetch(`/api/desk/takes/${takeId}`)]);
      if (!reply.ok)
        throw new ApiProblem('SOUND_NOT_FETCHED', `The sound cannot be fetched just now (status ${reply.status}).`, reply.status, {
          status: reply.status,
        });
      const sound = await reply.blob();
      if (!this.speaking() || takeId !== this.takeId()) return; // stopped, or another question meanwhile
      this.take ??= new TakePlayer(() => this.speaking.set(false));
      await this.take.play(sound);
    } catch (error) {
      // Without a line, or where the sound cannot be played, nothing is heard: the press is there to be tried again.
      this.speaking.set(false);
      console.warn(error);
    }
  }
}
