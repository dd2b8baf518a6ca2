import type { MasteryPoint } from '@zeitpunkt/core/insight/insight-book';
import { RUNG_IDS, RUNGS } from '@zeitpunkt/core/ladder/registry';
import type { ChartOf } from '../../ui/chart';

/** Each rung has a dash and a mark of its own: nobody needs the colours. */
const DASHES = ['solid', [6, 3], [2, 3], [10, 3, 2, 3]] as const;
const MARKS = ['circle', 'rect', 'triangle', 'diamond', 'emptyCircle', 'emptyRect', 'emptyTriangle', 'emptyDiamond'];

/** What a pupil had mastered after each lesson, a line for each rung; between the words, without figures. */
export function weeksChart(weeks: readonly MasteryPoint[]): ChartOf {
  const rungs = RUNG_IDS.filter((id) => weeks.some((point) => point.rungs.some(({ rung }) => rung === id)));
  return (inks) => {
    const colours = [inks.blue, inks.wrong, inks.right, inks.ink];
    return {
      grid: { left: 10, right: 16, top: 40 + 20 * Math.floor(rungs.length / 4), bottom: 10, containLabel: true },
      legend: { top: 0, left: 0, textStyle: { color: inks.ink }, itemWidth: 30 },
      xAxis: { type: 'time', axisLabel: { color: inks.soft, formatter: '{d} {MMM}', hideOverlap: true } },
      yAxis: {
        type: 'value',
        min: 0,
        max: 1,
        interval: 0.5,
        axisLabel: { color: inks.soft, formatter: (value: number) => (value === 0 ? 'not yet' : value === 1 ? 'sure' : 'half the time') },
        splitLine: { lineStyle: { color: inks.faint } },
      },
      series: rungs.map((id, place) => ({
        name: RUNGS[id].name,
        type: 'line',
        symbol: MARKS[place % MARKS.length],
        symbolSize: 8,
        lineStyle: { color: colours[place % colours.length], type: DASHES[place % DASHES.length], width: 2 },
        itemStyle: { color: colours[place % colours.length] },
        data: weeks.flatMap(({ atMs, rungs: known }) => {
          const one = known.find(({ rung }) => rung === id);
          return one ? [[atMs, one.mastery.mean]] : [];
        }),
      })),
    };
  };
}
