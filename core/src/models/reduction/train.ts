/** One stage as numbers: ratio driven/driver (over 1 slows down) and its two efficiencies. */
export interface StageFigures {
  readonly ratio: number;
  readonly efficiency: number;
  readonly backEfficiency: number;
  /** Stays by itself even greased and shaken: the load does not drive it back. */
  readonly stays?: boolean;
}

export interface Train {
  readonly stages: readonly StageFigures[];
  /** G, the product of the ratios. */
  readonly total: number;
  readonly efficiency: number;
  readonly backEfficiency: number;
  /** Some stage surely stays by itself. One that does so only with dry friction has no back efficiency, but this is false. */
  readonly stays: boolean;
}

/**
 * ηb = max(0, 2 − 1/η): what a stage keeps when the load drives.
 *
 * @example backEfficiency(0.9) //=> 0.8889
 */
export const backEfficiency = (efficiency: number): number => Math.max(0, 2 - 1 / efficiency);

/**
 * Ratios and efficiencies multiply along a train. An empty one is 1:1 without losses.
 *
 * @example trainOf([{ ratio: 3, efficiency: 0.96, backEfficiency: 0.96 }, { ratio: 4, efficiency: 0.95, backEfficiency: 0.95 }]) //=> { stages: [{ ratio: 3, efficiency: 0.96, backEfficiency: 0.96 }, { ratio: 4, efficiency: 0.95, backEfficiency: 0.95 }], total: 12, efficiency: 0.912, backEfficiency: 0.912, stays: false }
 */
export function trainOf(stages: readonly StageFigures[]): Train {
  let [total, efficiency, back] = [1, 1, 1];
  for (const stage of stages) {
    total *= stage.ratio;
    efficiency *= stage.efficiency;
    back *= stage.backEfficiency;
  }
  return { stages, total, efficiency, backEfficiency: back, stays: stages.some((stage) => stage.stays) };
}

/**
 * Torque and speed on the shaft after each stage, for one torque and speed going in.
 *
 * @example alongTrain(trainOf([{ ratio: 3, efficiency: 0.96, backEfficiency: 0.96 }]), 2, 60) //=> [{ torque: 5.76, speed: 20 }]
 */
export function alongTrain(train: Train, torque: number, speed: number): readonly { torque: number; speed: number }[] {
  let [t, w] = [torque, speed];
  return train.stages.map((stage) => {
    t *= stage.ratio * stage.efficiency;
    w /= stage.ratio;
    return { torque: t, speed: w };
  });
}
