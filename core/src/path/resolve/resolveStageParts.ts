import { ifFinite } from '../../plan/figures/ifFinite.js';
import type { Estimate, FigureCollector } from '../../plan/figures/collector.js';
import type { Place } from '../../plan/document/place.js';
import type { FigureName } from '../../plan/figures/table.js';
import { GRAVITY } from '../../models/load/gravity.js';
import type { Quantity } from '../../plan/document/quantity.js';
import { isToothed, type BeltStage, type ChainStage, type GearStage, type Stage } from '../../plan/document/stage.js';
import { bearingOutside } from '../../models/reduction/bearings.js';
import { CORD_OVER_PULL, pullPerWidth } from '../../models/reduction/beltRun.js';
import { chainRun } from '../../models/reduction/chainRun.js';
import { chainSizeOf } from '../../models/reduction/chainSizes.js';
import { hangingTension } from '../../models/reduction/chainSkip.js';
import { GEAR_ALLOWABLE, gearCentre } from '../../models/reduction/gearPair.js';
import { centreForPitches, pitchesAround, runRadius, strandLength } from '../../models/reduction/runLength.js';
import { SHAFT_ALLOWABLE } from '../../models/reduction/shaft.js';
import { TIGHT_BY } from '../powerpath/lengthFit.js';
import type { ShaftParts, StageParts } from '../powerpath/stageParts.js';

/** Typical centre where nobody gave one, in pitches. */
const TYPICAL_CENTRE = 30;
const TENSIONER_PULL = 20;
const SAG = 0.02;
const TYPICAL_FACE_MODULES = 10;
/** Steeper than this the lower wheel's slack strand hangs beside it and pulls next to nothing. */
const STEEP = Math.PI / 4;

/** Reads what a stage is made of. */
export function resolveStageParts(stage: Stage, index: number, at: Place, collect: FigureCollector): StageParts {
  const keyOf = (name: FigureName) => `stage.${stage.id}.${name.slice(name.indexOf('.') + 1)}`;
  const take: Take = (name, quantity, key, estimate) =>
    collect.take(name, quantity, [...at, ...key], estimate && { source: 'typical', ...estimate }, keyOf(name));
  const optional = (name: FigureName, quantity: Quantity | undefined, key: string[]) =>
    ifFinite(collect.take(name, quantity, [...at, ...key], undefined, keyOf(name)));
  const base = {
    id: stage.id,
    index,
    bore: optional('stage.bore', stage.bore, ['bore']),
    drivenBore: optional('stage.drivenBore', stage.drivenBore, ['drivenBore']),
    direction: take('stage.direction', stage.direction, ['direction']),
    plane: stage.plane ?? index + 1,
    shaft: resolveShaft(stage, take, optional),
  };
  if (!isToothed(stage)) {
    const across = stage.kind === 'screw' ? 0 : take('stage.across', stage.across, ['across']);
    const ratedTorque =
      stage.kind === 'screw' ? undefined : optional('stage.ratedTorque', stage.ratedTorque, ['ratedTorque']);
    return Object.assign(base, { kind: stage.kind, ratedTorque, across, centre: 0, driverRadius: 0, drivenRadius: 0 });
  }
  switch (stage.kind) {
    case 'teeth':
      return Object.assign(base, resolveGears(stage, take));
    case 'chain':
      return Object.assign(base, resolveChain(stage, base.direction, take));
    case 'belt':
      return Object.assign(base, resolveBelt(stage, take, optional));
  }
}

type Optional = (name: FigureName, quantity: Quantity | undefined, key: string[]) => number | undefined;
type Take = (name: FigureName, quantity: Quantity | undefined, key: string[], estimate?: Estimate) => number;

function resolveShaft(stage: Stage, take: Take, optional: Optional): ShaftParts | undefined {
  const { shaft } = stage;
  const size = optional('shaft.size', shaft?.size, ['shaft', 'size']);
  if (!shaft || size === undefined) return undefined;
  return {
    form: shaft.form,
    size,
    allowable: SHAFT_ALLOWABLE[shaft.material ?? 'mild steel'],
    overhang: take('shaft.overhang', shaft.overhang, ['shaft', 'overhang']),
    bearing: take('shaft.bearing', shaft.bearing, ['shaft', 'bearing'], {
      value: bearingOutside(size),
      why: 'usual for this shaft',
    }),
  };
}

function resolveGears(stage: GearStage, take: Take) {
  const { driver, driven, idler } = stage;
  const pitch = take('gear.module', stage.pitch, ['pitch']);
  const face = take('gear.face', stage.face, ['face'], {
    value: ifFinite(TYPICAL_FACE_MODULES * pitch),
    why: 'ten modules',
  });
  return {
    kind: 'teeth' as const,
    driver,
    driven,
    idler,
    pitch,
    face,
    allowable: GEAR_ALLOWABLE[stage.material ?? 'plain steel'],
    centre: gearCentre(pitch, driver, driven) + (idler === undefined ? 0 : pitch * idler),
    driverRadius: (pitch * driver) / 2,
    drivenRadius: (pitch * driven) / 2,
  };
}

const sorted = (a: number, b: number): readonly [number, number] => (a < b ? [a, b] : [b, a]);

