import type { GearMaterial, ShaftMaterial } from '../../plan/document/materials.js';
import type { ToothedStage, Stage } from '../../plan/document/stage.js';
import { chainSizeOf } from '../../models/reduction/chainSizes.js';

/** kg/m³ */
const DENSITY: Readonly<Record<GearMaterial | ShaftMaterial, number>> = {
  'hardened steel': 7850,
  'plain steel': 7850,
  'mild steel': 7850,
  '7075 aluminium': 2810,
  '6061 aluminium': 2700,
  brass: 8500,
  'nylon or acetal': 1400,
  printed: 1100,
};

/** Of a solid disc: what bores and holes between rim and hub leave. */
const SOLID_SHARE = 0.6;
/** Of a block as long as it is wide: what a gearbox's case is filled with. */
const BOX_SHARE = 0.5;
/** Across a gearbox whose size is not known, m. */
const USUAL_ACROSS = 0.045;
/** Width of a gear's teeth in modules, where it is not given. */
const FACE_IN_MODULES = 10;
/** Shafts of a chain that are not said to be elsewhere, in pitches. */
const APART_IN_PITCHES = 30;

const disc = (diameter: number, width: number, density: number): number =>
  (Math.PI / 4) * diameter ** 2 * width * density * SOLID_SHARE;

/**
 * Mass of one stage's wheels, and of what runs between them, as drawn from teeth, pitch and width. It is an estimate: a
 * mass that is typed goes before it. `undefined` where the pitch is not known, and for a screw.
 *
 * @returns kg
 * @example estimatedStageMass({ id: 's', kind: 'teeth', driver: 16, driven: 48, pitch: quantityOf(0.001, '1 mm') }) //=> 0.09470
 */
export function estimatedStageMass(stage: Stage): number | undefined {
  switch (stage.kind) {
    case 'teeth':
    case 'chain':
    case 'belt':
      return toothed(stage);
    case 'ratio':
    case 'planetary':
    case 'worm': {
      const across = stage.across?.si ?? USUAL_ACROSS;
      return (Math.PI / 4) * across ** 3 * DENSITY['plain steel'] * BOX_SHARE;
    }
    case 'screw':
      return undefined;
  }
}

function toothed(stage: ToothedStage): number | undefined {
  const pitch = stage.pitch?.si;
  if (pitch === undefined) return undefined;
  const { driver, driven } = stage;
  switch (stage.kind) {
    case 'teeth': {
      const width = stage.face?.si ?? FACE_IN_MODULES * pitch;
      const density = DENSITY[stage.material ?? 'plain steel'];
      return [driver, driven, stage.idler ?? 0].reduce((sum, z) => sum + disc(pitch * z, width, density), 0);
    }
    case 'chain': {
      const size = chainSizeOf(pitch);
      const density = DENSITY[stage.material ?? 'mild steel'];
      const links = stage.links ?? (2 * (stage.centre?.si ?? APART_IN_PITCHES * pitch)) / pitch + (driver + driven) / 2;
      const wheels = [driver, driven].reduce(
        (sum, z) => sum + disc(pitch / Math.sin(Math.PI / z), size?.plate ?? 0.45 * pitch, density),
        0,
      );
      return wheels + links * pitch * (size?.massPerLength ?? 0);
    }
    case 'belt': {
      const width = (stage.face?.si ?? 2 * pitch) * (stage.belts ?? 1);
      const density = DENSITY['6061 aluminium'];
      return [driver, driven].reduce((sum, z) => sum + disc((pitch * z) / Math.PI, width, density), 0);
    }
  }
}
