import { readFileSync } from 'node:fs';
import { readPlanText } from '@rough-gear/contract/plan';
import { resolveDcPath, systemOf, type Part } from '@rough-gear/core';
import { bareLoop } from './bareLoop.js';

/** What all of it is measured on: the demo robot, its lift, and the shelf that ships. */
const read = readPlanText(readFileSync('contract/demo/heron.json', 'utf8'));
if (!read.ok) throw new Error('the demo plan is not a plan');
export const { plan } = read;
export const lift = plan.mechanisms.find(({ id }) => id === 'lift')!;
export const path = resolveDcPath(plan, lift, 'raise');
export const shelf = JSON.parse(readFileSync('contract/demo/shelf.json', 'utf8')) as {
  parts: { id: string; revision: number; part: Part }[];
};

/** The measure of this machine: see `bareLoop`. */
export const bare = bareLoop(systemOf(path));
