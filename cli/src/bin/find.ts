import { runFromShell } from '../command.js';
import { findCommand } from '../find.js';

/** `npm run -s find -- PLAN.json "half nut"` */
runFromShell(findCommand);
