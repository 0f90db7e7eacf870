import { lastFor } from '../memory';
import type { RoofLight } from '../derived';
import { type Point, type Ring, direction, pointAt } from '../geometry';
import { isThere, openingSpan, swingsOf } from '../openings';
import type { Opening } from '../plan/plan';
import { type Network, wallBody } from '../walls';
import { boxOf } from './lettering';
import type { DrawingStyle, Mark } from './marks';
import { openingSigns } from './opening-signs';

/** Lettering no higher than this, mm of the house, is looked at closely: frames and sills are drawn. 2.5 mm at 1:50 is 125. */
const CLOSE = 130;

/** An opening cut through its wall, with the sign of its form. On a curved wall it follows the arc. */
export function drawOpening(
  network: Network,
  opening: Opening,
  { lettering }: DrawingStyle,
  light: RoofLight | null = null,
): readonly Mark[] {
  if (light)
    return lastLight(opening, [light.from, light.to, ...light.ring.flatMap(({ x, y }) => [x, y])], () =>
      inSlope(opening, light.ring),
    );
  const body = wallBody(network, opening.wall);
  const detail = lettering <= CLOSE;
  // while its wall's body is the same, so is the opening
  return lastDrawn(opening, [body, detail], () =>
    isThere(openingSpan(network, opening)) ? openingSigns(network, opening, detail) : [],
  );
}

const lastLight = lastFor<Opening, readonly Mark[]>();

/** A roof light where it lies, overhead: dashed and crossed. */
const inSlope = ({ id }: Opening, ring: Ring): readonly Mark[] => {
  const path = (what: string, points: Ring, closed: boolean): Mark => ({
    ...{ kind: 'path', role: 'opening.over', key: `${what} ${id}`, rings: [points], closed },
  });
  return [
    path('frame', ring, true),
    path('light', [ring[0]!, ring[2]!], false),
    path('light 2', [ring[1]!, ring[3]!], false),
  ];
};

const lastDrawn = lastFor<Opening, readonly Mark[]>();

/** An opening narrower than this many lettering heights has no room for its number. */
const NUMBERED = 3.5;

/** The number of a door in its swing, of anything else outside of it: what the schedule calls them by. */
export function numberMark(network: Network, opening: Opening, { lettering }: DrawingStyle): Mark[] {
  if (opening.width < NUMBERED * lettering || !isThere(openingSpan(network, opening))) return [];
  const key = `number ${opening.id}`;
  return [
    {
      kind: 'text',
      role: 'opening.number',
      key,
      unit: key,
      at: inSwing(network, opening) ?? outside(network, opening, lettering),
      text: opening.label,
      turn: 0,
      size: NUMBER,
    },
  ];
}

function inSwing(network: Network, opening: Opening): Point | null {
  const [swing] = swingsOf(network, opening);
  if (!swing) return null;
  const { hinge, jamb, open } = swing;
  const share = 0.36;
  return {
    x: hinge.x + share * (jamb.x + open.x - 2 * hinge.x),
    y: hinge.y + share * (jamb.y + open.y - 2 * hinge.y),
  };
}

/** Clear of the wall, whichever way that runs. */
function outside(network: Network, opening: Opening, lettering: number): Point {
  const { wall, course } = network.half(opening.wall, true);
  const { from, to } = openingSpan(network, opening);
  const middle = (from + to) / 2;
  const on = pointAt(course, middle);
  const by = (off: number) => pointAt(course, middle, opening.side === 'right' ? -wall.left - off : wall.right + off);
  const away = direction(on, by(lettering));
  const { long, high } = boxOf(
    { role: 'opening.number', at: on, text: opening.label, turn: 0, size: NUMBER },
    lettering,
  );
  return by(Math.abs(away.x) * long + Math.abs(away.y) * high + GAP * lettering);
}
const NUMBER = 0.85;
const GAP = 0.35;
