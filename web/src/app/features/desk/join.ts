import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  type ElementRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import type { DeskView, KnockAnswer, RoomFound } from '@zeitpunkt/contract';
import { type KeyPicture as PictureName, KEY_LENGTH, KEY_PICTURES, LASTING_KEY_LENGTH, readPictures } from '@zeitpunkt/core/live/room-key';
import { v4 as uuid } from 'uuid';
import { ApiProblem, ask, sentenceOf } from '../../shared/api';
import { deskLanguage } from '../../shared/words/spoken';
import { KeyPicture } from '../../ui/key-picture';
import { Sign } from '../../ui/sign';
import { prepareRoom } from './in-room';
import { sentences } from './sentences';
import { JOIN_WORDS } from './join-words';
import { ReadAloud } from '../../ui/read-aloud';

/** So often one who knocked asks whether the door has been opened, in milliseconds. */
const KNOCK_MS = 3000;
/** After so long without an answer one who knocked is told to look at the pictures again. */
const UNHEARD_MS = 45_000;
/** While the server cannot be reached, coming in is tried again so often. */
const RETRY_MS = 2000;

/** Coming in: four pictures in order, or six of a lesson to do alone, touched or typed, then one's own name. */
@Component({
  selector: 'zp-join',
  imports: [KeyPicture, ReadAloud, Sign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './join.html',
  styleUrl: './join.scss',
})
export class Join {
  /** Something to say first, after the teacher freed the name for one. */
  readonly word = input<string | null>(null);
  readonly joined = output<DeskView>();

  protected readonly words = JOIN_WORDS;
  protected readonly language = deskLanguage;
  protected readonly chosen = computed(() => {
    const { picture, chosen, nothing } = this.words();
    return this.key().length
      ? chosen(
          this.key()
            .map((one) => picture[one])
            .join(', '),
        )
      : nothing;
  });
  protected readonly pictures = KEY_PICTURES;
  /** How many pictures there are: more where a lesson stays open for days. */
  protected readonly length = signal(KEY_LENGTH);
  protected readonly isLasting = computed(() => this.length() === LASTING_KEY_LENGTH);
  protected readonly places = computed(() => Array.from({ length: this.length() }, (_, place) => place));
  protected readonly key = signal<readonly PictureName[]>([]);
  protected readonly room = signal<RoomFound | null>(null);
  protected readonly busy = signal(false);
  private readonly said = signal<string | null>(null);
  /** No open door has these pictures: perhaps the lesson has begun, and one may knock. */
  protected readonly closed = signal(false);
  /** Knocked, and waiting for the teacher to open. */
  protected readonly knocking = signal(false);
  /** Knocked a while ago, and nobody has opened. */
  protected readonly unheard = signal(false);
  private knockedAtMs = 0;
  private knockId: string | null = null;
  private timer = 0;
  /** What is tried again while there is no line. */
  private retry = 0;
  protected readonly problem = computed(() => this.said() ?? this.word());
  protected readonly title = computed(() => {
    const room = this.room();
    if (this.knocking()) return this.words().knocked;
    return room ? this.words().who(room.className) : this.words().which;
  });
  /** All that stands there, for those who do not read yet: what to do, what was chosen, and the names. */
  protected readonly heard = computed(() => {
    const [words, room] = [this.words(), this.room()];
    const rest = this.knocking()
      ? [this.unheard() ? words.unheard : words.waitHere]
      : room
        ? [...room.pupils.map(({ name }) => name), room.inAlready.length ? words.notThere : '', room.newcomers ? words.isNew : '']
        : [this.chosen()];
    return sentences([this.problem() ?? '', this.title(), ...rest]);
  });
  private readonly typedBox = viewChild<ElementRef<HTMLInputElement>>('typed');
  /** The same for every try of this page, so that a repeated join is one join. */
  private joinId = uuid();
  private readonly newPupilId = uuid();

  constructor() {
    inject(DestroyRef).onDestroy(() => {
      clearTimeout(this.timer);
      clearTimeout(this.retry);
    });
  }

  /** Knocks at the closed door, and asks again and again whether it has been opened. */
  protected async knock(): Promise<void> {
    const knockId = uuid();
    await this.tryTo(async () => {
      await ask('POST', '/api/desk/knock', { knockId, roomKey: this.key() });
      this.knockId = knockId;
      this.knockedAtMs = Date.now();
      this.unheard.set(false);
      this.knocking.set(true);
      this.askAgain(knockId);
    });
  }

  protected stopKnocking(): void {
    clearTimeout(this.timer);
    this.knocking.set(false);
    this.unheard.set(false);
    this.setKey([]);
  }

  private askAgain(knockId: string): void {
    this.timer = window.setTimeout(() => void this.hear(knockId), KNOCK_MS);
  }

  private async hear(knockId: string): Promise<void> {
    try {
      const { room } = await ask<KnockAnswer>('POST', '/api/desk/knock/answer', { knockId, roomKey: this.key() });
      if (!this.knocking()) return;
      if (!room) {
        // Said whether there is such a room or not: nobody learns from it which rooms there are.
        this.unheard.set(Date.now() - this.knockedAtMs > UNHEARD_MS);
        return this.askAgain(knockId);
      }
      this.knocking.set(false);
      this.room.set(room);
    } catch (error) {
      if (error instanceof ApiProblem && error.mayPass) return this.askAgain(knockId); // the line may come back
      this.knocking.set(false);
      this.said.set(sentenceOf(error));
    }
  }

  protected press(picture: PictureName): void {
    prepareRoom();
    // Four that led nowhere are begun anew at once; four that are just being tried are not touched.
    const isWhole = this.key().length >= this.length();
    if (isWhole && !this.closed()) return;
    this.setKey(isWhole ? [picture] : [...this.key(), picture]);
  }

  /** There are six pictures, or four after all: those that are chosen stay. */
  protected changeLength(): void {
    this.length.set(this.isLasting() ? KEY_LENGTH : LASTING_KEY_LENGTH);
    this.closed.set(false);
    this.said.set(null);
    if (this.key().length >= this.length()) this.setKey(this.key().slice(0, this.length()));
  }

  protected readTyped(text: string): void {
    const { pictures, unknown } = readPictures(text, this.words().picture);
    if (pictures.length > KEY_LENGTH) this.length.set(LASTING_KEY_LENGTH);
    this.key.set(pictures.slice(0, this.length()));
    this.said.set(unknown && unknown.length > 2 && !text.endsWith(unknown) ? this.words().unknown(unknown) : null);
  }

  protected sendTyped(event: Event): void {
    event.preventDefault();
    const { pictures, unknown } = readPictures(this.typedBox()?.nativeElement.value ?? '', this.words().picture);
    if (unknown)
      this.said.set(
        `${this.words().unknown(unknown)} ${this.words().all(KEY_PICTURES.map((one) => this.words().picture[one]).join(', '))}`,
      );
    else if (pictures.length !== KEY_LENGTH && pictures.length !== LASTING_KEY_LENGTH) this.said.set(this.words().howMany(pictures.length));
    else void this.find(pictures);
  }

  protected rubOut(): void {
    this.setKey(this.key().slice(0, -1));
  }

  protected startAgain(): void {
    this.room.set(null);
    this.said.set(null);
    this.setKey([]);
  }

  /** Comes in under a name that is not on the list. */
  protected joinAs(event: Event, name: string): Promise<void> {
    event.preventDefault();
    const newName = name.trim();
    return newName === '' ? Promise.resolve() : this.join(this.newPupilId, false, newName);
  }

  /** @param again the pupil is in on another device already @param newName of one who is not on the class list */
  protected async join(pupilId: string, again = false, newName?: string): Promise<void> {
    await this.tryTo(async () => {
      const knockId = this.knockId ?? undefined;
      const body = { joinId: this.joinId, roomKey: this.key(), pupilId, knockId, newName, ...(again && { again }) };
      try {
        this.joined.emit(await ask<DeskView>('POST', '/api/desk/join', body));
      } catch (error) {
        // Refused: the name may just have been taken, so show who is still free. A lost line, or trouble at the server, is no refusal: the join may
        // have arrived, and the next try is the same one.
        if (!(error instanceof ApiProblem && error.mayPass)) {
          this.joinId = uuid();
          if (!this.knockId) await this.lookUp(this.key());
          else
            this.room.set((await ask<KnockAnswer>('POST', '/api/desk/knock/answer', { knockId: this.knockId, roomKey: this.key() })).room);
        }
        throw error;
      }
    });
  }

  private setKey(key: readonly PictureName[]): void {
    clearTimeout(this.retry); // other pictures are meant now
    this.key.set(key);
    this.knockId = null;
    this.closed.set(false);
    this.said.set(null);
    const box = this.typedBox()?.nativeElement;
    if (box) box.value = key.join(' ');
    if (key.length === this.length()) void this.find(key);
  }

  private async find(key: readonly PictureName[]): Promise<void> {
    this.key.set(key);
    await this.tryTo(() => this.lookUp(key));
  }

  private async lookUp(key: readonly PictureName[]): Promise<void> {
    this.room.set(await ask<RoomFound>('POST', '/api/desk/room', { roomKey: key }));
  }

  /** Does something that needs the server. While that cannot be reached it is tried again by itself, until something else is done. */
  private async tryTo(work: () => Promise<void>): Promise<void> {
    clearTimeout(this.retry);
    this.busy.set(true);
    this.said.set(null);
    try {
      await work();
    } catch (error) {
      const isLost = error instanceof ApiProblem && error.lineLost;
      this.closed.set(error instanceof ApiProblem && error.code === 'ROOM_KEY_UNKNOWN');
      this.said.set(isLost ? this.words().lost : sentenceOf(error));
      // So many wrong pictures come from here that the teacher opens to whoever is new: to be here is to knock.
      if (error instanceof ApiProblem && error.code === 'DOOR_CROWDED') void this.knock();
      if (isLost) this.retry = window.setTimeout(() => void this.tryTo(work), RETRY_MS);
    } finally {
      this.busy.set(false);
    }
  }
}
