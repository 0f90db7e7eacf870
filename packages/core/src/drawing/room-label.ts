import type { DerivedRoom } from '../derived';
import { type Point, type Ring, dot, flattened } from '../geometry';
import { lastFor, onceFor } from '../memory';
import { formatArea, formatLength, roughly } from '../units';
import { boxOf, liesWithin } from './lettering';
import type { DrawingStyle, Mark } from './marks';

/** Sizes a name is tried in, in lettering heights of the body. */
const SIZES = [1.4, 1.2, 1, 0.85] as const;

interface Line {
  readonly text: string;
  readonly size: number;
  readonly role?: 'room.name' | 'room.area';
  readonly key?: 'area' | 'size';
}

/** A way to write the label: its lines, the first on top. */
type Layout = readonly Line[];

/**
 * Name and area of a room where its label is: as large as it can be without touching a wall or what stands in it; in two lines where one is too long; without the
 * area where there is no room for both. Null: not even that fits.
 */
export const roomLabel = (room: DerivedRoom, style: DrawingStyle): readonly Mark[] | null =>
  lastLabel(room, [style.lettering, style.units, style.sizes], () => {
    const rings = flatOutline(room.outline.rings);
    const layout = layouts(room, style).find((each) => fits(each, rings, room.label, style.lettering));
    return layout ? marksOf(layout, room, style) : null;
  });
const lastLabel = lastFor<DerivedRoom, readonly Mark[] | null>();

/** Instead of a label that does not fit: its number among the rooms, where that does. */
export function roomNumber(room: DerivedRoom, number: number, style: DrawingStyle): Mark[] | null {
  const layout = [{ text: String(number), size: 1 }];
  return fits(layout, flatOutline(room.outline.rings), room.label, style.lettering)
    ? marksOf(layout, room, style)
    : null;
}

/** What the number of a room stands for: its line of the legend. */
export const legendLine = ({ room, rough, measures }: DerivedRoom, number: number, { units }: DrawingStyle): string =>
  `${number}  ${nameOf(room.name)} ${room.overVoid ? OPEN : roughly(rough, formatArea(measures.area, units))}`;

/** In place of an area that is none. */
const OPEN = 'open to below';
const nameOf = (name: string): string => name || 'Unnamed';

const flatOutline = onceFor((rings: readonly Ring[]): readonly Ring[] => rings.map(flattened));

function layouts(derived: DerivedRoom, style: DrawingStyle): readonly Layout[] {
  const { room, rough, measures } = derived;
  const { units } = style;
  const name = nameOf(room.name);
  const text = room.overVoid ? OPEN : roughly(rough, formatArea(measures.area, units));
  const area: Line = { text, size: 1, role: 'room.area', key: 'area' };
  const small: Line = { ...area, size: 0.85 };
  const measured = style.sizes && !room.overVoid ? sizeInWords(derived, units) : null;
  const size: Line | null = measured === null ? null : { text: measured, size: 0.85, role: 'room.area', key: 'size' };
  const whole = SIZES.map((size): Layout => [{ text: name, size }, size < 1 ? small : area]);
  const broken = halves(name);
  const inTwo = broken
    ? SIZES.filter((size) => size <= 1).map((size): Layout => [
        { text: broken[0], size },
        { text: broken[1], size },
        small,
      ])
    : [];
  const bare = [{ text: name, size: 0.85 }];
  const bareInTwo = broken?.map((text): Line => ({ text, size: 0.85 }));
  const sized = size ? SIZES.map((of): Layout => [{ text: name, size: of }, of < 1 ? small : area, size]) : [];
  return [...sized, ...whole.slice(0, 3), ...inTwo, ...whole.slice(3), bare, ...(bareInTwo ? [bareInTwo] : [])];
}

/** How long and wide a room is: of one with four square corners its walls, of another the least rectangle along its longest wall, “up to”. */
function sizeInWords({ faces, outline, rough }: DerivedRoom, units: DrawingStyle['units']): string | null {
  const longest = faces.reduce<(typeof faces)[number] | null>((a, b) => (a && a.length >= b.length ? a : b), null);
  if (!longest) return null;
  const { d } = longest;
  const points = outline.rings.slice(0, 1).flatMap(flattened);
  const [along, across] = [d, { x: -d.y, y: d.x }].map((way) => {
    const reach = points.map((p) => dot(p, way));
    return Math.max(...reach) - Math.min(...reach);
  }) as [number, number];
  const [width, depth] = Math.abs(d.x) >= Math.abs(d.y) ? [along, across] : [across, along];
  const square = faces.length === 4 && faces.every((face) => face.bulge === 0 && Math.abs(dot(face.d, d)) % 1 < 1e-6);
  const fineness = rough ? 'coarse' : 'fine';
  const [a, b] = [formatLength(width, units, fineness), formatLength(depth, units, fineness)];
  const both = units === 'metric' ? `${a.replace(/ m$/, '')} × ${b}` : `${a} × ${b}`;
  return `${square ? '' : 'up to '}${roughly(rough, both)}`;
}

/** The name in two lines, broken where they are most alike in length; null where it has no blank. */
function halves(name: string): readonly [string, string] | null {
  const blanks = [...name.matchAll(/\s+/g)].map(({ index }) => index);
  const [best] = blanks.sort((a, b) => Math.abs(2 * a - name.length) - Math.abs(2 * b - name.length));
  return best === undefined ? null : [name.slice(0, best), name.slice(best).trim()];
}

/** Between lines, in lettering heights of the higher one. */
const LEADING = 1.25;

/** Where the middles of the lines are below the middle of the label, mm. */
function heights(layout: Layout, lettering: number): readonly number[] {
  const steps = layout.slice(1).map(({ size }, i) => LEADING * lettering * 0.5 * (size + layout[i]!.size));
  const whole = steps.reduce((sum, step) => sum + step, 0);
  let y = -whole / 2;
  return layout.map((_, i) => (y += i === 0 ? 0 : steps[i - 1]!));
}

function fits(layout: Layout, rings: readonly Ring[], { x, y }: Point, lettering: number): boolean {
  const down = heights(layout, lettering);
  return layout.every(({ text, size, role = 'room.name' }, i) => {
    return liesWithin(boxOf({ role, at: { x, y: y + down[i]! }, text, turn: 0, size }, lettering), rings);
  });
}

function marksOf(layout: Layout, { room, label: { x, y } }: DerivedRoom, { lettering }: DrawingStyle): Mark[] {
  const down = heights(layout, lettering);
  return layout.map(({ text, size, role = 'room.name', key = 'name' }, i) => ({
    kind: 'text',
    role,
    key: key !== 'name' || i === 0 ? `${key} ${room.id}` : `name ${room.id} ${i + 1}`,
    unit: `label ${room.id}`,
    at: { x, y: y + down[i]! },
    text,
    turn: 0,
    size,
  }));
}
