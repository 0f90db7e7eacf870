declare module 'cholesky-solve' {
  /** LDLᵀ of a sparse symmetric matrix given by the triplets of its upper half; null when it is singular. */
  export function prepare(triplets: [number, number, number][], n: number): ((b: number[]) => number[]) | null;
}
declare module 'cuthill-mckee' {
  /** The place of each vertex in an order that keeps neighbours near each other. */
  export default function cuthillMckee(edges: [number, number][], n: number): number[];
}
