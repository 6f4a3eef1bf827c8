import { runFromShell } from '../command.js';
import { sheetCommand } from '../sheet.js';

/** `npm run -s sheet -- motor|servo|stepper|controller|pack FILE` */
runFromShell(sheetCommand);
