import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { inverse, Matrix, SVD, solve } from 'ml-matrix';

/** A least-squares fit: each coefficient with its standard error, and what is left over of each reading. */
export interface Fit {
  readonly coefficients: readonly number[];
  /** √ of the diagonal of s²·(JᵀJ)⁻¹; ∞ where there are no more readings than coefficients. */
  readonly errors: readonly number[];
  /** Reading less fit, in their order. */
  readonly residuals: readonly number[];
  /** s: standard deviation of a reading about the fit; `undefined` where nothing is left to tell it by. */
  readonly scatter: number | undefined;
  /** Readings so far off that the others do not explain them: marked, never dropped. */
  readonly odd: readonly boolean[];
}

/** Readings that are further off than so many robust standard deviations are odd; fewer readings tell nothing. */
const ODD = 3.5;
const ENOUGH = 5;
/** Of the median deviation, to the standard deviation of a bell curve. */
const MEDIAN_TO_SIGMA = 1.4826;

function medianOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

/** Which residuals stand out from the others, by the median of their sizes: one bad reading does not hide itself. */
function oddOf(residuals: readonly number[]): readonly boolean[] {
  if (residuals.length < ENOUGH) return residuals.map(() => false);
  const sigma = MEDIAN_TO_SIGMA * medianOf(residuals.map(Math.abs));
  return residuals.map((one) => sigma > 0 && Math.abs(one) > ODD * sigma);
}

/** Puts coefficients, their errors and what is left together, from the model's slopes at the solution. */
function told(coefficients: readonly number[], slopes: Matrix, residuals: readonly number[]): Fit {
  const free = residuals.length - coefficients.length;
  const squares = residuals.reduce((sum, one) => sum + one * one, 0);
  const variance = free > 0 ? squares / free : undefined;
  const spread = inverse(slopes.transpose().mmul(slopes));
  return {
    coefficients,
    errors: coefficients.map((_, i) => (variance === undefined ? Infinity : Math.sqrt(variance * spread.get(i, i)))),
    residuals,
    scatter: variance === undefined ? undefined : Math.sqrt(variance),
    odd: oddOf(residuals),
  };
}

/**
 * y = Σ coefficientᵢ·xᵢ by least squares; a column of ones is a constant. Columns are scaled before they are solved, so that
 * their units do not matter.
 *
 * @throws RangeError where there are fewer readings than coefficients, or the columns do not tell them apart
 * @example linearFit([[1, 0], [1, 1], [1, 2]], [1, 3, 5]).coefficients //=> [1, 2]
 */
export function linearFit(rows: readonly (readonly number[])[], y: readonly number[]): Fit {
  const columns = rows[0]?.length ?? 0;
  if (rows.length < columns || columns === 0)
    throw new RangeError(`${rows.length} readings do not tell ${columns} figures`);
  const sizes = Array.from({ length: columns }, (_, i) => Math.hypot(...rows.map((row) => row[i]!)) || 1);
  const scaled = new Matrix(rows.map((row) => row.map((value, i) => value / sizes[i]!)));
  if (new SVD(scaled).rank < columns) throw new RangeError('the readings are too much alike to tell the figures apart');
  const solved = solve(scaled, Matrix.columnVector([...y]), true).to1DArray();
  const coefficients = solved.map((value, i) => value / sizes[i]!);
  const residuals = rows.map((row, i) => y[i]! - row.reduce((sum, value, j) => sum + value * coefficients[j]!, 0));
  return told(coefficients, new Matrix(rows.map((row) => [...row])), residuals);
}

/** A model with its slopes by each coefficient. */
export interface Model {
  at(coefficients: readonly number[], x: number): number;
  slopes(coefficients: readonly number[], x: number): readonly number[];
}

/** A long log is searched by means of neighbours, so many of them; what is left and how sure it is counts every reading. */
const MOST_SEARCHED = 1500;

function meansOf(x: readonly number[], y: readonly number[]): { x: number[]; y: number[] } {
  const each = Math.ceil(x.length / MOST_SEARCHED);
  if (each === 1) return { x: [...x], y: [...y] };
  const mean = (values: readonly number[], from: number): number => {
    const some = values.slice(from, from + each);
    return some.reduce((sum, value) => sum + value, 0) / some.length;
  };
  const starts = Array.from({ length: Math.ceil(x.length / each) }, (_, i) => i * each);
  return { x: starts.map((from) => mean(x, from)), y: starts.map((from) => mean(y, from)) };
}

const ITERATIONS = 200;
const DAMPINGS = [1e-3, 1e-1, 10] as const;

/**
 * A curve through readings, from a guess: Levenberg and Marquardt's way, each coefficient counted in its guess so that their
 * sizes do not matter. No coefficient of the guess may be 0.
 *
 * @throws RangeError where there are fewer readings than coefficients
 */
export function curveFit(x: readonly number[], y: readonly number[], model: Model, guess: readonly number[]): Fit {
  if (x.length < guess.length) throw new RangeError(`${x.length} readings do not tell ${guess.length} figures`);
  const real = (scaled: readonly number[]): number[] => scaled.map((value, i) => value * guess[i]!);
  const left = (scaled: readonly number[]): number => {
    const at = real(scaled);
    return x.reduce((sum, one, i) => sum + (y[i]! - model.at(at, one)) ** 2, 0);
  };
  const thin = meansOf(x, y);
  // From a far guess one damping may stand still where another goes on: the best of them counts.
  const tries = DAMPINGS.flatMap((damping) => {
    try {
      const { parameterValues } = levenbergMarquardt(
        thin,
        (scaled: readonly number[]) => (at: number) => model.at(real(scaled), at),
        {
          initialValues: guess.map(() => 1),
          jacobianFunction: (scaled: readonly number[]) => (at: number) =>
            model.slopes(real(scaled), at).map((slope, i) => slope * guess[i]!),
          maxIterations: ITERATIONS,
          errorTolerance: 0,
          damping,
        },
      );
      return [[...parameterValues]];
    } catch {
      // Its own matrix became singular on the way.
      return [];
    }
  });
  const best = [guess.map(() => 1), ...tries]
    .map((scaled) => ({ scaled, left: left(scaled) }))
    .filter((one) => Number.isFinite(one.left))
    .reduce((least, one) => (one.left < least.left ? one : least), { scaled: guess.map(() => 1), left: Infinity });
  if (best.left === Infinity) throw new RangeError('no curve of this kind goes through these readings');
  const coefficients = real(best.scaled);
  const residuals = x.map((at, i) => y[i]! - model.at(coefficients, at));
  return told(coefficients, new Matrix(x.map((at) => [...model.slopes(coefficients, at)])), residuals);
}
