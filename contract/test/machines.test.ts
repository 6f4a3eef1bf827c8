import { readFileSync } from 'node:fs';
import Ajv2019 from 'ajv/dist/2019.js';
import {
  applyChanges,
  proposeBeside,
  proposeMechanism,
  quantityOf,
  SERVO_USES,
  type Change,
  type Plan,
  type ServoUseId,
  type Shelved,
  type WishMachine,
} from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { readPlan } from '../src/index.js';
import { planJsonSchema } from '../src/plan/jsonSchema.js';
import { displayText, parseQuantity } from '../src/units/index.js';

const read = (name: string) => JSON.parse(readFileSync(new URL(`../demo/${name}.json`, import.meta.url), 'utf8'));
const heron = read('heron') as Plan;
const limpet = read('limpet') as Plan;
const { parts: shelf } = read('shelf') as { parts: Shelved[] };
const jsonSchema = new Ajv2019({ strict: false, validateFormats: false }).compile(await planJsonSchema());
const typed = (si: number) => ({ si, as: String(si), source: 'typed' as const });

function accepted(plan: Plan): void {
  const result = readPlan(plan);
  expect(result.ok ? [] : result.problems).toEqual([]);
  expect(jsonSchema(JSON.parse(JSON.stringify(plan))), JSON.stringify(jsonSchema.errors)).toBe(true);
}

describe('a plan with another machine', () => {
  it.each<WishMachine>(['dc', 'step', 'step-servo', 'servo'])(
    'proposed as a choice (%s) is of the schema',
    (machine) => {
      accepted(applyChanges(heron, proposeBeside(heron, 'turntable', machine, shelf)));
    },
  );

  it.each(Object.keys(SERVO_USES) as ServoUseId[])('made of a servo’s use (%s) is of the schema', (use) => {
    const { kind, fields } = SERVO_USES[use];
    const values = Object.fromEntries(
      fields.map(({ key }) => [key, quantityOf(key === 'distance' ? 0.04 : 0.3, '0.3')]),
    );
    const wish = { kind, use, name: use, machine: 'servo' as const, values };
    accepted(applyChanges(heron, proposeMechanism(heron, wish, shelf).changes));
    // On a robot without a rail one is made, within what its pack gives.
    const bare: Plan = { ...limpet, mechanisms: [], supply: limpet.supply.filter(({ kind: node }) => node === 'pack') };
    const plan = applyChanges(bare, proposeMechanism(bare, wish, shelf).changes);
    accepted(plan);
    const rail = plan.supply.find((node) => node.kind === 'rail');
    expect(rail?.kind === 'rail' && rail.voltage!.si).toBeLessThan(7.4);
  });
});

