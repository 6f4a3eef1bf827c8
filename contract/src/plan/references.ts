import { jobsOf, MECHANISM_JOBS, type MachineDrive, type PartKind, type Plan } from '@rough-gear/core';
import type { Problem } from './problem.js';

/** What a schema cannot say: ids that lead somewhere, jobs that fit their mechanism, a supply that reaches a pack. */
export function checkReferences(plan: Plan): readonly Problem[] {
  const problems: Problem[] = [];
  const say = (field: string, reason: string) => problems.push({ field, reason });
  const needPart = (field: string, id: string | undefined, ...kinds: readonly PartKind[]) => {
    if (id === undefined) return;
    // Only what the plan itself holds: every object has a "constructor".
    const found = Object.hasOwn(plan.parts, id) ? plan.parts[id]?.part.kind : undefined;
    if (found === undefined || !kinds.includes(found))
      say(
        field,
        `names the part ${id}, which is ${found === undefined ? 'not in the plan' : `a ${found}`}; a ${kinds.join(' or a ')} is allowed`,
      );
  };
  unique(plan.supply, 'supply', say);
  unique(plan.mechanisms, 'mechanisms', say);
  unique(plan.scripts ?? [], 'scripts', say);

  plan.supply.forEach((node, i) => {
    const field = `supply[${i}]`;
    if (node.kind === 'pack') return needPart(`${field}.part`, node.part, 'pack');
    if (node.kind === 'rail') needPart(`${field}.board`, node.board, 'board');
    if (node.kind === 'main' || node.kind === 'branch') needPart(`${field}.breaker`, node.breaker, 'breaker');
    if (!reachesPack(plan, node.id)) say(`${field}.parent`, `${node.parent} does not lead to a pack`);
  });

  plan.mechanisms.forEach((mechanism, m) => {
    const field = `mechanisms[${m}]`;
    const fits = MECHANISM_JOBS[mechanism.kind];
    const may = jobsOf(mechanism.kind);
    unique(mechanism.jobs, `${field}.jobs`, say);
    unique(mechanism.choices, `${field}.choices`, say);
    mechanism.jobs.forEach((job, j) => {
      if (!may.includes(job.kind))
        say(`${field}.jobs[${j}].kind`, `a ${mechanism.kind} does no ${job.kind}; allowed: ${may.join(', ')}`);
    });
    if (!mechanism.choices.some((choice) => choice.id === mechanism.current))
      say(`${field}.current`, `${mechanism.current} is none of its choices`);
    mechanism.choices.forEach((choice, c) => {
      const at = `${field}.choices[${c}]`;
      for (const [key, id, kinds] of partsOf(choice.drive)) needPart(`${at}.drive.${key}`, id, ...kinds);
      const node = plan.supply.find((candidate) => candidate.id === choice.drive.node);
      if (!node) say(`${at}.drive.node`, `${choice.drive.node} is no supply node`);
      else if (choice.drive.kind === 'servo' && node.kind !== 'rail')
        say(`${at}.drive.node`, `${choice.drive.node} is a ${node.kind}; a servo hangs on a rail`);
      if (choice.output.kind !== fits.output)
        say(`${at}.output.kind`, `a ${mechanism.kind} ends in ${fits.output}, not ${choice.output.kind}`);
      unique(choice.stages, `${at}.stages`, say);
      if (choice.tuning !== undefined && !choice.stages.some((stage) => stage.id === choice.tuning))
        say(`${at}.tuning`, `${choice.tuning} is none of its stages`);
    });
  });
  return problems;
}

/** The parts a drive names: where, which, and the kinds allowed there. */
function partsOf(drive: MachineDrive): readonly (readonly [string, string, readonly PartKind[]])[] {
  switch (drive.kind) {
    case 'dc':
      return [
        ['motor', drive.motor, ['motor']],
        ['controller', drive.controller, ['controller']],
      ];
    case 'step':
      return [
        ['motor', drive.motor, ['stepper', 'step-servo']],
        ['driver', drive.driver, ['driver']],
        ['board', drive.board, ['board']],
      ];
    case 'servo':
      return [['servo', drive.servo, ['servo']]];
  }
}

function unique(
  items: readonly { readonly id: string }[],
  field: string,
  say: (field: string, reason: string) => void,
): void {
  const seen = new Set<string>();
  items.forEach(({ id }, i) => {
    if (seen.has(id)) say(`${field}[${i}].id`, `${id} is used twice`);
    seen.add(id);
  });
}

function reachesPack(plan: Plan, from: string): boolean {
  let id = from;
  for (let steps = 0; steps <= plan.supply.length; steps++) {
    const node = plan.supply.find((candidate) => candidate.id === id);
    if (!node) return false;
    if (node.kind === 'pack') return true;
    id = node.parent;
  }
  return false;
}
