import { BarChart, HeatmapChart, LineChart } from 'echarts/charts';
import { GridComponent, LegendComponent, VisualMapComponent } from 'echarts/components';
import { init, use, type EChartsType } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

// Only what our charts need: the whole library would be five times as large.
use([BarChart, GridComponent, HeatmapChart, LegendComponent, LineChart, SVGRenderer, VisualMapComponent]);

/** A chart in an element. */
export function startChart(element: HTMLElement): EChartsType {
  return init(element, null, { renderer: 'svg' });
}
