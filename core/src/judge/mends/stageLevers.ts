import type { GearMaterial, ShaftMaterial } from '../../plan/document/materials.js';
import { amount, capitalised, say } from '../../plan/words/phrase.js';
import { choiceAt } from '../../plan/document/place.js';
import { digits } from '../../plan/words/show.js';
import type { Change } from '../../plan/document/change.js';
import { currentChoice } from '../../plan/document/plan.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import { isToothed, type Stage, type ToothedStage } from '../../plan/document/stage.js';
import type { StageParts } from '../../path/powerpath/stageParts.js';
import { CHAIN_SIZES } from '../../models/reduction/chainSizes.js';
import { GEAR_ALLOWABLE } from '../../models/reduction/gearPair.js';
import { SHAFT_ALLOWABLE } from '../../models/reduction/shaft.js';
import { withoutLength } from '../sizing/tuneTotal.js';
import type { Lever, LeverContext } from './lever.js';
import type { LeverId } from '../limits/leverId.js';
import { roundOutwards } from './leverTools.js';

/** Ways to change the one stage that gives. */

interface StageHere {
  readonly stage: Stage;
  readonly parts: StageParts;
  readonly at: readonly (string | number)[];
}

function stageHere(context: LeverContext): StageHere | undefined {
  const stages = currentChoice(context.mechanism).stages;
  const index = stages.findIndex(({ id }) => id === context.stage);
  const stage = stages[index];
  const parts = context.path.stageParts[index];
  return stage && parts
    ? { stage, parts, at: [...choiceAt(context.plan, context.mechanism), 'stages', index] }
    : undefined;
}

const toothedHere = (context: LeverContext): (StageHere & { readonly stage: ToothedStage }) | undefined => {
  const here = stageHere(context);
  return here && isToothed(here.stage) ? { ...here, stage: here.stage } : undefined;
};

const millimetres = (metres: number): string => `${digits(1000 * metres)} mm`;

const MOST_TEETH = 200;

/** Larger wheels of the same ratio: less pull for the same torque, more teeth in mesh. */
const moreTeeth: Lever = {
  id: 'more-teeth',
  span: (context) => {
    const here = toothedHere(context);
    if (!here) return undefined;
    const { driver, driven } = here.stage;
    const most = Math.min(4, MOST_TEETH / Math.max(driver, driven));
    return most > 1 ? { from: driver, to: driver * most } : undefined;
  },
  set: (context, value) => {
    const here = toothedHere(context);
    if (!here) return undefined;
    const { driver, driven } = here.stage;
    const more = Math.ceil(value - 1e-9);
    const other = Math.min(MOST_TEETH, Math.round((more * driven) / driver));
    // The old length no longer goes round; the nearest to the same centre does.
    const freed = withoutLength(here.stage, here.parts.centre) ?? here.stage;
    const changes: Change[] = [{ at: here.at, to: { ...freed, driver: more, driven: other } }];
    return { changes, label: `${more} → ${other} teeth` };
  },
};

/** Wider teeth, or a wider belt. */
const wider: Lever = {
  id: 'wider',
  span: (context) => {
    const parts = toothedHere(context)?.parts;
    const from = parts?.kind === 'teeth' ? parts.face : parts?.kind === 'belt' ? parts.width : NaN;
    return from > 0 ? { from, to: 4 * from } : undefined;
  },
  set: (context, value) => {
    const here = toothedHere(context)!;
    // Belts and gears are sold in whole millimetres.
    const width = Math.ceil(1000 * value - 1e-9) / 1000;
    return {
      changes: [{ at: [...here.at, 'face'], to: quantityOf(width, millimetres(width)) }],
      label: say`${here.stage.kind === 'belt' ? 'Belt' : 'Face'} ${amount(width, 'length')} wide`,
    };
  },
};

const BELT_PITCHES = [0.003, 0.005, 0.008];

/** The next size of chain or belt. */
const largerPitch: Lever = {
  id: 'larger-pitch',
  span: (context) => {
    const here = toothedHere(context);
    if (!here || here.stage.kind === 'teeth') return undefined;
    const from = here.stage.pitch?.si;
    const to = here.stage.kind === 'chain' ? CHAIN_SIZES.at(-1)!.pitch : BELT_PITCHES.at(-1)!;
    return from !== undefined && from < to - 1e-6 ? { from, to } : undefined;
  },
  set: (context, value) => {
    const here = toothedHere(context)!;
    const isChain = here.stage.kind === 'chain';
    const pitches = isChain ? CHAIN_SIZES.map(({ pitch }) => pitch) : BELT_PITCHES;
    const pitch = pitches.find((size) => size >= value - 1e-6) ?? pitches.at(-1)!;
    const size = CHAIN_SIZES.find((known) => known.pitch === pitch);
    return {
      changes: [
        { at: [...here.at, 'pitch'], to: quantityOf(pitch, millimetres(pitch)) },
        { at: [...here.at, isChain ? 'links' : 'beltTeeth'] },
        // Another size has a strength of its own.
        { at: [...here.at, 'strength'] },
      ],
      label: isChain ? `Chain ${size!.name}` : say`A belt of ${amount(pitch, 'length')} pitch`,
    };
  },
};

