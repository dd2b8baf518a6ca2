import { BarChart, CustomChart, HeatmapChart, LineChart } from 'echarts/charts';
import { AriaComponent, GridComponent, LegendComponent, MarkLineComponent, TooltipComponent, VisualMapComponent } from 'echarts/components';
import { init, use, type EChartsType } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

// Only what our charts need: the whole library would be five times as large.
use([
  AriaComponent,
  BarChart,
  CustomChart,
  GridComponent,
  HeatmapChart,
  LegendComponent,
  LineChart,
  MarkLineComponent,
  SVGRenderer,
  TooltipComponent,
  VisualMapComponent,
]);

/** A chart in an element. */
export function startChart(element: HTMLElement): EChartsType {
  return init(element, null, { renderer: 'svg' });
}
