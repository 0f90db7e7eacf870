import { Matrix, inverse } from 'ml-matrix';

/** What is known of a plane c + out·u + along·v: a linear function of the three, its value and standard deviation. */
export interface Sighting {
  readonly at: { readonly c: number; readonly out: number; readonly along: number };
  readonly value: number;
  readonly deviation: number;
}

export interface PlaneFit {
  /** mm */
  readonly c: number;
  /** Rise per mm. */
  readonly out: number;
  readonly along: number;
  /** Of c (mm), out and along. */
  readonly covariance: readonly (readonly number[])[];
  /** Fitted less observed, and the redundancy number, of each sighting. */
  readonly residuals: readonly number[];
  readonly controls: readonly number[];
}

/** Millimetres in the unit of the equations: rises and heights are of like size then. */
const UNIT = 1000;

/** The plane by weighted least squares (Ghilani & Wolf, Adjustment Computations; from memory). Null where it is not determined. */
export function fitPlane(sightings: readonly Sighting[]): PlaneFit | null {
  const rows = sightings.map(({ at }) => [at.c, at.out / (at.c ? UNIT : 1), at.along / (at.c ? UNIT : 1)]);
  // of a rise the equation is per mm, of a height in its own unit: both have unknowns c, rise per metre
  const scaled = sightings.map(({ at, value, deviation }) =>
    at.c ? [value, deviation] : [value * UNIT, deviation * UNIT],
  );
  const normal = Matrix.zeros(3, 3);
  const right = [0, 0, 0];
  rows.forEach((row, k) => {
    const [value, deviation] = scaled[k] as [number, number];
    const weight = 1 / (deviation * deviation);
    for (let i = 0; i < 3; i += 1) {
      right[i]! += weight * row[i]! * value;
      for (let j = 0; j < 3; j += 1) normal.set(i, j, normal.get(i, j) + weight * row[i]! * row[j]!);
    }
  });
  if (!isRegular(normal)) return null;
  const spread = inverse(normal).to2DArray();
  const x = spread.map((row) => row.reduce((sum, each, j) => sum + each * right[j]!, 0));
  const residuals = rows.map((row, k) => {
    const by = row.reduce((sum, each, i) => sum + each * x[i]!, 0) - scaled[k]![0]!;
    return sightings[k]!.at.c ? by : by / UNIT;
  });
  const controls = rows.map((row, k) => {
    const variance = row.reduce((sum, a, i) => sum + a * row.reduce((s, b, j) => s + b * spread[i]![j]!, 0), 0);
    return Math.max(0, 1 - variance / scaled[k]![1]! ** 2);
  });
  const per = [1, 1 / UNIT, 1 / UNIT];
  const covariance = spread.map((row, i) => row.map((each, j) => each * per[i]! * per[j]!));
  return { c: x[0]!, out: x[1]! / UNIT, along: x[2]! / UNIT, covariance, residuals, controls };
}

/** Is the determinant far from 0, measured by its diagonal? */
function isRegular(n: Matrix): boolean {
  const at = (i: number, j: number) => n.get(i, j);
  const det =
    at(0, 0) * (at(1, 1) * at(2, 2) - at(1, 2) ** 2) -
    at(0, 1) * (at(0, 1) * at(2, 2) - at(1, 2) * at(0, 2)) +
    at(0, 2) * (at(0, 1) * at(1, 2) - at(1, 1) * at(0, 2));
  return det > 1e-9 * at(0, 0) * at(1, 1) * at(2, 2);
}
