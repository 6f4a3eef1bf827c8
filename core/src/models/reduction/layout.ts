/** A wheel or a case that takes room: a disc in one plane. */
export interface LaidWheel {
  readonly stage: string;
  readonly role: 'driver' | 'driven' | 'idler' | 'case';
  /** Number of the shaft it sits on, the motor's is 0; an idler has a pin of its own. */
  readonly shaft: number;
  readonly x: number;
  readonly y: number;
  readonly plane: number;
  /** Pitch circle. */
  readonly radius: number;
  /** As far as its teeth reach. */
  readonly tip: number;
}

export interface LaidShaft {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
  /** Outside diameter of its bearings, m; 0 where its own size is not known. */
  readonly bearing: number;
  /** Planes it passes through, first and last. */
  readonly from: number;
  readonly to: number;
}

export interface Layout {
  readonly wheels: readonly LaidWheel[];
  readonly shafts: readonly LaidShaft[];
}

/** One stage as far as room is concerned. */
export interface StageRoom {
  readonly id: string;
  readonly plane: number;
  /** rad from the driving shaft to the driven one. */
  readonly direction: number;
  readonly centre: number;
  readonly driverRadius: number;
  readonly drivenRadius: number;
  /** How far teeth reach beyond the pitch circle. */
  readonly addendum: number;
  /** Pitch radius of a wheel between the two. */
  readonly idlerRadius?: number;
  /** A gearbox in line: half across its case. */
  readonly caseRadius?: number;
  /** Radius of the shaft it turns, and the outside diameter of that shaft's bearings. */
  readonly shaftRadius: number;
  readonly bearing: number;
}

/** Lays every shaft and wheel out, motor at the origin. */
export function layOut(stages: readonly StageRoom[], motorShaftRadius: number): Layout {
  const wheels: LaidWheel[] = [];
  const at: { x: number; y: number }[] = [{ x: 0, y: 0 }];
  stages.forEach((stage, i) => {
    const before = at[i]!;
    const { plane, direction, centre, addendum, id } = stage;
    const along = (distance: number) => ({
      x: before.x + distance * Math.cos(direction),
      y: before.y + distance * Math.sin(direction),
    });
    const next = along(centre);
    at.push(next);
    if (stage.caseRadius !== undefined) {
      wheels.push({
        stage: id,
        role: 'case',
        shaft: i,
        ...before,
        plane,
        radius: stage.caseRadius,
        tip: stage.caseRadius,
      });
      return;
    }
    const wheel = (role: LaidWheel['role'], shaft: number, place: { x: number; y: number }, radius: number) =>
      wheels.push({ stage: id, role, shaft, ...place, plane, radius, tip: radius + addendum });
    wheel('driver', i, before, stage.driverRadius);
    if (stage.idlerRadius !== undefined)
      wheel('idler', -1 - i, along(stage.driverRadius + stage.idlerRadius), stage.idlerRadius);
    wheel('driven', i + 1, next, stage.drivenRadius);
  });
  const shafts = at.map((place, i): LaidShaft => {
    const planes = [stages[i - 1]?.plane, stages[i]?.plane].filter((plane) => plane !== undefined);
    return {
      ...place,
      radius: i === 0 ? motorShaftRadius : stages[i - 1]!.shaftRadius,
      bearing: i === 0 ? 0 : stages[i - 1]!.bearing,
      from: Math.min(...planes),
      to: Math.max(...planes),
    };
  });
  return { wheels, shafts };
}

/** Two things that are near each other, and the gap between them; under 0 they collide. */
export interface Gap {
  readonly a: string;
  readonly b: string;
  /** Id of the later stage of the two: the one to turn or move. */
  readonly stage: string;
  readonly gap: number;
  readonly places: readonly {
    readonly x: number;
    readonly y: number;
    readonly radius: number;
    readonly plane: number;
  }[];
}

const WORDS: Readonly<Record<LaidWheel['role'], string>> = {
  driver: 'driver',
  driven: 'driven wheel',
  idler: 'idler',
  case: 'gearbox',
};

/** Gaps between wheels of one plane, and between a wheel and a shaft that passes through its plane. Nearest first. */
export function gapsOf({ wheels, shafts }: Layout, stageNumber: (id: string) => number): readonly Gap[] {
  const gaps: Gap[] = [];
  const nameOf = (wheel: LaidWheel) => `${WORDS[wheel.role]} of stage ${stageNumber(wheel.stage)}`;
  wheels.forEach((a, i) => {
    for (const b of wheels.slice(i + 1)) {
      if (a.plane !== b.plane || a.stage === b.stage) continue;
      gaps.push({
        a: nameOf(a),
        b: nameOf(b),
        stage: b.stage,
        gap: Math.hypot(a.x - b.x, a.y - b.y) - a.tip - b.tip,
        places: [
          { x: a.x, y: a.y, radius: a.tip, plane: a.plane },
          { x: b.x, y: b.y, radius: b.tip, plane: b.plane },
        ],
      });
    }
    shafts.forEach((shaft, s) => {
      // A gearbox in line has its own output shaft at its middle.
      const own =
        wheels.some((wheel) => wheel.stage === a.stage && wheel.shaft === s) ||
        (a.role === 'case' && s === a.shaft + 1);
      if (own || a.shaft === s || a.plane < shaft.from || a.plane > shaft.to) return;
      gaps.push({
        a: nameOf(a),
        b: s === 0 ? 'motor shaft' : `shaft ${s + 1}`,
        stage: a.stage,
        gap: Math.hypot(a.x - shaft.x, a.y - shaft.y) - a.tip - shaft.radius,
        places: [
          { x: a.x, y: a.y, radius: a.tip, plane: a.plane },
          { x: shaft.x, y: shaft.y, radius: shaft.radius, plane: a.plane },
        ],
      });
    });
  });
  return gaps.sort((a, b) => a.gap - b.gap);
}
