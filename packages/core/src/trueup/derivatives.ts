/** Step for taking derivatives, mm. */
const STEP = 0.01;

/** Derivatives of a function by the given unknowns at x, by central differences; x is left as it was. */
export function derivatives(at: readonly number[], x: Float64Array, value: (x: Float64Array) => number): number[] {
  return at.map((i) => {
    const was = x[i]!;
    x[i] = was + STEP;
    const after = value(x);
    x[i] = was - STEP;
    const before = value(x);
    x[i] = was;
    return (after - before) / (2 * STEP);
  });
}