describe('a machine that cannot be is refused by its field', () => {
  const turntable = ['mechanisms', 7, 'choices', 0, 'drive'];
  const grip = ['mechanisms', 8, 'choices', 0, 'drive'];
  const rail = ['supply', heron.supply.findIndex(({ kind }) => kind === 'rail')];
  const wrong: readonly (readonly [string, Change, string, RegExp])[] = [
    ['a servo on a branch', { at: [...grip, 'node'], to: 'branch-servos' }, 'drive.node', /hangs on a rail/],
    [
      'a stepper that is a plain motor',
      { at: [...turntable, 'motor'], to: 'motor-1' },
      'drive.motor',
      /a stepper or a step-servo is allowed/,
    ],
    [
      'a driver that is a controller',
      { at: [...turntable, 'driver'], to: 'controller-1' },
      'drive.driver',
      /a driver is allowed/,
    ],
    ['a board that is not there', { at: [...turntable, 'board'], to: 'board-9' }, 'drive.board', /not in the plan/],
    ['a servo that is a stepper', { at: [...grip, 'servo'], to: 'stepper-1' }, 'drive.servo', /a servo is allowed/],
    ['half a step', { at: [...turntable, 'steps'], to: 0.5 }, 'drive.steps', /integer/],
    [
      'more than all of the current',
      { at: [...turntable, 'idleShare'], to: typed(1.5) },
      'idleShare.si',
      /less than or equal to 1/,
    ],
    ['a linkage nobody knows', { at: [...grip, 'linkage', 'kind'], to: 'cable' }, 'linkage.kind', /direct/],
    ['a lever of no length', { at: [...grip, 'linkage', 'lever'], to: typed(0) }, 'linkage.lever.si', /greater than 0/],
    ['twelve legs too many', { at: [...grip, 'joints'], to: 40 }, 'drive.joints', /less than or equal to 24/],
    [
      'a switch between on and off',
      { at: ['parts', 'driver-1', 'part', 'stepSwitches', 0, 'on'], to: '0x1' },
      'stepSwitches',
      /pattern/,
    ],
    [
      'a driver without steps',
      { at: ['parts', 'driver-1', 'part', 'stepSwitches'], to: [] },
      'stepSwitches',
      /at least 1/,
    ],
    [
      'a step servo past its top',
      { at: ['parts', 'step-servo-1', 'part', 'topSpeed'], to: typed(1) },
      'step-servo-1',
      /top speed must be greater/,
    ],
    [
      'a peak under the rated torque',
      { at: ['parts', 'step-servo-1', 'part', 'peakTorque'], to: typed(0.01) },
      'step-servo-1',
      /peak torque/,
    ],
    [
      'pulses the wrong way round',
      { at: ['parts', 'servo-1', 'part', 'longestPulse'], to: typed(1e-4) },
      'servo-1',
      /longest pulse/,
    ],
    ['a servo without ratings', { at: ['parts', 'servo-1', 'part', 'points'], to: [] }, 'points', /at least 1/],
    [
      'steps that are no quarters',
      { at: ['parts', 'stepper-1', 'part', 'stepsPerTurn'], to: 203 },
      'stepsPerTurn',
      /multiple of 4/,
    ],
    ['a rail fed from the wall', { at: [...rail, 'source'], to: 'wall' }, 'source', /regulator/],
    ['a rail that leads nowhere', { at: [...rail, 'parent'], to: 'nowhere' }, 'parent', /does not lead to a pack/],
    ['a mechanism of a kind nobody builds', { at: ['mechanisms', 7, 'kind'], to: 'wing' }, 'kind', /leg/],
  ];

  it.each(wrong)('%s', (_what, change, field, reason) => {
    const result = readPlan(JSON.parse(JSON.stringify(applyChanges(heron, [change]))));
    expect(result.ok).toBe(false);
    if (result.ok) return;
    expect(
      result.problems.some((one) => one.field.includes(field) && reason.test(one.reason)),
      JSON.stringify(result.problems),
    ).toBe(true);
  });
});

describe('what drivers and servos are measured in', () => {
  it.each([
    ['1500 µs', 'pulse', 0.0015],
    ['1.5 ms', 'pulse', 0.0015],
    ['1500', 'pulse', 0.0015],
    ['20 kHz', 'rate', 20000],
    ['20k', 'rate', 20000],
    ['4000 steps/s', 'rate', 4000],
    ['800', 'rate', 800],
    ['2.8 mH', 'inductance', 0.0028],
    ['0.14 s/60°', 'turning', Math.PI / 3 / 0.14],
    ['430 °/s', 'turning', (430 * Math.PI) / 180],
    ['12 mA', 'pin current', 0.012],
    ['0.02 A', 'pin current', 0.02],
    ['270 ohm', 'input resistance', 270],
    ['4.7 kohm', 'input resistance', 4700],
  ] as const)('%s is a %s', (text, dimension, si) => {
    const parsed = parseQuantity(text, dimension);
    expect(parsed.ok && parsed.si).toBeCloseTo(si, 9);
  });

  it.each([
    [0.0015, 'pulse', '1500 µs'],
    [20000, 'rate', '20000 /s'],
    [0.008, 'pin current', '8 mA'],
    [270, 'input resistance', '270 Ω'],
    [0.0028, 'inductance', '2.8 mH'],
    [Math.PI, 'turning', '180 °/s'],
  ] as const)('%d reads as %s %s', (si, dimension, text) => {
    expect(displayText(si, dimension)).toBe(text);
  });
});
