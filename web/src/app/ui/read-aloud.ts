import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input, signal } from '@angular/core';
import { spoken } from '../shared/words/spoken';
import { Sign } from './sign';

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
 * Reads a text aloud on a press, with a voice that this device itself has for the language; where it has none there is no
 * button, as a voice of another language would be worse than none.
 */
@Component({
  selector: 'zp-read-aloud',
  imports: [Sign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (voice()) {
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
    const { speech } = this;
    if (!speech) return;
    const look = () => this.voices.set(speech.getVoices() ?? []);
    look();
    speech.addEventListener('voiceschanged', look);
    inject(DestroyRef).onDestroy(() => {
      speech.removeEventListener('voiceschanged', look);
      speech.cancel();
    });
    effect(() => {
      this.text(); // another question: what is being read is over
      speech.cancel();
      this.speaking.set(false);
    });
  }

  protected press(): void {
    const { speech } = this;
    const voice = this.voice();
    if (!speech || !voice) return;
    const wasSpeaking = this.speaking();
    speech.cancel();
    this.speaking.set(!wasSpeaking);
    if (wasSpeaking) return;
    const words = new SpeechSynthesisUtterance(this.text());
    words.voice = voice;
    words.lang = voice.lang;
    words.rate = RATE;
    words.onend = words.onerror = () => this.speaking.set(false);
    speech.speak(words);
  }
}
