export * from './verdict.js';
export * from './rung.js';
export { standingOf, type Shortfall } from './shortfall.js';
export * from './ladder.js';
export {
  headlineSentence,
  headlineText,
  ladderSentence,
  leadOf,
  rungSentence,
  timesText,
  verdictText,
} from './sentence.js';
export * from './check.js';
export * from './stageStrengthOf.js';
export { type Link } from './links/link.js';
export * from './mechanism.js';
export * from './plan.js';
export * from './judgedOver.js';
export * from './measure.js';
export * from './reach.js';
export * from './brakeReach.js';
export * from './endSpeeds.js';
export * from './atSpeed.js';
export * from './endurance.js';
export * from './bind.js';
export * from './wireLoss.js';
export * from './controllerLoss.js';
export * from './slowest.js';
export * from './pulseSums.js';
export * from './servoPulse.js';
export * from './stepCeiling.js';
export * from './rollBack.js';
export * from './turningRound.js';
export * from './workingOf.js';
