import { ChangeDetectionStrategy, Component, computed, type ElementRef, input, output, signal, viewChild } from '@angular/core';
import type { DeskView, RoomFound } from '@zeitpunkt/contract';
import type { KeyPicture as PictureName } from '@zeitpunkt/core';
import { KEY_LENGTH, KEY_PICTURES, readPictures } from '@zeitpunkt/core/live/room-key';
import { v4 as uuid } from 'uuid';
import { ApiProblem, ask, sentenceOf } from '../../shared/api';
import { KeyPicture } from '../../ui/key-picture';

/** Coming in: four pictures in order, touched or typed, then one's own name. */
@Component({
  selector: 'zp-join',
  imports: [KeyPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './join.html',
  styleUrl: './join.scss',
})
export class Join {
  /** Something to say first, after the teacher freed the name for one. */
  readonly word = input<string | null>(null);
  readonly joined = output<DeskView>();

  protected readonly pictures = KEY_PICTURES;
  protected readonly places = Array.from({ length: KEY_LENGTH }, (_, place) => place);
  protected readonly key = signal<readonly PictureName[]>([]);
  protected readonly room = signal<RoomFound | null>(null);
  protected readonly busy = signal(false);
  private readonly said = signal<string | null>(null);
  protected readonly problem = computed(() => this.said() ?? this.word());
  private readonly typedBox = viewChild<ElementRef<HTMLInputElement>>('typed');
  /** The same for every try of this page, so that a repeated join is one join. */
  private joinId = uuid();

  protected press(picture: PictureName): void {
    if (this.key().length >= KEY_LENGTH) return;
    this.setKey([...this.key(), picture]);
  }

  protected readTyped(text: string): void {
    const { pictures, unknown } = readPictures(text);
    this.key.set(pictures.slice(0, KEY_LENGTH));
    this.said.set(unknown && unknown.length > 2 && !text.endsWith(unknown) ? `There is no picture “${unknown}”.` : null);
  }

  protected sendTyped(event: Event): void {
    event.preventDefault();
    const { pictures, unknown } = readPictures(this.typedBox()?.nativeElement.value ?? '');
    if (unknown) this.said.set(`There is no picture “${unknown}”. The pictures are: ${KEY_PICTURES.join(', ')}.`);
    else if (pictures.length !== KEY_LENGTH) this.said.set(`A room key has ${KEY_LENGTH} pictures; ${pictures.length} came.`);
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

  protected async join(pupilId: string): Promise<void> {
    await this.tryTo(async () => {
      const body = { joinId: this.joinId, roomKey: this.key(), pupilId };
      try {
        this.joined.emit(await ask<DeskView>('POST', '/api/desk/join', body));
      } catch (error) {
        // Refused: the name may just have been taken, so show who is still free. A lost line, or trouble at the server, is no refusal: the join may
        // have arrived, and the next try is the same one.
        if (!(error instanceof ApiProblem && error.mayPass)) {
          this.joinId = uuid();
          await this.lookUp(this.key());
        }
        throw error;
      }
    });
  }

  private setKey(key: readonly PictureName[]): void {
    this.key.set(key);
    this.said.set(null);
    const box = this.typedBox()?.nativeElement;
    if (box) box.value = key.join(' ');
    if (key.length === KEY_LENGTH) void this.find(key);
  }

  private async find(key: readonly PictureName[]): Promise<void> {
    this.key.set(key);
    await this.tryTo(() => this.lookUp(key));
  }

  private async lookUp(key: readonly PictureName[]): Promise<void> {
    this.room.set(await ask<RoomFound>('POST', '/api/desk/room', { roomKey: key }));
  }

  private async tryTo(work: () => Promise<void>): Promise<void> {
    this.busy.set(true);
    this.said.set(null);
    try {
      await work();
    } catch (error) {
      this.said.set(sentenceOf(error));
    } finally {
      this.busy.set(false);
    }
  }
}
