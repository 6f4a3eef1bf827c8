import { performance } from 'node:perf_hooks';
import { judgeDay, lengthOf, robotOnPack, simulateMatch } from '@rough-gear/core';
import { plan } from './demo.js';
import { round } from './least.js';

/** A match of the demo robot on one pack, by each of its scripts; a day is so many of them. */
export const matches = () =>
  Object.fromEntries(
    (plan.scripts ?? []).map((script) => {
      const robot = robotOnPack(plan, script)!;
      const before = performance.now();
      const { goes } = simulateMatch(robot, script);
      const milliseconds = performance.now() - before;
      return [script.name, { seconds: lengthOf(script), goes: goes.length, milliseconds: round(milliseconds) }];
    }),
  );

/** A day of twelve of them, each judged, on two packs by turns. */
const DAY = { matches: 12, between: 600, packs: 2, charger: 6 };
export const days = () =>
  Object.fromEntries(
    (plan.scripts ?? []).map((script) => {
      const before = performance.now();
      const day = judgeDay(plan, script, DAY);
      for (let step = day.next(); !step.done; step = day.next());
      return [script.name, { matches: DAY.matches, milliseconds: round(performance.now() - before) }];
    }),
  );
