import {
  type Intent,
  type Point,
  type Ring,
  applyEdit,
  deriveFloor,
  difference,
  inset,
  intersection,
  newPlan,
  ringsArea,
} from '../src';
import { dice } from '../tests/random-floors';

export interface TwoBoxes {
  drawn: number;
  refused: number;
  /** Drawings after which a room of the plan is not shown, or most of the second box is no room. */
  lost: number;
  /** Drawings with a wall that runs in no direction that was drawn. */
  slanted: number;
  /** Seeds of what went wrong, for looking into. */
  readonly seeds: string[];
}

type Corners = readonly [Point, Point, Point, Point];

const box = (x: number, y: number, w: number, h: number): Corners => [
  { x, y },
  { x: x + w, y },
  { x: x + w, y: y + h },
  { x, y: y + h },
];
const turnedBy = (corners: Corners, angle: number): Corners =>
  corners.map(({ x, y }) => ({
    x: x * Math.cos(angle) - y * Math.sin(angle),
    y: x * Math.sin(angle) + y * Math.cos(angle),
  })) as unknown as Corners;

/**
 * One drawing: a box, and a second one whose edge or corner is beside an edge or corner of the first, overlapping or leaving it by up to
 * 300 mm. One in four is turned as a whole, one in eight has a second box turned against the first.
 */
export function drawing(seed: number): { intents: Intent[]; boxes: [Corners, Corners]; internal: number } {
  const random = dice(seed);
  const between = (a: number, b: number) => Math.round(a + (b - a) * random());
  const [w, h, w2, h2] = [between(1500, 6000), between(1500, 6000), between(1200, 5000), between(1200, 5000)];
  const [gapX, gapY] = [between(-300, 300), between(-300, 300)];
  // beside each edge of the first, at, past or along its corners
  const side = between(0, 3);
  const along = (own: number, other: number, gap: number) =>
    [gap, own - other + gap, own + gap, -other + gap, between(-other, own)][between(0, 4)]!;
  const at = [
    { x: along(w, w2, gapX), y: -h2 - gapY },
    { x: w + gapX, y: along(h, h2, gapY) },
    { x: along(w, w2, gapX), y: h + gapY },
    { x: -w2 - gapX, y: along(h, h2, gapY) },
  ][side]!;
  const whole = random() < 0.25 ? random() * Math.PI * 2 : 0;
  const own = random() < 0.125 ? random() * Math.PI * 2 : 0;
  const first = turnedBy(box(0, 0, w, h), whole);
  const second = turnedBy(turnedBy(box(at.x, at.y, w2, h2), own), whole);
  const draw = (corners: Corners): Intent =>
    whole === 0 && (corners === first || own === 0)
      ? { kind: 'drawBox', floor: 'ground', a: corners[0], b: corners[2] }
      : { kind: 'drawPath', floor: 'ground', points: corners, closed: true };
  return { intents: [draw(first), draw(second)], boxes: [first, second], internal: [75, 100, 150][between(0, 2)]! };
}

/** Corners within a millimetre are one: a wall may be out by so much at both its ends, mm. */
const WELDED = 2;

const isAlong = (from: Point, to: Point, drawn: readonly number[]) =>
  drawn.some((d) => {
    const [x, y] = [to.x - from.x, to.y - from.y];
    const [along, off] = [x * Math.cos(d) + y * Math.sin(d), y * Math.cos(d) - x * Math.sin(d)];
    return Math.min(Math.abs(along), Math.abs(off)) < WELDED;
  });

export function drawTwoBoxes(count: number, seed: number): TwoBoxes {
  const result: TwoBoxes = { drawn: 0, refused: 0, lost: 0, slanted: 0, seeds: [] };
  for (let i = 0; i < count; i += 1) {
    const own = seed + i;
    const { intents, boxes, internal } = drawing(own);
    let plan = newPlan({ name: 'Two boxes' });
    plan = { ...plan, job: { ...plan.job, usual: { ...plan.job.usual, internalThickness: internal } } };
    let refused = false;
    intents.forEach((intent, k) => {
      const done = applyEdit(plan, intent, `e${k}`);
      if (done.ok) plan = done.plan;
      else refused = true;
    });
    result.drawn += 1;
    if (refused) {
      result.refused += 1;
      continue;
    }
    const floor = deriveFloor(plan, 'ground');
    const rooms = floor.rooms.flatMap(({ outline }) => outline.rings);
    const [first, second] = boxes;
    // what is the second's alone: by the most that walls may take of it
    const alone = inset(difference([second], inset([first], -350)), 350);
    const area = (rings: readonly Ring[]) => ringsArea(rings);
    const missing = area(alone) - area(intersection(alone, rooms)) > 0.02 * area(alone) + 1000;
    const lost = floor.rooms.length !== Object.keys(plan.rooms).length || missing;
    const angleOf = ([a, b]: Corners) => Math.atan2(b.y - a.y, b.x - a.x);
    const drawn = [angleOf(first), angleOf(second)];
    const slanted = floor.network.walls.some(
      ({ start, end }) => !isAlong(plan.corners[start]!, plan.corners[end]!, drawn),
    );
    if (lost) result.lost += 1;
    if (slanted) result.slanted += 1;
    if (lost || slanted) result.seeds.push(`${own} ${lost ? 'lost' : 'slanted'}`);
  }
  return result;
}
