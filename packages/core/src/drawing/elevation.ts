import { type TopStretch, lowestOver, topAlong } from '../ceilings';
import type { DerivedRoom, OpeningOnFace, RoofLight, WallFace } from '../derived';
import type { Point, Ring } from '../geometry';
import { LARGER_LEAF } from '../openings';
import type { Opening } from '../plan/plan';
import type { Mark, Role } from './marks';

/** Where an opening is in the elevation of its wall, mm: along from the left, up from the floor. */
export interface OpeningInElevation {
  readonly on: OpeningOnFace;
  readonly from: number;
  readonly to: number;
  readonly sill: number;
  readonly head: number;
}

/** The top edge of a wall under a ceiling, from its left end; where that is level one stretch. */
export function topOfFace(face: WallFace, room: DerivedRoom | null, usual: number): readonly TopStretch[] {
  const { length } = face;
  const along = room && !room.ceiling.level ? topAlong(room.ceiling, face.course) : [];
  if (along.length > 0) return along;
  const high = room?.ceilingHeight ?? usual;
  return [{ from: 0, to: length, start: high, end: high, step: 0 }];
}

/** The openings of a face at their heights; a roof light as far up as it lies in its slope. */
export const openingsInElevation = (
  face: WallFace,
  top: readonly TopStretch[],
  lights: (opening: Opening) => RoofLight | null = () => null,
): OpeningInElevation[] =>
  face.openings.map((on) => {
    const { sill, height, toCeiling } = on.opening;
    const head = lights(on.opening)?.head ?? (toCeiling ? lowestOver(top, on.from, on.to) : sill + height);
    return { on, from: on.from, to: on.to, sill, head };
  });

/**
 * A wall as someone in the room sees it, unrolled where it is curved: its openings at their heights, with leaves, panes and bars. The
 * lines of what turns meet at its hinges: full where it opens towards whoever looks, dashed where away (national drawing-office practice, from memory). The left end at the floor is
 * at 0, 0; up is negative.
 */
export function drawElevation(
  face: WallFace,
  top: readonly TopStretch[],
  lights?: (opening: Opening) => RoofLight | null,
): readonly Mark[] {
  const edge = top.flatMap(({ from, to, start, end }) => [at(from, start), at(to, end)]);
  const wall = path('elevation.wall', 'wall', [...edge, at(face.length, 0), at(0, 0)], true);
  return [wall, ...openingsInElevation(face, top, lights).flatMap((each) => openingMarks(face, each))];
}

type Box = readonly [left: number, bottom: number, right: number, top: number];

const path = (role: Role, key: string, points: readonly Point[], closed: boolean): Mark => ({
  kind: 'path',
  role,
  key,
  rings: [points as Ring],
  closed,
});
const rect = (role: Role, key: string, ...[left, bottom, right, top]: Box): Mark =>
  path(role, key, [at(left, top), at(right, top), at(right, bottom), at(left, bottom)], true);
const at = (along: number, up: number): Point => ({ x: along, y: 0 - up });

