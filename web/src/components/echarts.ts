import { LineChart, ScatterChart } from 'echarts/charts';
import {
  GridComponent,
  LegendScrollComponent,
  MarkLineComponent,
  TooltipComponent,
} from 'echarts/components';
import * as echarts from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';

echarts.use([
  LineChart,
  ScatterChart,
  GridComponent,
  LegendScrollComponent,
  MarkLineComponent,
  TooltipComponent,
  SVGRenderer,
]);

export { echarts };
