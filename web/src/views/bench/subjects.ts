import type { ShelfPart } from '@rough-gear/contract/api';
import { trialSheet, turnedBy, type Plan, type TrialKind, type TrialSubject } from '@rough-gear/core';

/** Something that a kind of trial can be done on, as it is offered. */
export interface OfferedSubject {
  readonly key: string;
  readonly text: string;
  /** Mechanisms that it turns. */
  readonly turns?: string;
  readonly subject: TrialSubject;
}

/** Parts of a plan and its mechanisms that a trial of a kind can be done on. */
export function subjectsIn(kind: TrialKind, planId: string, plan: Plan): readonly OfferedSubject[] {
  const { about } = trialSheet(kind);
  const robot = { robot: plan.name, planId };
  const users = (key: string): string =>
    turnedBy(plan, key)
      .map(({ name }) => name)
      .join(', ');
  const named = Object.values(plan.parts).map(({ part }) => part.name);
  const parts = Object.entries(plan.parts).flatMap(([key, { part, shelfId }]): readonly OfferedSubject[] =>
    part.kind === about
      ? [
          {
            key: `part ${key}`,
            // A name that two parts share is told apart by what they turn.
            text: named.filter((name) => name === part.name).length > 1 ? `${part.name}: ${users(key)}` : part.name,
            turns: users(key),
            subject: { name: part.name, partKey: key, ...(shelfId === undefined ? {} : { shelfId }), ...robot },
          },
        ]
      : [],
  );
  if (about === 'robot') return [{ key: 'robot', text: plan.name, subject: { name: plan.name, ...robot } }];
  const whole = about === 'mechanism' || kind === 'coast-down';
  const mechanisms = plan.mechanisms.flatMap(({ id, name, jobs }) =>
    whole
      ? jobs.map((job): OfferedSubject => ({
          key: `mechanism ${id} ${job.id}`,
          text: jobs.length > 1 ? `${name}: ${job.name}` : name,
          subject: { name, mechanismId: id, jobId: job.id, ...robot },
        }))
      : [],
  );
  return [...parts, ...mechanisms];
}

/** Parts of the shelf that a trial of a kind can be done on: those of no robot. */
export function subjectsOnShelf(kind: TrialKind, shelf: readonly ShelfPart[]): readonly OfferedSubject[] {
  const { about } = trialSheet(kind);
  return shelf
    .filter(({ part }) => part.kind === about)
    .map(({ id, part }) => ({ key: `shelf ${id}`, text: part.name, subject: { name: part.name, shelfId: id } }))
    .sort((a, b) => a.text.localeCompare(b.text));
}
