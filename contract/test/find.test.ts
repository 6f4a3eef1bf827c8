import { readFileSync } from 'node:fs';
import { currentChoice, FIGURES, partIdsOf, type Plan } from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { Finder, placesOf, SYNONYMS, TERMS, COMMON_PLACES } from '../src/find/index.js';

const demo = (name: string): Plan =>
  JSON.parse(readFileSync(new URL(`../demo/${name}.json`, import.meta.url), 'utf8')) as Plan;
const heron = demo('heron');
const limpet = demo('limpet');
const places = (plan: Plan, mechanism: string) => placesOf(plan, 'p', mechanism);

/** What people ask, by the mechanism that is open, and the key of the place that must be among the first three. */
const QUESTIONS: Readonly<Record<string, readonly (readonly [asked: string, key: string])[]>> = {
  'heron drive': [
    ['rpm per volt', 'term:Kv'],
    ['how many motors', 'ask:counts'],
    ['one or two', 'ask:counts'],
    ['two motors on one gearbox', 'ask:counts'],
    ['which winding', 'ask:windings'],
    ['brushless', 'ask:brushes'],
    ['bldc', 'ask:brushes'],
    ['brushed or brushless', 'ask:brushes'],
    ['overheat', 'ask:heat'],
    ['will it burn', 'ask:heat'],
    ['smoke', 'ask:heat'],
    ['motor temperature', 'ask:heat'],
    ['regen', 'ask:returned'],
    ['regenerative braking', 'ask:returned'],
    ['drag brake', 'ask:returned'],
    ['freewheel', 'drive.dragOffset'],
    ['coasting', 'drive.dragOffset'],
    ['amps at speed', 'ask:at-speed'],
    ['half throttle', 'ask:at-speed'],
    ['start under load', 'ask:starts'],
    ['more cells', 'ask:cells'],
    ['4s', 'ask:cells'],
    ['lipo', 'ask:cells'],
    ['battery life', 'room:match'],
    ['how long does the battery last', 'ask:lasts'],
    ['old battery', 'ask:aged'],
    ['fuse', 'branch.rated'],
    ['circuit breaker', 'branch.rated'],
    ['breaker', 'branch.rated'],
    ['main fuse', 'main.rated'],
    ['wire thickness', 'branch.gauge'],
    ['awg', 'room:wiring'],
    ['brown-out', 'pack.brownOut'],
    ['brownout', 'pack.brownOut'],
    ['c rating', 'pack.dischargeLimit'],
    ['mah', 'pack.capacity'],
    ['internal resistance', 'pack.cellResistance'],
    ['state of charge', 'pack.charge'],
    ['phase current limit', 'controller.statorLimit'],
    ['current limit', 'controller.statorLimit'],
    ['battery current limit', 'controller.supplyLimit'],
    ['soft start', 'drive.rampTime'],
    ['ramp', 'drive.rampTime'],
    ['encoder', 'drive.encoderCounts'],
    ['bec', 'controller.regulatorVoltage'],
    ['no load speed', 'motor.freeSpeed'],
    ['no load current', 'motor.freeCurrent'],
    ['stall torque', 'motor.stallTorque'],
    ['locked rotor current', 'motor.stallCurrent'],
    ['rotor inertia', 'motor.rotorInertia'],
    ['pinion', 'ask:find-train'],
    ['tooth combinations', 'ask:find-train'],
    ['mod', 'stage.module'],
    ['gear mesh', 'stage.module'],
    ['chain or belt', 'ask:ways'],
    ['gears, chain or belt', 'ask:ways'],
    ['sprocket', 'ask:lengths'],
    ['chain length', 'ask:lengths'],
    ['half link', 'ask:lengths'],
    ['centre distance', 'ask:lengths'],
    ['will the chain break', 'stage.strength'],
    ['wheel size', 'output.wheelRadius'],
    ['traction', 'output.grip'],
    ['friction coefficient', 'output.grip'],
    ['all wheel drive', 'ask:driven'],
    ['robot weight', 'output.mass'],
    ['kickback', 'job.shock'],
    ['pushing force', 'job.push'],
    ['top speed', 'desk:speed'],
    ['gear for a speed', 'desk:speed'],
    ['gear ratio', 'desk:ratio'],
    ['bom', 'room:order'],
    ['shopping list', 'room:order'],
    ['checklist', 'room:pit'],
    ['can id', 'room:setup'],
    ['which motor', 'ask:shortlist'],
    ['recommend', 'desk:shortlist'],
    ['decision log', 'desk:reasons'],
    ['dxf', 'desk:teeth'],
    ['formulas', 'page:learn'],
    ['backup', 'page:data'],
    ['dark mode', 'action:theme'],
    ['inch', 'action:units'],
    ['export', 'action:robot'],
    ['rename', 'action:robot'],
    ['undo', 'action:undo'],
    ['pdf', 'action:print'],
    ['stopwatch', 'ask:go'],
    ['tachometer', 'trial:free-run'],
    ['luggage scale', 'trial:pull'],
    ['mast lift', 'mechanism:lift'],
    ['gaff', 'mechanism:arm'],
    ['555', 'ask:pulses'],
    ['kg cm', 'ask:servos'],
    ['dip switches', 'ask:switches'],
    ['backlash', 'term:backlash'],
    ['hall sensor', 'ask:creep'],
    ['cogging', 'ask:creep'],
  ],
  'heron lift': [
    ['lift height', 'job.distance'],
    ['payload', 'job.mass'],
    ['spool', 'output.drumRadius'],
    ['falls down', 'ask:falls'],
    ['end stop', 'ask:falls'],
    ['rope breaks', 'output.ropeStrength'],
  ],
  'heron arm': [
    ['gas spring', 'output.springRate'],
    ['counterbalance', 'output.springRate'],
    ['centre of gravity', 'output.armCentre'],
    ['load at the tip', 'job.payload'],
    ['end angle', 'job.to'],
  ],
  'heron grip': [
    ['s per 60°', 'servo.speed'],
    ['deadband', 'servo.deadband'],
    ['slop', 'servo.slop'],
    ['does it fit', 'ask:fit'],
    ['which servo', 'ask:servos'],
    ['pwm', 'ask:calibrate'],
    ['horn length', 'linkage.horn'],
    ['servo voltage', 'rail.voltage'],
    ['potentiometer', 'ask:inside'],
    ['buzzing', 'ask:holding'],
  ],
  'heron turntable': [
    ['step rate', 'ask:pulses'],
    ['vref', 'drive.setCurrent'],
    ['resonance', 'ask:rattles'],
    ['open collector', 'ask:signal'],
    ['lost steps', 'ask:ladder'],
    ['inductance', 'stepper.phaseInductance'],
    ['closed loop stepper', 'ask:steppers'],
  ],
  'limpet sled': [
    ['half nut', 'ask:thread'],
    ['half-nut', 'ask:thread'],
    ['spindle', 'ask:thread'],
    ['lathe', 'ask:thread'],
    ['which lead', 'ask:leads'],
    ['ball screw', 'ask:leads'],
    ['whip', 'ask:whip'],
    ['tpi', 'stage.lead'],
  ],
};

