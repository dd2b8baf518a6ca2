import { RUNGS, type ClassPicture, type MasteryWord } from '@zeitpunkt/core';
import { MASTERY_WORDS } from '../../shared/insight/mastery-words';
import type { ChartInks, ChartOf } from '../../ui/chart';

const ORDER: readonly MasteryWord[] = ['too-few', 'not-yet', 'partly', 'nearly', 'sure'];

/** Each word has a sign in its cell, so that nobody needs the colours. */
const colourOf = (inks: ChartInks): Record<MasteryWord, string> => ({
  'too-few': inks.sheet,
  'not-yet': inks.wrong,
  partly: inks.sheet,
  nearly: inks.accent,
  sure: inks.right,
});
const inkOn = (inks: ChartInks): Record<MasteryWord, string> => ({
  'too-few': inks.soft,
  'not-yet': inks.sheet,
  partly: inks.ink,
  nearly: '#1d2433',
  sure: inks.sheet,
});

/** Pupils by rungs as a heat map. A cell carries its pupil and rung. */
export function masteryMap({ pupils, rungs }: ClassPicture): ChartOf {
  return (inks) => {
    const [colours, text] = [colourOf(inks), inkOn(inks)];
    const data = pupils.flatMap(({ id, name, mastery }, row) =>
      rungs.flatMap((rung, column) => {
        const word = mastery[rung]?.word;
        if (!word) return [];
        return [
          {
            value: [column, row, ORDER.indexOf(word)],
            itemStyle: { color: colours[word], borderColor: inks.faint, borderWidth: 1 },
            label: { show: true, formatter: MASTERY_WORDS()[word].sign, color: text[word] },
            pupilId: id,
            name,
            rung,
          },
        ];
      }),
    );
    return {
      grid: { left: 70, right: 10, top: 50, bottom: 5 },
      xAxis: {
        type: 'category',
        position: 'top',
        data: rungs.map((id) => RUNGS[id].name),
        axisLabel: { color: inks.ink, interval: 0, width: 74, overflow: 'break', lineHeight: 15 },
        axisTick: { show: false },
        axisLine: { show: false },
      },
      yAxis: {
        type: 'category',
        inverse: true,
        data: pupils.map(({ name }) => name),
        axisLabel: { color: inks.ink, interval: 0 },
        axisTick: { show: false },
        axisLine: { show: false },
      },
      series: [{ type: 'heatmap', data, emphasis: { itemStyle: { borderColor: inks.ink, borderWidth: 2 } } }],
      visualMap: { show: false, min: 0, max: 3, inRange: { color: ORDER.map((word) => colours[word]) } },
    };
  };
}
