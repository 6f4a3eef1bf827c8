import { lazily } from '../widgets/lazily.js';
import { whenIdle } from '../../workers/idle.js';

/** The chart, its library fetched when a chart is first shown and the words and figures around it stand. */
export const ChartLater = lazily(() => whenIdle().then(() => import('./EChart.js')));
