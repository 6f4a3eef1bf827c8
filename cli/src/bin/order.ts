import { runFromShell } from '../command.js';
import { orderCommand } from '../order.js';

/** `npm run -s order -- PLAN.json [--spares 4 --at-least 1 --worn 2]` */
runFromShell(orderCommand);
