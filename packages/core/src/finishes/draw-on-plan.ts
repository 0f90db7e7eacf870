import type { DerivedFloor, DerivedRoom } from '../derived';
import type { DrawingPart } from '../drawing/draw-floor';
import type { DrawingStyle, Mark } from '../drawing/marks';
import { type Point, dot, moved, stretchesWithin } from '../geometry';
import { lastFor } from '../memory';
import { type Family, coarser, patternOf } from '../notes/hatches';
import type { FinishLook } from '../plan/plan';
import { finishLookOf } from './look-of';
import { spreadOfRoom, startOf } from './spread';

type Asked = Pick<DrawingStyle, 'finishes' | 'lettering' | 'without'>;

/** The floors of rooms as they are finished: a tint of their colour, the joints of what is laid at its true size. */
export function drawFinishes({ rooms }: DerivedFloor, { finishes, lettering, without }: Asked): readonly DrawingPart[] {
  if (!finishes) return [];
  const dressed = rooms.flatMap((room) => {
    const look = room.standing.length > 0 ? finishLookOf(`floor ${room.room.id}`, { finishes }) : null;
    return look ? [{ room, look }] : [];
  });
  const parts: DrawingPart[] = [];
  if (!without?.has('finish tints'))
    parts.push({ key: 'finish tints', apart: true, marks: dressed.map(({ room, look }) => tintOf(room, look)) });
  if (!without?.has('finish patterns'))
    parts.push({
      key: 'finish patterns',
      apart: true,
      marks: dressed.flatMap(({ room, look }) => jointsOf(room, look, lettering)),
    });
  return parts.filter(({ marks }) => marks.length > 0);
}

const tintOf = ({ room, standing }: DerivedRoom, { colour }: FinishLook): Mark => ({
  ...{ kind: 'path', role: 'finish.tint', key: `finish of ${room.id}` },
  ...{ rings: standing, closed: true, colour },
});

const lastJoints = lastFor<DerivedRoom, readonly Mark[]>();

function jointsOf(room: DerivedRoom, look: FinishLook, lettering: number): readonly Mark[] {
  return lastJoints(room, [look, lettering], () => {
    const spread = spreadOfRoom(room);
    const { from, d, n } = spread;
    const angle = (look.turn * Math.PI) / 180;
    const way = { x: d.x * Math.cos(angle) + n.x * Math.sin(angle), y: d.y * Math.cos(angle) + n.y * Math.sin(angle) };
    const [a, b] = startOf(look, spread);
    const at = moved(moved(from, d, a), n, b);
    const lines =
      look.bond === 'herringbone' && familiesOf(look).length > 0
        ? herringbone(room, look, at, way, lettering)
        : patternOf(
            familiesOf(look).map((family) => coarser(family, lettering)),
            room.standing,
            at,
            way,
            1,
          );
    if (lines.length === 0) return [];
    return [{ kind: 'path', role: 'finish.joint', key: `joints of ${room.room.id}`, rings: lines, closed: false }];
  });
}

/** The joints of what is laid in rows, as families of lines: those along it, and those across, each row a half or a third farther on. Lines across are counted backwards. */
function familiesOf({ stuff, along, across, joint, bond }: FinishLook): Family[] {
  if (stuff === 'paint' || stuff === 'carpet' || stuff === 'picture' || stuff === 'wallpaper') return [];
  const [length, width] = [along + joint, across + joint];
  const shifts = { straight: 1, half: 2, third: 3, herringbone: 1 }[bond];
  return [
    { turn: 0, apart: width },
    shifts === 1
      ? { turn: 90, apart: length }
      : { turn: 90, apart: length / shifts, dash: [width, (shifts - 1) * width], later: -width },
  ];
}

/** More blocks than this in a room are a grey. */
const MOST_BLOCKS = 6000;
/** Blocks narrower than this are too, lettering heights. */
const NARROWEST = 0.4;

/** Block by block the side along it and the end: those of its neighbours are the others. */
function herringbone({ standing }: DerivedRoom, look: FinishLook, at: Point, way: Point, lettering: number): Point[][] {
  const [l, w] = [Math.max(look.along, look.across) + look.joint, Math.min(look.along, look.across) + look.joint];
  if (w < NARROWEST * lettering) return [];
  const side = { x: -way.y, y: way.x };
  // the frame the blocks lie along, at 45° to the pattern
  const e = { x: (way.x - side.x) * Math.SQRT1_2, y: (way.y - side.y) * Math.SQRT1_2 };
  const f = { x: (way.x + side.x) * Math.SQRT1_2, y: (way.y + side.y) * Math.SQRT1_2 };
  const points = standing.flat().map((p) => ({ x: p.x - at.x, y: p.y - at.y }));
  const reach = (d: Point, step: number) => {
    const offs = points.map((p) => dot(d, p) / step);
    return [Math.floor(Math.min(...offs)) - 2, Math.ceil(Math.max(...offs)) + 2] as const;
  };
  const [i0, i1] = reach(way, Math.SQRT2 * w);
  const [j0, j1] = reach(side, Math.SQRT2 * l);
  const lines: Point[][] = [];
  if ((i1 - i0) * (j1 - j0) > MOST_BLOCKS) return [];
  const spot = (x: number, y: number): Point => moved(moved(at, e, x), f, y);
  for (let i = i0 - Math.ceil(l / w); i <= i1 + Math.ceil(l / w); i += 1)
    for (let j = j0; j <= j1; j += 1) {
      const [x, y] = [i * w - j * l, i * w + j * l];
      for (const [p, q] of [
        [spot(x, y), spot(x + l, y)],
        [spot(x, y), spot(x, y + w)],
        [spot(x, y + w), spot(x, y + w + l)],
        [spot(x, y + w + l), spot(x + w, y + w + l)],
      ] as const)
        lines.push(...within(standing, p, q));
    }
  return lines;
}

/** What of the way from one point to another is within rings. */
function within(rings: DerivedRoom['standing'], p: Point, q: Point): Point[][] {
  const long = Math.hypot(q.x - p.x, q.y - p.y);
  const d = { x: (q.x - p.x) / long, y: (q.y - p.y) / long };
  const along = (c: Point) => (c.x - p.x) * d.x + (c.y - p.y) * d.y;
  return stretchesWithin(rings, p, q).flatMap(([a, b]) => {
    const [s, t] = [Math.max(0, along(a!)), Math.min(long, along(b!))];
    return t - s > 1 ? [[moved(p, d, s), moved(p, d, t)]] : [];
  });
}
