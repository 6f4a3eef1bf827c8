import { LineChart, ScatterChart } from 'echarts/charts';
import {
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  MarkPointComponent,
  TooltipComponent,
} from 'echarts/components';
import { use, type EChartsCoreOption } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { defineComponent, h, type PropType } from 'vue';
import VChart from 'vue-echarts';

use([
  LineChart,
  ScatterChart,
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  MarkPointComponent,
  TooltipComponent,
  SVGRenderer,
]);

/** Which point of which series was clicked. */
export interface Picked {
  readonly seriesIndex?: number;
  readonly dataIndex?: number;
}

/** The chart library with the parts that are used, loaded when a chart is first shown. */
export default defineComponent({
  props: { option: { type: Object as PropType<EChartsCoreOption>, required: true } },
  emits: { pick: (_event: Picked) => true },
  setup:
    (props, { emit }) =>
    () =>
      h(VChart, {
        option: props.option,
        autoresize: true,
        class: 'size-full',
        updateOptions: { notMerge: true },
        onClick: (event: Picked) => emit('pick', event),
      }),
});
