import { runFromShell } from '../command.js';
import { evaluateCommand } from '../evaluate.js';

/** `npm run -s evaluate -- PLAN.json` */
runFromShell(evaluateCommand);