/** Where a length lies taut; one that is too short goes nowhere, which a check says, and the wheels are drawn touching. */
function tautAt(pitch: number, small: number, large: number, length: number) {
  if (Number.isNaN(pitch) || Number.isNaN(length)) return { tautCentre: NaN, reaches: true };
  const found = centreForPitches(pitch, small, large, length);
  return { tautCentre: found ?? runRadius(pitch, small + large), reaches: found !== undefined };
}

/** The links typed, else the even count nearest to the centre that is wanted; on shafts that stand, one that goes round. */
function linksOf(stage: ChainStage, pitch: number, wanted: number): number {
  if (stage.links !== undefined) return stage.links;
  const { below, above } = chainRun(pitch, stage.driver, stage.driven, wanted);
  const stands = stage.centre !== undefined && stage.takeUp !== undefined && stage.takeUp !== 'slide';
  if (!below || (stands && wanted - below.centre > TIGHT_BY)) return above.links;
  return wanted - below.centre <= above.centre - wanted ? below.links : above.links;
}

function resolveChain(stage: ChainStage, direction: number, take: Take) {
  const { driver, driven } = stage;
  const pitch = take('chain.pitch', stage.pitch, ['pitch']);
  const size = chainSizeOf(pitch);
  const [small, large] = sorted(driver, driven);
  const wanted = take('chain.centre', stage.centre, ['centre'], {
    value: ifFinite(Math.max(TYPICAL_CENTRE * pitch, 1.2 * runRadius(pitch, driver + driven))),
    why: 'thirty pitches',
  });
  const length = Number.isNaN(pitch) ? NaN : linksOf(stage, pitch, wanted);
  const { tautCentre, reaches } = tautAt(pitch, small, large, length);
  const takeUp = stage.takeUp ?? 'slide';
  const centre = stage.centre && takeUp !== 'slide' ? wanted : tautCentre;
  const steep = Math.abs(Math.sin(direction)) > Math.sin(STEEP);
  const strand = strandLength(pitch, small, large, tautCentre);
  const hanging = size ? hangingTension(size.massPerLength, strand, SAG, GRAVITY) : NaN;
  return {
    kind: 'chain' as const,
    driver,
    driven,
    pitch,
    takeUp,
    length,
    tautCentre,
    reaches,
    wantedCentre: stage.centre?.si,
    centre,
    driverRadius: runRadius(pitch, driver),
    drivenRadius: runRadius(pitch, driven),
    tension: take(
      'chain.tension',
      stage.tension,
      ['tension'],
      takeUp === 'tensioner'
        ? { value: TENSIONER_PULL, why: 'a light sprung tensioner' }
        : steep
          ? {
              value: undefined,
              why: '',
              lacking:
                'it runs steeper than 45°, where the lower wheel’s slack strand pulls next to nothing: a tensioner, or the pull that is there',
            }
          : { value: ifFinite(hanging), why: 'the strand’s own weight, hanging 2 % of its length' },
    ),
    strength: take('chain.strength', stage.strength, ['strength'], {
      value: size?.strength,
      why: `ASME B29.1, ${size?.name ?? 'no such size'}`,
    }),
    wear: take('chain.wear', stage.wear, ['wear']),
    plate: size?.plate ?? 0.45 * pitch,
    toothAllowable: SHAFT_ALLOWABLE[stage.material ?? 'mild steel'],
    massPerLength: size?.massPerLength ?? NaN,
  };
}

function resolveBelt(stage: BeltStage, take: Take, optional: Optional) {
  const { driver, driven } = stage;
  const pitch = take('belt.pitch', stage.pitch, ['pitch']);
  const [small, large] = sorted(driver, driven);
  const wanted = take('belt.centre', stage.centre, ['centre'], {
    value: ifFinite(Math.max(TYPICAL_CENTRE * pitch, 1.2 * runRadius(pitch, driver + driven))),
    why: 'thirty pitches',
  });
  const length = stage.beltTeeth ?? pitchesAround(pitch, small, large, wanted);
  const { tautCentre, reaches } = tautAt(pitch, small, large, length);
  const takeUp = stage.takeUp ?? 'slide';
  const profile = stage.profile ?? 'round';
  const belts = stage.belts ?? 1;
  const width = take('belt.width', stage.face, ['face']);
  const ratedPull = (pullPerWidth(profile, pitch) ?? NaN) * width * belts;
  return {
    kind: 'belt' as const,
    driver,
    driven,
    pitch,
    takeUp,
    length,
    chosen: stage.beltTeeth !== undefined,
    tautCentre,
    reaches,
    wantedCentre: stage.centre?.si,
    centre: stage.centre && takeUp !== 'slide' ? wanted : tautCentre,
    driverRadius: runRadius(pitch, driver),
    drivenRadius: runRadius(pitch, driven),
    profile,
    width,
    belts,
    room: optional('belt.room', stage.room, ['room']),
    idler: stage.idler ?? false,
    ratedPull,
    tension: take('belt.tension', stage.tension, ['tension'], {
      value: ifFinite(ratedPull / 2),
      why: 'half the belt’s typical pull',
    }),
    strength: take('belt.strength', stage.strength, ['strength'], {
      value: ifFinite(CORD_OVER_PULL * ratedPull),
      why: 'four times the typical pull, glass cord',
    }),
  };
}