/** The slack strand pulled tighter: by a tensioner, or by the shafts themselves. */
const tensioner: Lever = {
  id: 'tensioner',
  span: (context) => {
    const parts = stageHere(context)?.parts;
    if (parts?.kind === 'chain') return { from: parts.tension, to: Math.max(10 * parts.tension, 60) };
    // More than its typical pull at rest only wears a belt and its bearings.
    if (parts?.kind === 'belt' && parts.tension < parts.ratedPull) return { from: parts.tension, to: parts.ratedPull };
    return undefined;
  },
  set: (context, value) => {
    const here = stageHere(context)!;
    const pull = roundOutwards(value, true);
    const chain = here.stage.kind === 'chain';
    return {
      changes: [
        { at: [...here.at, 'tension'], to: quantityOf(pull, `${digits(pull)} N`) },
        ...(chain ? [{ at: [...here.at, 'takeUp'], to: 'tensioner' }] : []),
      ],
      label: chain
        ? say`A tensioner that pulls ${amount(pull, 'force')}`
        : say`Each strand at rest ${amount(pull, 'force')}`,
    };
  },
};

/** An even chain instead of one with an offset link. */
const evenLinks: Lever = {
  id: 'even-links',
  span: (context) => {
    const parts = stageHere(context)?.parts;
    return parts?.kind === 'chain' && parts.length % 2 === 1 ? { from: parts.length, to: parts.length + 1 } : undefined;
  },
  set: (context) => {
    const here = stageHere(context)!;
    const links = here.parts.kind === 'chain' ? here.parts.length + 1 : NaN;
    return {
      changes: [{ at: [...here.at, 'links'], to: links }, { at: [...here.at, 'centre'] }],
      label: `An even chain of ${links} links`,
    };
  },
};

const byStrength = <M extends string>(table: Readonly<Record<M, number>>): readonly (readonly [M, number])[] =>
  (Object.entries(table) as [M, number][]).sort((a, b) => a[1] - b[1]);

/** A stronger material for the teeth. */
const harder: Lever = {
  id: 'harder',
  span: (context) => {
    const parts = stageHere(context)?.parts;
    const from = parts?.kind === 'teeth' ? parts.allowable : parts?.kind === 'chain' ? parts.toothAllowable : NaN;
    const to = byStrength<string>(parts?.kind === 'teeth' ? GEAR_ALLOWABLE : SHAFT_ALLOWABLE).at(-1)![1];
    return from < to ? { from, to } : undefined;
  },
  set: (context, value) => {
    const here = stageHere(context)!;
    const table: Readonly<Record<GearMaterial | ShaftMaterial, number>> | object =
      here.stage.kind === 'teeth' ? GEAR_ALLOWABLE : SHAFT_ALLOWABLE;
    const found = byStrength(table as Readonly<Record<string, number>>).find(([, most]) => most >= value * (1 - 1e-9));
    if (!found) return undefined;
    return {
      changes: [{ at: [...here.at, 'material'], to: found[0] }],
      label: `${here.stage.kind === 'teeth' ? 'Gears' : 'Sprockets'} of ${found[0]}`,
    };
  },
};

const thickerShaft: Lever = {
  id: 'thicker-shaft',
  span: (context) => {
    const size = stageHere(context)?.parts.shaft?.size;
    return size === undefined ? undefined : { from: size, to: 4 * size };
  },
  set: (context, value) => {
    const here = stageHere(context)!;
    const size = Math.ceil(1000 * value - 1e-9) / 1000;
    const form = here.parts.shaft!.form;
    return {
      changes: [{ at: [...here.at, 'shaft', 'size'], to: quantityOf(size, millimetres(size)) }],
      label: say`${capitalised(form)} shaft ${amount(size, 'length')}`,
    };
  },
};

type StageLeverId = 'more-teeth' | 'wider' | 'larger-pitch' | 'tensioner' | 'even-links' | 'harder' | 'thicker-shaft';

export const STAGE_LEVERS: Readonly<Record<Extract<LeverId, StageLeverId>, Lever>> = {
  'more-teeth': moreTeeth,
  wider,
  'larger-pitch': largerPitch,
  tensioner,
  'even-links': evenLinks,
  harder,
  'thicker-shaft': thickerShaft,
};
