import type { ChartInks, ChartOf } from '../../ui/chart';

/** A bar of a time chart, in seconds; null where nothing was planned or measured. */
export interface TimeBar {
  readonly name: string;
  readonly planned: number | null;
  readonly took: number | null;
}

/** Two bars for each row: what was planned, outlined, and what it took, filled. */
export function plannedAndTaken(bars: readonly TimeBar[], took: string): ChartOf {
  return (inks) => ({
    ...frame(inks, bars),
    series: [
      bar('planned', inks, { color: inks.sheet }, bars.map(({ planned }) => planned)), // prettier-ignore
      bar(took, inks, { color: inks.blue }, bars.map((one) => one.took)), // prettier-ignore
    ],
  });
}

const frame = (inks: ChartInks, bars: readonly TimeBar[]) => ({
  grid: { left: 10, right: 20, top: 36, bottom: 10, containLabel: true },
  legend: { top: 0, left: 0, textStyle: { color: inks.ink } },
  xAxis: {
    type: 'value',
    axisLabel: { color: inks.soft, formatter: '{value} s', hideOverlap: true },
    splitLine: { lineStyle: { color: inks.faint } },
  },
  yAxis: {
    type: 'category',
    inverse: true,
    data: bars.map(({ name }) => name),
    axisLabel: { color: inks.ink, width: 150, overflow: 'truncate', interval: 0 },
    axisTick: { show: false },
  },
});

const bar = (name: string, inks: ChartInks, style: object, data: readonly (number | null)[]) => ({
  name,
  type: 'bar',
  barMaxWidth: 10,
  barGap: '10%',
  itemStyle: { borderColor: inks.ink, borderWidth: 1, ...style },
  data: data.map((value) => (value === null ? '-' : Math.round(value))),
});
