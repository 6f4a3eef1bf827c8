import { cardsCommand } from '../cards.js';
import { runFromShell } from '../command.js';

/** `npm run -s cards -- PLAN.json json|ts|py|cpp` */
runFromShell(cardsCommand);