describe('the finder', () => {
  for (const [open, questions] of Object.entries(QUESTIONS)) {
    const [robot, mechanism] = open.split(' ') as [string, string];
    const finder = new Finder(places(robot === 'heron' ? heron : limpet, mechanism));
    it.each(questions)(`${open}: “%s” leads to %s`, (asked, key) => {
      expect(finder.find(asked, 3).map((place) => place.key)).toContain(key);
    });
  }

  it('is asked at least 120 questions, and knows 150 other names or more', () => {
    expect(Object.values(QUESTIONS).flat().length).toBeGreaterThanOrEqual(120);
    expect(Object.values(SYNONYMS).flat().length).toBeGreaterThanOrEqual(150);
  });

  it('knows no name of a place that there is not', () => {
    const keys = new Set(
      [heron, limpet].flatMap((plan) => plan.mechanisms.flatMap(({ id }) => places(plan, id).map(({ key }) => key))),
    );
    const known = (key: string) => keys.has(key) || key in FIGURES;
    expect(Object.keys(SYNONYMS).filter((key) => !known(key))).toEqual([]);
  });

  it('forgives a letter, finds the beginning of a word, and nothing where nothing is like it', () => {
    const finder = new Finder(places(heron, 'drive'));
    expect(finder.find('overheet', 3).map(({ key }) => key)).toContain('ask:heat');
    expect(finder.find('overh', 3).map(({ key }) => key)).toContain('ask:heat');
    expect(finder.find('zeppelin')).toEqual([]);
    expect(finder.find('  ')).toEqual([]);
    expect(finder.find('what is it').length).toBeLessThanOrEqual(12);
  });

  it('leads a part to a mechanism that uses it, on the link where it is', () => {
    const parts = new Map(places(heron, 'drive').map((place) => [place.key, place.path]));
    for (const mechanism of heron.mechanisms) {
      const { drive } = currentChoice(mechanism);
      for (const key of partIdsOf(drive)) {
        const [, , , user, link] = parts.get(`part:${key}`)!.split('/');
        const at = heron.mechanisms.find(({ id }) => id === user)!;
        expect(partIdsOf(currentChoice(at).drive)).toContain(key);
        expect(link).toBe(key === partIdsOf(drive)[0] ? 'motor' : 'controller');
      }
    }
    const turntable = currentChoice(heron.mechanisms.find(({ id }) => id === 'turntable')!).drive;
    if (turntable.kind !== 'step') throw new Error('the turntable takes pulses');
    expect(parts.get(`part:${turntable.board}`)).toBe('/robots/p/turntable/controller');
  });

  it('works with no robot open', () => {
    expect(new Finder(COMMON_PLACES).find('formulas', 1)[0]!.path).toBe('/models');
  });

  it('leads a word to a heading of the models page', () => {
    const models = readFileSync(new URL('../../docs/models.md', import.meta.url), 'utf8');
    for (const { learn } of Object.values(TERMS)) expect(models).toContain(`\n## ${learn}\n`);
  });
});
