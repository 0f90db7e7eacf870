import type { Id } from '../plan/plan';

/**
 * What a surface of the raised house is, as one word and what it is of. A finish is given by it, and nothing else tells surfaces apart:
 * `face <room> <wall> <side>`, `floor <room>`, `ceiling <room>`, `outside <wall> <side>`, `reveal <opening>`, `frame`, `leaf`, `glass <opening>`, `column <solid>`, `stairs <stair>`, `piece <piece> <stuff>`.
 */
export const surfaceId = (what: SurfaceKind, ...of: readonly (Id | string)[]): string => [what, ...of].join(' ');

export const SURFACE_KINDS = [
  'face',
  'floor',
  'ceiling',
  'outside',
  'cut',
  'reveal',
  'threshold',
  'frame',
  'leaf',
  'glass',
  'board',
  'column',
  'stairs',
  'piece',
  'skirting',
  'cornice',
  'roof',
] as const;
export type SurfaceKind = (typeof SURFACE_KINDS)[number];

/** The word of a surface, and what it is of. */
export function partsOfSurface(surface: string): { readonly kind: SurfaceKind; readonly of: readonly string[] } {
  const [kind, ...of] = surface.split(' ');
  return { kind: kind as SurfaceKind, of };
}
