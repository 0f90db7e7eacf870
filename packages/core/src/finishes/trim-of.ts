import type { Collection, Id, Trim, TrimPart, TrimProfile } from '../plan/plan';

/** The section of a trim: so far out from the wall and so far up from its foot, as shares of its depth and its height; from the foot at the wall round its front to its head at the wall. */
export type Section = readonly (readonly [number, number])[];

const quarter = (steps: number, at: (angle: number) => readonly [number, number]): [number, number][] =>
  Array.from({ length: steps + 1 }, (_, i) => [...at((Math.PI / 2) * (i / steps))] as [number, number]);

/** How trims are formed. */
export const SECTIONS: Readonly<Record<Exclude<TrimProfile, 'none'>, Section>> = {
  square: [[0, 0], [1, 0], [1, 1], [0, 1]], // prettier-ignore
  rounded: [[0, 0], [1, 0], ...quarter(6, (a) => [Math.cos(a), 0.7 + 0.3 * Math.sin(a)])],
  bevelled: [[0, 0], [1, 0], [1, 0.72], [0.45, 1], [0, 1]], // prettier-ignore
  ogee: [
    [0, 0],
    [1, 0],
    [1, 0.55],
    ...quarter(5, (a) => [0.94 - 0.38 * Math.sin(a), 0.62 + 0.16 * (1 - Math.cos(a))]),
    ...quarter(5, (a) => [0.3 + 0.22 * Math.cos(a), 0.8 + 0.16 * Math.sin(a)]),
    [0.3, 1],
    [0, 1],
  ],
  cove: [[0, 0], [1, 0], ...quarter(8, (a) => [0.96 * (1 - Math.sin(a)) + 0.04, 1 - Math.cos(a) * 0.96]).slice(0, -1), [0.04, 1], [0, 1]], // prettier-ignore
  stepped: [[0, 0], [1, 0], [1, 0.4], [0.66, 0.4], [0.66, 0.7], [0.33, 0.7], [0.33, 1], [0, 1]], // prettier-ignore
};

/** How trims are usually made, mm: common practice, no source. */
export const USUAL_TRIM: Readonly<Record<TrimPart, Pick<Trim, 'profile' | 'height' | 'depth'>>> = {
  skirting: { profile: 'rounded', height: 100, depth: 18 },
  cornice: { profile: 'cove', height: 80, depth: 80 },
  board: { profile: 'square', height: 25, depth: 35 },
};

/** The trim a room has: its own, or the house’s; null: none. Those of an option before those of all. */
export function trimOf(trims: Collection<Trim>, room: Id, part: TrimPart): Trim | null {
  let best: Trim | null = null;
  const rank = (trim: Trim) => `${trim.room === '' ? 0 : 1} ${trim.option === '' ? 0 : 1} ${trim.id}`;
  for (const trim of Object.values(trims))
    if (trim.part === part && (trim.room === room || trim.room === '') && (!best || rank(trim) > rank(best)))
      best = trim;
  return best;
}
