import { ChangeDetectionStrategy, Component, inject, output, viewChild } from '@angular/core';
import { Store } from '@ngrx/store';
import type { SessionDetail } from '@zeitpunkt/contract';
import type { Response } from '@zeitpunkt/core/question-kinds/registry';
import type { Asking } from '@zeitpunkt/core/run/asking';
import { v4 as uuid } from 'uuid';
import { ask, sentenceOf } from '../../shared/api';
import { Steering } from '../../shared/steering';
import type { Shortcut } from '../../shared/shortcuts';
import { liveFeature, type RoomAct } from '../../state/live';
import { Notice } from '../../ui/parts/notice';
import { Coming } from './coming';
import { InPassing } from './in-passing';
import { Wall, type UnheardWording } from './wall';
import { CONSOLE_WORDS } from './words';

/** The keys that act on the wall, while there is one. */
export function wallShortcuts(wall: () => Wall | undefined): readonly Shortcut[] {
  const { keys } = CONSOLE_WORDS();
  return [
    { left: ['Shift+V'], right: ['H'], text: keys.hide, act: () => wall()?.hide() },
    { left: ['Shift+G'], right: ['Shift+U'], text: keys.talk, act: () => wall()?.talkNext() },
  ];
}

/** The answers as they come while something is asked; what comes next while nothing is. */
@Component({
  selector: 'zp-answers-panel',
  imports: [Coming, InPassing, Wall],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './answers-panel.html',
  styles: `
    :host {
      display: flex;
      flex-direction: column;
      gap: 16px;
      align-items: flex-start;
      width: 100%;
    }
    zp-wall {
      width: 100%;
    }
  `,
})
export class AnswersPanel {
  readonly act = output<RoomAct>();
  private readonly store = inject(Store);
  private readonly notice = inject(Notice);
  protected readonly steering = inject(Steering);
  protected readonly detail = this.store.selectSignal(liveFeature.selectDetail);
  protected readonly prepared = this.store.selectSignal(liveFeature.selectPrepared);
  protected readonly asking = this.store.selectSignal(liveFeature.selectAsking);
  readonly wall = viewChild(Wall);

  /** Puts an answer on the stage that somebody gave: how could one get it? The name is told nowhere. */
  protected discuss({ item }: Asking, response: Response): void {
    this.steering.showAside({ timeSec: null, marks: [], shows: { kind: 'answer', item, response } });
  }

  /** A wording counts for the whole class from now on, also for those who write it later at this question. */
  protected async accept({ classId, className }: SessionDetail, { responseId, text }: UnheardWording): Promise<void> {
    try {
      await ask('POST', `/api/classes/${classId}/wordings`, { id: uuid(), responseId, wording: text });
      this.notice.say(CONSOLE_WORDS().wallPlace.counted(text, className));
    } catch (error) {
      this.notice.fail(sentenceOf(error));
    }
  }
}
