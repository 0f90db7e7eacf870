import { onceFor } from '../memory';
import { direction, dot } from '../geometry';
import { type Id, type Place, thicknessOf } from '../plan/plan';
import { type HalfWall, type Network, runOfReading } from '../walls';
import { bendQuantity } from './bend';
import { type Quantity, angleAt, constant, difference, distanceAcross, distanceBetween, meanOf } from './quantity';
import { type Spot, endSpot, startSpot } from './spot';
import { Unknowns } from './unknowns';

/** What a reading there measures, as a function of where the corners are. Null when what it names is not there. */
export function quantityOf(network: Network, place: Place, unknowns: Unknowns): Quantity | null {
  switch (place.kind) {
    case 'length':
    case 'chord':
      return lengthOf(network, place, unknowns);
    case 'diagonal': {
      const a = leaving(network, place.from, place.via[0]);
      const b = leaving(network, place.to, place.via[1]);
      return a && b ? distanceBetween(startSpot(network, a), startSpot(network, b), unknowns) : null;
    }
    case 'between': {
      const one = runOfReading(network, { kind: 'length', from: place.from, to: place.to });
      const two = runOfReading(network, { kind: 'length', from: place.via[0]!, to: place.via[1]! });
      return one && two ? distanceAcross(faceSpots(network, one), faceSpots(network, two), unknowns) : null;
    }
    case 'angle':
      return angleOf(network, place, unknowns);
    case 'thickness':
      return thicknessIn(network, place, unknowns);
    case 'sagitta':
    case 'radius':
    case 'arc': {
      const run = runOfReading(network, place);
      return run && bendQuantity(network, run, place.kind, unknowns);
    }
  }
}

const faceSpots = (network: Network, run: readonly HalfWall[]): [Spot, Spot] => [
  startSpot(network, run[0]!),
  endSpot(network, run.at(-1)!),
];

function lengthOf(network: Network, place: Place, unknowns: Unknowns): Quantity | null {
  const run = runOfReading(network, place);
  if (!run) return null;
  const inside = () => distanceBetween(...faceSpots(network, run), unknowns);
  if (place.face === 'inside') return inside();
  const back = [...run].reverse().map((half) => network.half(half.wall.id, !half.forward));
  const outside = distanceBetween(...faceSpots(network, back), unknowns);
  return place.face === 'outside' ? outside : meanOf(inside(), outside);
}

function thicknessIn(network: Network, place: Place, unknowns: Unknowns): Quantity | null {
  const wall = runOfReading(network, place)?.[0]!.wall;
  if (!wall) return null;
  const at = unknowns.sizeAt(wall.id, 'thickness');
  return at === null ? constant(thicknessOf(wall)) : difference(at);
}

/** The inside angle at a corner, clockwise from the wall that leads to `to` to the next wall. */
function angleOf(network: Network, { from, to }: Place, unknowns: Unknowns): Quantity | null {
  const half = leaving(network, from, to);
  if (!half) return null;
  const { around } = network.stars.get(from)!;
  const next =
    around[(around.findIndex((each) => each.wall === half.wall && each.forward === half.forward) + 1) % around.length]!;
  if (next.wall === half.wall || next.bulge !== 0 || half.bulge !== 0) return null;
  return angleAt(from, half.to, next.to, unknowns);
}

/** What a reading would be on the plan as it is: mm, of an angle degrees. Null when what it names is not there. */
export function valueOnPlan(network: Network, place: Place): number | null {
  const known = asDrawn(network);
  const value = quantityOf(network, place, known.unknowns)?.value(known.x);
  if (value === undefined) return null;
  return place.kind === 'angle' ? (value * 180) / Math.PI : value;
}

/** The corners of a network as they are. */
export const asDrawn = onceFor((network: Network): { readonly unknowns: Unknowns; readonly x: Float64Array } => {
  const unknowns = new Unknowns([...network.corners.keys()]);
  return { unknowns, x: unknowns.vector((id) => network.corners.get(id)!, network.walls) };
});

/** Walls within this of the way to a corner that is no longer their own end lead there all the same: cos 8°. */
const LEADS = 0.99;

/** The wall that leaves a corner towards another; after a wall was split, its first piece. */
export function leaving(network: Network, corner: Id, towards: Id | undefined): HalfWall | null {
  const star = network.stars.get(corner);
  const end = towards === undefined ? undefined : network.corners.get(towards);
  if (!star || !end) return null;
  const own = star.around.find((half) => half.to === towards);
  if (own) return own;
  const d = direction(star.corner, end);
  const [best] = [...star.around].sort((a, b) => dot(b.d, d) - dot(a.d, d));
  return best && dot(best.d, d) > LEADS ? best : null;
}
