import { ChangeDetectionStrategy, Component, DestroyRef, effect, type ElementRef, inject, input, signal, viewChild } from '@angular/core';
import type { EChartsCoreOption, EChartsType } from 'echarts/core';

/** The colours of the page as charts use them. */
export interface ChartInks {
  readonly ink: string;
  readonly soft: string;
  readonly faint: string;
  readonly sheet: string;
  readonly accent: string;
  readonly right: string;
  readonly wrong: string;
  readonly blue: string;
}

export type ChartOf = (inks: ChartInks) => EChartsCoreOption;

/** What was pressed in a chart, as its series gave it. */
export type ChartPressed = Readonly<Record<string, unknown>>;

/**
 * A chart, drawn as SVG so that it prints well. It is a picture beside a table that says the same: screen readers and
 * keyboards have the table. The library is fetched when the first chart is shown.
 */
@Component({
  selector: 'zp-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { 'aria-hidden': 'true' },
  template: '<div #place class="place" [style.height.px]="height()"></div>',
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
    .place {
      width: 100%;
    }
  `,
})
export class Chart {
  readonly option = input.required<ChartOf>();
  /** In pixels. */
  readonly height = input(300);
  /** What is done with the data that is pressed. */
  readonly press = input<(pressed: ChartPressed) => void>();
  private readonly place = viewChild.required<ElementRef<HTMLElement>>('place');
  private readonly chart = signal<EChartsType | null>(null);
  private readonly inks = signal<ChartInks | null>(null);

  constructor() {
    const onEnd = inject(DestroyRef);
    let isOver = false;
    onEnd.onDestroy(() => (isOver = true));
    void import('./chart-library').then(({ startChart }) => {
      if (isOver) return;
      const element = this.place().nativeElement;
      const chart = startChart(element);
      const look = () => this.inks.set(inksOf(element));
      const dark = matchMedia('(prefers-color-scheme: dark)');
      dark.addEventListener('change', look);
      const size = new ResizeObserver(() => chart.resize());
      size.observe(element);
      chart.on('click', ({ data }) => this.press()?.(data as ChartPressed));
      onEnd.onDestroy(() => {
        dark.removeEventListener('change', look);
        size.disconnect();
        chart.dispose();
      });
      look();
      this.chart.set(chart);
    });
    effect(() => {
      const [chart, inks, option, height] = [this.chart(), this.inks(), this.option(), this.height()];
      if (!chart || !inks) return;
      chart.setOption({ ...BASE(inks), ...option(inks) }, { notMerge: true });
      chart.resize({ height });
    });
  }
}

const BASE = ({ ink }: ChartInks): EChartsCoreOption => ({
  animation: false,
  textStyle: { fontFamily: 'Andika, sans-serif', color: ink },
});

function inksOf(element: HTMLElement): ChartInks {
  const style = getComputedStyle(element);
  const of = (name: string) => style.getPropertyValue(`--${name}`).trim();
  return {
    ink: of('ink'),
    soft: of('soft'),
    faint: of('faint'),
    sheet: of('sheet'),
    accent: of('accent'),
    right: of('right'),
    wrong: of('wrong'),
    blue: of('blue'),
  };
}
