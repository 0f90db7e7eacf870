import type { DrawingPart } from '../drawing/draw-floor';
import type { DrawingStyle, Mark } from '../drawing/marks';
import { type Point, distance } from '../geometry/point';
import type { Collection, Id, Vantage } from '../plan/plan';

/** Half of what a lens of so many mm sees from left to right, radians: 36 mm of film. */
const halfAcross = (lens: number): number => Math.atan(18 / lens);

/** How large a mark is, lettering heights: its round, and how far its two sides run. */
const ROUND = 0.55;
const SIDES = 3;

/** Where one looks from, and between which sides: marks of the vantages of a floor. */
export function drawVantages(
  floor: Id,
  { vantages = {}, lettering, without }: Pick<DrawingStyle, 'vantages' | 'lettering' | 'without'>,
): readonly DrawingPart[] {
  const own = Object.values(vantages).filter((vantage) => vantage.floor === floor);
  if (own.length === 0 || without?.has('vantages')) return [];
  return [{ key: 'vantages', apart: false, marks: own.flatMap((vantage) => marksOf(vantage, lettering)) }];
}

/** The vantage of a floor whose mark is nearest to a point, within so much, mm; null: none is. */
export function vantageAt(vantages: Collection<Vantage>, floor: Id, at: Point, reach: number): Vantage | null {
  const away = (vantage: Vantage) => distance(vantage, at);
  const near = Object.values(vantages).filter((vantage) => vantage.floor === floor && away(vantage) <= reach);
  return near.toSorted((a, b) => away(a) - away(b))[0] ?? null;
}

function marksOf({ id, x, y, heading, lens }: Vantage, lettering: number): Mark[] {
  const unit = `vantage ${id}`;
  const way = (heading * Math.PI) / 180;
  const half = halfAcross(lens);
  const far = (angle: number, times: number) => ({
    x: x + times * lettering * Math.cos(way + angle),
    y: y + times * lettering * Math.sin(way + angle),
  });
  const r = ROUND * lettering;
  return [
    {
      ...{ kind: 'path', role: 'vantage.side', key: `${unit} sides`, unit, closed: false },
      rings: [[far(-half, SIDES), { x, y }, far(half, SIDES)]],
    },
    {
      ...{ kind: 'path', role: 'vantage.eye', key: unit, unit, closed: true },
      rings: [
        [
          { x: x - r, y, bulge: 1 },
          { x: x + r, y, bulge: 1 },
        ],
      ],
    },
  ];
}
