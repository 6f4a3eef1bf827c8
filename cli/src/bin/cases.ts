import { casesCommand } from '../cases.js';
import { runFromShell } from '../command.js';

/** `npm run -s cases -- FILE…` */
runFromShell(casesCommand);
