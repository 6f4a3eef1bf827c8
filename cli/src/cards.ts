import { cardsJson, constantsText, type ConstantLanguage } from '@rough-gear/contract/cards';
import { setupCards } from '@rough-gear/core';
import { Stop, stopping, type Command } from './command.js';
import { readPlanFile } from './planFile.js';

const FORMS: Readonly<Record<string, ConstantLanguage | 'json'>> = {
  json: 'json',
  ts: 'typescript',
  py: 'python',
  cpp: 'c++',
};
const USE = `npm run -s cards -- PLAN.json [${Object.keys(FORMS).join('|')}] (- is standard input)`;

/** What is typed into each controller, driver and servo of a plan: as JSON, or as constants of a language. */
export const cardsCommand: Command = stopping(([file, form = 'json', ...more], terminal) => {
  const as = FORMS[form];
  if (file === undefined || more.length > 0 || as === undefined) throw new Stop(`usage: ${USE}`);
  const plan = readPlanFile(file, terminal);
  const cards = setupCards(plan);
  terminal.out(as === 'json' ? `${JSON.stringify({ cards: cardsJson(cards) }, null, 2)}\n` : constantsText(cards, as));
  return 0;
});
