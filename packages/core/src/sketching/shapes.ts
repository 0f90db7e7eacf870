import { type Point, type RingPoint, reversedRing, turned } from '../geometry';

/** Outlines that homes are made of. */
export const SHAPES = ['rectangle', 'L', 'T', 'U', 'Z', 'cut corner', 'half-round end', 'with bay'] as const;
export type ShapeName = (typeof SHAPES)[number];

export interface PlacedShape {
  readonly shape: ShapeName;
  /** Middle of the box round it. */
  readonly at: Point;
  /** Of that box before it is turned, mm. */
  readonly width: number;
  readonly depth: number;
  /** Degrees clockwise. */
  readonly turn: number;
  readonly mirror: boolean;
}

/** Corners in shares of width and depth from the top left, clockwise; the third number is the bulge of the leg that follows. */
type Share = readonly [x: number, y: number, bulge?: number];

const OUTLINES: Record<Exclude<ShapeName, 'half-round end' | 'with bay' | 'cut corner'>, readonly Share[]> = {
  rectangle: [
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1],
  ],
  L: [
    [0, 0],
    [0.5, 0],
    [0.5, 0.5],
    [1, 0.5],
    [1, 1],
    [0, 1],
  ],
  T: [
    [0, 0],
    [1, 0],
    [1, 0.45],
    [0.7, 0.45],
    [0.7, 1],
    [0.3, 1],
    [0.3, 0.45],
    [0, 0.45],
  ],
  U: [
    [0, 0],
    [0.33, 0],
    [0.33, 0.55],
    [0.67, 0.55],
    [0.67, 0],
    [1, 0],
    [1, 1],
    [0, 1],
  ],
  Z: [
    [0, 0],
    [0.6, 0],
    [0.6, 0.5],
    [1, 0.5],
    [1, 1],
    [0.4, 1],
    [0.4, 0.5],
    [0, 0.5],
  ],
};

/** The outline of a shape where it was put, clockwise, mm. */
export function shapeOutline(placed: PlacedShape): RingPoint[] {
  const { at, width, depth, turn, mirror } = placed;
  const points = sharesOf(placed).map(([x, y, bulge = 0]): RingPoint => {
    const flat = { x: (x - 0.5) * width * (mirror ? -1 : 1), y: (y - 0.5) * depth };
    const round = turn % 360 === 0 ? flat : turned(flat, (turn * Math.PI) / 180);
    return { x: at.x + round.x, y: at.y + round.y, ...(bulge !== 0 && { bulge: mirror ? -bulge : bulge }) };
  });
  return mirror ? [...reversedRing(points)] : points;
}

/** The legs of a shape that are as long as the box round it is wide, or deep; where none is, two that lie opposite each other as far apart. Null where it ends in an arc. */
export function legsAcross(
  placed: PlacedShape,
  size: 'width' | 'depth',
): readonly [number] | readonly [number, number] | null {
  const shares = sharesOf(placed);
  const [along, off] = size === 'width' ? ([0, 1] as const) : ([1, 0] as const);
  const legs = shares.flatMap((a, i) => {
    const b = shares[(i + 1) % shares.length]!;
    return a[2] ? [] : [{ i: placed.mirror ? (2 * shares.length - 2 - i) % shares.length : i, a, b }];
  });
  const whole = legs.find(({ a, b }) => a[off] === b[off] && Math.abs(a[along] - b[along]) === 1);
  if (whole) return [whole.i];
  const side = (at: 0 | 1) => legs.find(({ a, b }) => a[along] === at && b[along] === at);
  const [first, last] = [side(0), side(1)];
  return first && last ? [first.i, last.i] : null;
}

function sharesOf({ shape, width, depth }: PlacedShape): readonly Share[] {
  switch (shape) {
    case 'cut corner': {
      const cut = 0.3 * Math.min(width, depth);
      return [
        [0, 0],
        [1 - cut / width, 0],
        [1, cut / depth],
        [1, 1],
        [0, 1],
      ];
    }
    case 'half-round end': {
      const straight = Math.max(0.05, 1 - depth / 2 / width);
      // a half circle where the room is long enough for one, else a flatter arc
      const bulge = Math.min(1, (2 * (1 - straight) * width) / depth);
      return [
        [0, 0],
        [straight, 0, bulge],
        [straight, 1],
        [0, 1],
      ];
    }
    case 'with bay': {
      const deep = Math.min(0.3, 600 / depth);
      return [
        [0, deep],
        [0.25, deep],
        [0.35, 0],
        [0.65, 0],
        [0.75, deep],
        [1, deep],
        [1, 1],
        [0, 1],
      ];
    }
    default:
      return OUTLINES[shape];
  }
}
