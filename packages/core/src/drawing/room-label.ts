import type { DerivedRoom } from '../derived';
import { type Point, type Ring, dot, flattened } from '../geometry';
import { headroomInWords } from '../ceilings';
import { lastFor, onceFor } from '../memory';
import { type LABEL_PARTS, type LabelSays, USUAL_LABELS, type Units } from '../plan/plan';
import { formatArea, formatLength, roughly } from '../units';
import { boxOf, liesWithin } from './lettering';
import type { DrawingStyle, Mark } from './marks';

/** Sizes a name is tried in, in lettering heights of the body. */
const SIZES = [1.4, 1.2, 1, 0.85] as const;

interface Line {
  readonly text: string;
  readonly size: number;
  readonly role?: 'room.name' | 'room.area';
  readonly key?: Exclude<(typeof LABEL_PARTS)[number], 'name'>;
}

/** A way to write the label: its lines, the first on top. */
type Layout = readonly Line[];

/**
 * Name and area of a room where its label is: as large as it can be without touching a wall or what stands in it; in two lines where one is too long; without the
 * area where there is no room for both. Null: not even that fits.
 */
export const roomLabel = (room: DerivedRoom, style: DrawingStyle): readonly Mark[] | null =>
  lastLabel(room, [style.lettering, style.units, style.sizes, style.labels], () => {
    const rings = flatOutline(room.outline.rings);
    const layout = layouts(room, style).find((each) => fits(each, rings, room, style.lettering));
    return layout ? marksOf(layout, room, style) : null;
  });
const lastLabel = lastFor<DerivedRoom, readonly Mark[] | null>();

/** Instead of a label that does not fit: its number among the rooms, where that does. */
export function roomNumber(room: DerivedRoom, number: number, style: DrawingStyle): Mark[] | null {
  const layout = [{ text: String(number), size: 1 }];
  return fits(layout, flatOutline(room.outline.rings), room, style.lettering) ? marksOf(layout, room, style) : null;
}

/** What the number of a room stands for: its line of the legend. */
export const legendLine = ({ room, rough, measures }: DerivedRoom, number: number, { units }: DrawingStyle): string =>
  `${number}  ${nameOf(room.name)} ${room.overVoid ? OPEN : roughly(rough, formatArea(measures.area, units))}`;

/** In place of an area that is none. */
const OPEN = 'open to below';
const nameOf = (name: string): string => name || 'Unnamed';

const flatOutline = onceFor((rings: readonly Ring[]): readonly Ring[] => rings.map(flattened));

/** What a label says, from what all say and what its own says; with the size where the look of the drawing asks for it. */
function shownBy({ room }: DerivedRoom, { labels = USUAL_LABELS, sizes }: DrawingStyle): LabelSays {
  const says = room.says ?? labels;
  return sizes && !says.shows.includes('size') ? { ...says, shows: [...says.shows, 'size'] } : says;
}

const OTHER: Record<Units, Units> = { metric: 'imperial', imperial: 'metric' };

/** Ways to write a label, the best first: all of it as large as it can be, then less of it. A turned, smaller or larger one is tried in its own sizes. */
function layouts(derived: DerivedRoom, style: DrawingStyle): readonly Layout[] {
  const { room, rough, measures } = derived;
  const { units } = style;
  const { shows, both } = shownBy(derived, style);
  const has = (part: (typeof LABEL_PARTS)[number]) => shows.includes(part);
  const inBoth = (say: (of: Units) => string) => (both ? `${say(units)} (${say(OTHER[units])})` : say(units));
  const small = (key: NonNullable<Line['key']>, text: string | null): Line[] =>
    text ? [{ text, size: 0.85, role: 'room.area', key }] : [];
  const area = room.overVoid ? OPEN : inBoth((of) => roughly(rough, formatArea(measures.area, of)));
  const sizeSaid = has('size') && !room.overVoid && sizeInWords(derived, units) !== null;
  const more = [
    ...small('size', sizeSaid ? inBoth((of) => sizeInWords(derived, of)!) : null),
    ...small('height', has('height') && !room.overVoid ? heightInWords(derived, units) : null),
    ...small('covering', has('covering') ? room.covering : null),
    ...small('text', has('text') ? room.text : null),
  ];
  const name = has('name') ? nameOf(room.name) : null;
  const areaLine = (size: number): Line[] =>
    has('area') ? [{ text: area, size, role: 'room.area', key: 'area' }] : [];
  const broken = name === null ? null : halves(name);
  const named = SIZES.map((size): Layout => [
    ...(name === null ? [] : [{ text: name, size }]),
    ...areaLine(size < 1 ? 0.85 : 1),
  ]);
  const inTwo = broken
    ? SIZES.filter((size) => size <= 1).map((size): Layout => [
        ...broken.map((text): Line => ({ text, size })),
        ...areaLine(0.85),
      ])
    : [];
  const bare = name === null ? [] : [[{ text: name, size: 0.85 }]];
  const bareInTwo = broken ? [broken.map((text): Line => ({ text, size: 0.85 }))] : [];
  // of what is said besides name and area the last is left out first
  const withMore = more.flatMap((_, left) =>
    named.map((layout): Layout => [...layout, ...more.slice(0, more.length - left)]),
  );
  const all = [...withMore, ...named.slice(0, 3), ...inTwo, ...named.slice(3), ...bare, ...bareInTwo];
  return all
    .filter((layout) => layout.length > 0)
    .map((layout) =>
      room.labelSize === 1 ? layout : layout.map((line) => ({ ...line, size: line.size * room.labelSize })),
    );
}

/** The height of a ceiling, or from where to where it slopes. */
function heightInWords(derived: DerivedRoom, units: Units): string {
  if (!derived.ceiling.level) return headroomInWords(derived, units);
  return `h ${formatLength(derived.ceilingHeight, units)}`;
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

/** The middle of a line of the label, so many mm below its middle: turned with it. */
function placeOf({ room, label }: DerivedRoom, down: number): Point {
  if (room.labelTurn === 0) return { x: label.x, y: label.y + down };
  const angle = (room.labelTurn * Math.PI) / 180;
  return { x: label.x - Math.sin(angle) * down, y: label.y + Math.cos(angle) * down };
}

function fits(layout: Layout, rings: readonly Ring[], derived: DerivedRoom, lettering: number): boolean {
  const down = heights(layout, lettering);
  const turn = derived.room.labelTurn;
  return layout.every(({ text, size, role = 'room.name' }, i) =>
    liesWithin(boxOf({ role, at: placeOf(derived, down[i]!), text, turn, size }, lettering), rings),
  );
}

function marksOf(layout: Layout, derived: DerivedRoom, { lettering }: DrawingStyle): Mark[] {
  const { room } = derived;
  const down = heights(layout, lettering);
  return layout.map(({ text, size, role = 'room.name', key = 'name' }, i) => ({
    kind: 'text',
    role,
    key: key !== 'name' || i === 0 ? `${key} ${room.id}` : `name ${room.id} ${i + 1}`,
    unit: `label ${room.id}`,
    at: placeOf(derived, down[i]!),
    text,
    turn: room.labelTurn,
    size,
  }));
}
