import type { DcPath } from './path.js';
import type { ServoPath } from './servoPath.js';
import type { StepPath } from './stepPath.js';

/** The path of any machine; `machine` says which. */
export type AnyPath = DcPath | StepPath | ServoPath;
