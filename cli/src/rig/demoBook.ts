import { readPlanText } from '@rough-gear/contract';
import { BOOK_FORMAT } from '@rough-gear/contract/bench';
import {
  expectedOf,
  moved,
  predictedGo,
  quantityOf,
  RIG_AMBIENT,
  RIG_INERTIA,
  RIG_WATTS,
  sharesOf,
  show,
  trialSheet,
  truthOf,
  type CauseId,
  type Expected,
  type FoundKey,
  type Plan,
  type Trial,
  type TrialKind,
  type TrialSubject,
} from '@rough-gear/core';
import { recordRig } from './record.js';

/** One trial of the demo’s book: on what, when, and what was seen beside. */
interface Entry {
  readonly kind: TrialKind;
  readonly subject: Omit<TrialSubject, 'name'>;
  readonly on: string;
  readonly seed: number;
  readonly who: string;
  readonly used: string;
  readonly note?: string;
  readonly said?: Readonly<Record<string, string>>;
  readonly struck?: Trial['struck'];
  /** Figures the real thing has other than by chance. */
  readonly truly?: Expected;
  /** What is not as the plan has it, and by how many of its standard deviations. */
  readonly off?: readonly [CauseId, number];
  /** A reading that went wrong. */
  readonly slip?: readonly [row: number, column: string, factor: number];
}

const METER = 'ammeter, two hand meters, optical tachometer';
const ENTRIES: readonly Entry[] = [
  {
    kind: 'go',
    subject: { mechanismId: 'lift', jobId: 'raise' },
    on: '2026-11-21T16:20:00Z',
    seed: 11,
    who: 'Ines and Tom',
    used: 'controller’s log, pack B at four fifths',
    note: 'The carriage scrapes at the splice of the rail.',
    off: ['friction', 4],
  },
  {
    kind: 'go',
    subject: { mechanismId: 'lift', jobId: 'lower' },
    on: '2026-11-21T16:40:00Z',
    seed: 12,
    who: 'Ines and Tom',
    used: 'controller’s log, pack B at four fifths',
    off: ['friction', 4],
  },
  {
    kind: 'free-run',
    subject: { partKey: 'motor-1', specimen: 'tape 3' },
    on: '2026-11-27T15:05:00Z',
    seed: 20,
    who: 'Ines',
    used: METER,
    struck: [{ row: 4, why: 'the pack was changed in between' }],
    slip: [4, 'current', 1.22],
  },
  {
    kind: 'free-run',
    subject: { partKey: 'motor-1', specimen: 'tape 1' },
    on: '2026-11-26T15:40:00Z',
    seed: 19,
    who: 'Ines',
    used: METER,
  },
  {
    kind: 'stall',
    subject: { partKey: 'motor-1', specimen: 'tape 1' },
    on: '2026-11-26T16:10:00Z',
    seed: 39,
    who: 'Ines and Tom',
    used: `${METER}, arm and spring scale`,
  },
  {
    kind: 'stall',
    subject: { partKey: 'motor-1', specimen: 'tape 2' },
    on: '2026-11-26T16:35:00Z',
    seed: 28,
    who: 'Ines and Tom',
    used: `${METER}, arm and spring scale`,
  },
  {
    kind: 'pack',
    subject: { partKey: 'pack-1', specimen: 'pack B' },
    on: '2026-11-12T17:00:00Z',
    seed: 5,
    who: 'Jonas',
    used: 'lamp board, clamp meter',
  },
  {
    kind: 'pull',
    subject: { mechanismId: 'drive', jobId: 'push' },
    on: '2026-11-09T14:30:00Z',
    seed: 6,
    who: 'Tom',
    used: 'hanging scale',
  },
  {
    kind: 'least-speed',
    subject: { mechanismId: 'hoist', jobId: 'raise' },
    on: '2026-11-07T15:00:00Z',
    seed: 7,
    who: 'Mara',
    used: 'optical tachometer',
    said: { start: 'bump' },
    truly: { leastUp: 32, leastDown: 24 },
  },
  {
    kind: 'servo-currents',
    subject: { partKey: 'servo-1' },
    on: '2026-11-05T15:20:00Z',
    seed: 8,
    who: 'Mara',
    used: 'bench supply at 6 V',
  },
  {
    kind: 'servo-line',
    subject: { partKey: 'servo-1', specimen: 'left front' },
    on: '2026-11-05T16:00:00Z',
    seed: 9,
    who: 'Mara',
    used: 'protractor, pulse box',
  },
  {
    kind: 'step-ladder',
    subject: { partKey: 'stepper-1' },
    on: '2026-11-02T15:10:00Z',
    seed: 10,
    who: 'Jonas',
    used: 'chalk mark, the table itself',
  },
];

const GIVEN: Readonly<Record<string, number>> = {
  inertia: RIG_INERTIA,
  ambient: RIG_AMBIENT,
  watts: RIG_WATTS,
  polePairs: 7,
  shortest: 0.0005,
  longest: 0.0025,
};

function trialOf(plan: Plan, entry: Entry): Trial {
  const { kind, on, seed, who, used, note = '', said = {}, struck = [] } = entry;
  const part = entry.subject.partKey === undefined ? undefined : plan.parts[entry.subject.partKey];
  const mechanism = plan.mechanisms.find(({ id }) => id === entry.subject.mechanismId);
  const subject: TrialSubject = { name: part?.part.name ?? mechanism!.name, robot: plan.name, ...entry.subject };
  if (part?.shelfId) Object.assign(subject, { shelfId: part.shelfId });
  const expected = expectedOf(plan, subject);
  const go =
    entry.off && mechanism
      ? predictedGo(plan, mechanism, subject.jobId!, moved(...entry.off, sharesOf(plan, mechanism.id, subject.jobId!)))
      : undefined;
  const readings = recordRig(kind, { ...truthOf(expected, seed), ...entry.truly, ...go }, { seed });
  if (entry.slip) {
    const [row, column, factor] = entry.slip;
    Object.assign(readings, { [column]: readings[column]!.map((value, i) => (i === row ? value! * factor : value)) });
  }
  const sheet = trialSheet(kind);
  return {
    kind,
    subject,
    startedAt: on,
    closedAt: new Date(Date.parse(on) + sheet.minutes * 60_000).toISOString(),
    who,
    used: `${used}; simulated rig`,
    note,
    given: Object.fromEntries(
      sheet.given.map(({ key, dimension }) => {
        const si = GIVEN[key] ?? expected[key as FoundKey] ?? 0;
        return [key, quantityOf(si, show(si, dimension))];
      }),
    ),
    said: Object.fromEntries(sheet.said.map(({ key, options }) => [key, said[key] ?? options[0]])),
    readings,
    struck,
  };
}

/** The demo’s bench book: every trial of it was played on the simulated rig. */
export function demoBook(planText: string): string {
  const read = readPlanText(planText);
  if (!read.ok) throw new Error('the demo’s plan cannot be read');
  const trials = ENTRIES.map((entry, i) => ({
    id: `7d2a0000-0000-4000-8000-${String(i + 1).padStart(12, '0')}`,
    trial: trialOf(read.plan, entry),
    takings: [],
  }));
  return `${JSON.stringify({ format: BOOK_FORMAT, trials }, null, 2)}\n`;
}
