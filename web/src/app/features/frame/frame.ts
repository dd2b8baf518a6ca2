import { ChangeDetectionStrategy, Component, computed, DOCUMENT, effect, inject, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { shapesAreMissing } from '../../question-views/shape-views';
import { Icon } from '../../ui/icons/icon';
import { Failing } from '../../ui/parts/states';
import { MatButton } from '@angular/material/button';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { MatTooltip } from '@angular/material/tooltip';
import {
  ActivatedRoute,
  type ActivatedRouteSnapshot,
  NavigationEnd,
  Router,
  RouterLink,
  RouterLinkActive,
  RouterOutlet,
} from '@angular/router';
import { Store } from '@ngrx/store';
import { filter, map } from 'rxjs';
import { appearance, lookLike } from '../../shared/appearance';
import { CurrentClass } from '../../shared/current-class';
import type { IconName } from '../../ui/icons/icons';
import { authActions, authFeature } from '../../state/auth';
import { FRAME_WORDS } from './words';

interface PlaceOnRail {
  readonly path: string;
  readonly icon: IconName;
  readonly filled: IconName;
  readonly word: string;
  readonly atFoot: boolean;
}

/** What stands around all places: the class at hand, the way to each place, and the person who teaches. */
@Component({
  selector: 'zp-frame',
  imports: [Failing, Icon, MatButton, MatMenu, MatMenuItem, MatMenuTrigger, MatTooltip, RouterLink, RouterLinkActive, RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './frame.html',
  styleUrl: './frame.scss',
})
export class Frame {
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly route = inject(ActivatedRoute);
  private readonly document = inject(DOCUMENT);
  protected readonly current = inject(CurrentClass);
  protected readonly words = FRAME_WORDS;
  protected readonly appearance = appearance;
  protected readonly lookLike = lookLike;
  protected readonly looks = [
    { id: 'light', icon: 'light-mode' },
    { id: 'dark', icon: 'dark-mode' },
    { id: 'machine', icon: 'contrast' },
  ] as const;
  protected readonly teacher = this.store.selectSignal(authFeature.selectTeacher);
  protected readonly className = computed(() => this.current.now()?.name ?? (this.current.classes() ? this.words().noClass : '…'));
  protected readonly pupils = computed(() => (this.current.classes() ? this.words().pupils(this.current.now()?.pupilCount ?? 0) : ''));
  /** Whoever builds, teaches or records has the width for it. */
  private readonly at = toSignal(
    this.router.events.pipe(
      filter((event) => event instanceof NavigationEnd),
      map(() => this.addressed()),
    ),
    { initialValue: this.addressed() },
  );
  protected readonly isNarrow = computed(() => this.at().working);
  protected readonly isMissing = shapesAreMissing;
  /** The place on the rail that the address belongs to, where it stands below another one's. */
  protected readonly rail = computed(() => this.at().rail);
  protected readonly places = computed((): readonly PlaceOnRail[] => {
    const { place } = this.words();
    const id = this.current.id();
    const ofClass = id === null ? '/today' : `/classes/${id}`;
    return [
      { path: '/today', icon: 'clear-day', filled: 'clear-day-fill', word: place.today, atFoot: false },
      { path: '/ladder', icon: 'ladder', filled: 'ladder-fill', word: place.ladder, atFoot: false },
      { path: '/lessons', icon: 'menu-book', filled: 'menu-book-fill', word: place.lessons, atFoot: false },
      ...(id === null
        ? []
        : ([
            { path: `${ofClass}/review`, icon: 'fact-check', filled: 'fact-check-fill', word: place.review, atFoot: false },
            { path: `${ofClass}/pupils`, icon: 'groups', filled: 'groups-fill', word: place.class, atFoot: false },
          ] as const)),
      { path: '/paper', icon: 'print', filled: 'print-fill', word: place.paper, atFoot: false },
      { path: '/dials', icon: 'schedule', filled: 'schedule-fill', word: place.dials, atFoot: false },
      { path: '/school', icon: 'home-work', filled: 'home-work-fill', word: place.school, atFoot: true },
    ];
  });

  constructor() {
    void this.current.load();
    // Whatever address is opened, all places are about its class from then on.
    effect(() => {
      const { classId } = this.at();
      if (classId !== null) untracked(() => this.current.choose(classId));
    });
  }

  protected loadAgain(): void {
    location.reload();
  }

  /** What the address says about the place and its class. */
  private addressed(): { readonly working: boolean; readonly rail: string | null; readonly classId: string | null } {
    const chain = [];
    for (let at: ActivatedRouteSnapshot | null = this.route.snapshot; at; at = at.firstChild) chain.push(at);
    const named: unknown = chain[0]!.queryParams['class'] ?? chain.find(({ data }) => data['ofClass'] === true)?.params['id'];
    const rail: unknown = chain.at(-1)!.data['rail'];
    return {
      working: chain.some(({ data }) => data['working'] === true),
      rail: typeof rail === 'string' ? rail : null,
      classId: typeof named === 'string' ? named : null,
    };
  }

  /** The place stays and is about another class; its address says which. */
  protected async choose(id: string): Promise<void> {
    this.current.choose(id);
    const { url } = this.router;
    const ofClass = /^\/classes\/[^/?#]+/;
    if (ofClass.test(url)) await this.router.navigateByUrl(url.replace(ofClass, `/classes/${id}`));
    else await this.router.navigate([], { queryParams: { class: id }, queryParamsHandling: 'merge' });
  }

  protected async newClass(): Promise<void> {
    const id = await this.current.add(this.words().nameOfNew((this.current.classes()?.length ?? 0) + 1));
    if (id) await this.router.navigate(['/classes', id, 'pupils']);
  }

  /** "Ms Odalys Fenn" as there is room for it: "Ms Fenn". */
  protected shortName(name: string): string {
    const words = name.split(' ');
    return words.length > 2 ? `${words[0]} ${words.at(-1)}` : name;
  }

  protected skip(event: Event): void {
    event.preventDefault();
    this.document.querySelector<HTMLElement>('main')?.focus();
  }

  protected signOut(): void {
    this.store.dispatch(authActions.signOut());
  }
}