function openingMarks(face: WallFace, { on, from, to, sill, head }: OpeningInElevation): Mark[] {
  const { opening } = on;
  const key = (what: string) => `elevation ${what} ${opening.id}`;
  if (to - from < 1 || head <= sill) return [];
  const box: Box = [from, sill, to, head];
  const hole =
    opening.form === 'arched opening'
      ? path('elevation.opening', key('hole'), arched(box), true)
      : rect('elevation.opening', key('hole'), ...box);
  const frame = opening.kind === 'window' ? Math.min(opening.frame, (to - from) / 4, (head - sill) / 4) : 0;
  const pane: Box = [from + frame, sill + frame, to - frame, head - frame];
  const line = (what: string, points: readonly Point[], role: Role = 'elevation.line') =>
    path(role, key(what), points, false);
  const half = face.halves.find(({ wall }) => wall.id === opening.wall);
  const side = half?.forward === false ? 'left' : 'right';
  // towards whoever looks, and the jamb at their left hand
  const towards = opening.swing === side;
  const atLeft = (opening.hinge === 'start') === (side === 'right');
  const leaf = (what: string, [l, b, r, t]: Box, hingeLeft: boolean) => {
    const [hinge, shut] = hingeLeft ? [l, r] : [r, l];
    return line(
      what,
      [at(shut, t), at(hinge, (b + t) / 2), at(shut, b)],
      towards ? 'elevation.line' : 'elevation.hidden',
    );
  };
  const split = (share: number) =>
    line('meeting', [
      at(pane[0] + share * (pane[2] - pane[0]), pane[1]),
      at(pane[0] + share * (pane[2] - pane[0]), pane[3]),
    ]);
  const [l, b, r, t] = pane;
  const mid = (l + r) / 2;
  const slide = (what: string, x: number, way: 1 | -1) => {
    const long = (r - l) / 5;
    const y = (b + t) / 2;
    const tip = x + (way * long) / 2;
    return line(what, [
      at(x - (way * long) / 2, y),
      at(tip, y),
      at(tip - way * long * 0.3, y + long * 0.2),
      at(tip, y),
      at(tip - way * long * 0.3, y - long * 0.2),
    ]);
  };
  const signs = ((): Mark[] => {
    switch (opening.form) {
      case 'hinged door':
        return [leaf('leaf', box, atLeft)];
      case 'double door':
        return [split(0.5), leaf('leaf', [l, b, mid, t], true), leaf('leaf 2', [mid, b, r, t], false)];
      case 'leaf and a half': {
        const share = atLeft ? LARGER_LEAF : 1 - LARGER_LEAF;
        const x = l + share * (r - l);
        return [split(share), leaf('leaf', [l, b, x, t], true), leaf('leaf 2', [x, b, r, t], false)];
      }
      case 'sliding door':
      case 'sliding window':
        return [split(0.5), slide('slide', (l + mid) / 2, 1), slide('slide 2', (mid + r) / 2, -1)];
      case 'pocket door':
        return [slide('slide', mid, atLeft ? -1 : 1)];
      case 'bi-fold door':
        return [0.25, 0.5, 0.75].map((share) => ({ ...split(share), key: key(`fold ${share}`) }));
      case 'up-and-over door':
        return [line('leaf', [at(l, b), at(mid, t), at(r, b)])];
      case 'side-hung window':
        return r - l > 700
          ? [split(0.5), leaf('sash', [l, b, mid, t], true), leaf('sash 2', [mid, b, r, t], false)]
          : [leaf('sash', pane, atLeft)];
      case 'top-hung window':
      case 'roof light':
        return [line('sash', [at(l, b), at(mid, t), at(r, b)])];
      case 'sash window':
        return [line('meeting', [at(l, (b + t) / 2), at(r, (b + t) / 2)])];
      case 'hatch':
        return [leaf('leaf', pane, atLeft)];
      default:
        return [];
    }
  })();
  const bars = [
    ...Array.from({ length: opening.bars.upright }, (_, i) => l + ((i + 1) / (opening.bars.upright + 1)) * (r - l)).map(
      (x, i) => line(`upright ${i}`, [at(x, b), at(x, t)]),
    ),
    ...Array.from({ length: opening.bars.across }, (_, i) => b + ((i + 1) / (opening.bars.across + 1)) * (t - b)).map(
      (y, i) => line(`across ${i}`, [at(l, y), at(r, y)]),
    ),
  ];
  // a glazed door has its glass within rails and stiles
  const rail = opening.kind === 'door' && opening.glazing > 0 ? Math.min((r - l) / 10, (t - b) / 10) : 0;
  const glass: Box | null = frame > 0 ? pane : rail > 0 ? [l + rail, b + rail, r - rail, t - rail] : null;
  return [hole, ...(glass ? [rect('elevation.glass', key('pane'), ...glass)] : []), ...signs, ...bars];
}

/** The head of an arched opening: a half circle, or as much of one as there is room for. */
function arched([left, bottom, right, top]: Box): Ring {
  const rise = Math.min((right - left) / 2, top - bottom);
  const spring = top - rise;
  return [
    { ...at(left, spring), bulge: (2 * rise) / (right - left) },
    at(right, spring),
    at(right, bottom),
    at(left, bottom),
  ];
}
