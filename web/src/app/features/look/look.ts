import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { CdkDropListGroup } from '@angular/cdk/drag-drop';
import { FormControl, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatError, MatFormField, MatLabel } from '@angular/material/form-field';
import { Icon } from '../../ui/icons/icon';
import { MatInput } from '@angular/material/input';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { MatRadioButton, MatRadioGroup } from '@angular/material/radio';
import { MatOption, MatSelect } from '@angular/material/select';
import { MatTableModule } from '@angular/material/table';
import { gearedPose } from '@zeitpunkt/core/dial/pose';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { dialTime } from '../../shared/words/days';
import { ICONS, type IconName } from '../../ui/icons/icons';
import { AskFirst } from '../../ui/parts/ask-dialog';
import { type Chip, Chips } from '../../ui/parts/chips';
import { IdeaPair } from '../../ui/parts/idea-pair';
import { Notice } from '../../ui/parts/notice';
import { Place } from '../../ui/parts/place';
import { SmallDial } from '../../ui/parts/small-dial';
import { Empty, Failing, Loading } from '../../ui/parts/states';
import { Ticks } from '../../ui/parts/ticks';
import { LOOK_WORDS } from './words';

/** Every part that places are made of, in every state: for whoever changes one, and for the journeys that look at all of them. */
@Component({
  selector: 'zp-look',
  imports: [
    CdkDropListGroup,
    Chips,
    Empty,
    Failing,
    IdeaPair,
    Loading,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatCheckbox,
    MatError,
    MatFormField,
    Icon,
    MatIconButton,
    MatInput,
    MatLabel,
    MatMenu,
    MatMenuItem,
    MatMenuTrigger,
    MatOption,
    MatRadioButton,
    MatRadioGroup,
    MatSelect,
    MatTableModule,
    Place,
    ReactiveFormsModule,
    SmallDial,
    Ticks,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './look.html',
  styleUrl: './look.scss',
})
export class Look {
  protected readonly askFirst = inject(AskFirst);
  protected readonly notice = inject(Notice);
  protected readonly words = LOOK_WORDS;
  protected readonly icons = Object.keys(ICONS) as IconName[];
  protected readonly sizes = [26, 40, 48, 72, 112, 188];
  protected readonly time = secondOfDay(8, 50);
  protected readonly timeWords = dialTime(this.time);
  protected readonly asked = gearedPose(secondOfDay(8, 50));
  protected readonly answered = gearedPose(secondOfDay(9, 50));
  protected readonly noTime = { hourDeg: 270, minuteDeg: 180 };
  protected readonly counts = [
    { sure: 13, nearly: 8, partly: 2, 'not-yet': 2, 'too-few': 1 },
    { sure: 20, nearly: 8, partly: 4, 'not-yet': 3, 'too-few': 1 },
    { sure: 0, nearly: 0, partly: 0, 'not-yet': 0, 'too-few': 26 },
  ];
  protected readonly columns = ['name', 'seen'];
  protected readonly missing = new FormControl('', { nonNullable: true, validators: [Validators.required] });

  /** Who was moved by hand, and where to. */
  private readonly movedTo = signal<ReadonlyMap<string, string | null>>(new Map());

  protected chipsIn(key: string): readonly Chip[] {
    return this.words().lists.flatMap((list) =>
      list.names.flatMap((name): Chip[] => {
        const moved = this.movedTo().get(name) ?? null;
        return (moved ?? list.key) === key ? [{ id: name, name, link: null, moved: moved !== null }] : [];
      }),
    );
  }

  protected move({ id, key }: { readonly id: string; readonly key: string | null }): void {
    this.movedTo.update((before) => new Map([...before, [id, key]]));
  }

  constructor() {
    this.missing.markAsTouched();
  }
}
