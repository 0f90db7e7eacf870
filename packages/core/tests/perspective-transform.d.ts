declare module 'perspective-transform' {
  /** Eight numbers each: x and y of four corners. */
  export default function perspectiveTransform(
    from: number[],
    to: number[],
  ): { coeffs: number[]; transform(x: number, y: number): [number, number] };
}
