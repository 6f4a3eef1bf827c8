import { overtaken, readEntriesBody } from '../diary/reading.js';
import {
  changedInSave,
  copyOfPlan,
  readNewPlan,
  readPlanBody,
  readRenaming,
  readStoredPlan,
} from '../plans/reading.js';
import { readMarksBody, readPartBody, readSheet } from '../shelf/reading.js';
import { readBook, readTakingBody, readTrialBody } from '../trials/reading.js';

/** Whatever comes from outside and is read apart from the requests: what is read, and by what. */
const QUESTIONS = {
  plan: readPlanBody,
  'new plan': readNewPlan,
  'stored plan': readStoredPlan,
  renaming: readRenaming,
  copy: copyOfPlan,
  'what changed': changedInSave,
  trial: readTrialBody,
  taking: readTakingBody,
  book: readBook,
  entries: readEntriesBody,
  overtaken,
  part: readPartBody,
  marks: readMarksBody,
  sheet: readSheet,
} as const;

export type Questions = typeof QUESTIONS;
export type Question = keyof Questions;

export const answer = <Q extends Question>(question: Q, about: Parameters<Questions[Q]>): ReturnType<Questions[Q]> =>
  (QUESTIONS[question] as (...about: unknown[]) => ReturnType<Questions[Q]>)(...about);
