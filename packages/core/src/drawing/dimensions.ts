import { lastFor } from '../memory';
import { type WallFace, finenessOf, lengthToSay } from '../derived';
import { type Course, courseOf, headingAt, moved, partOf, pointAt, rightOf } from '../geometry';
import { formatLength, roughly } from '../units';
import type { DrawingStyle, Mark, Role } from './marks';
import { lineAlong } from './opening-signs';

const ROLE: Record<WallFace['provenance'], Role> = {
  rough: 'dimension.rough',
  taped: 'dimension.taped',
  scaled: 'dimension.scaled',
  'worked out': 'dimension.workedOut',
};

/** Distance of a dimension line from its face, in lettering heights; one over several pieces of wall stands further in. */
const OFF = 1.1;
const OVERALL_OFF = 2.5;
/** Width of a figure of lettering, as a share of its height: for leaving out what has no room. */
const FIGURE_WIDTH = 0.6;

/** In a narrow room the figure stands at this share of the face, clear of the label in the middle. */
const ASIDE = 0.23;

const lastDrawn = lastFor<WallFace, Mark[]>();

/** The length of a face along its inside: a dashed line for a rough one, a solid one with tape-end ticks for a taped one. */
export const drawDimension = (face: WallFace, style: DrawingStyle, aside: boolean): Mark[] =>
  lastDrawn(face, [style.lettering, style.units, aside, isPlain(style)], () => draw(face, style, aside));

/** Where a length comes from is not shown by how its line is drawn; what is not measured still says so. */
const isPlain = ({ without }: DrawingStyle): boolean => without?.has('provenance') ?? false;

function draw(face: WallFace, style: DrawingStyle, aside: boolean): Mark[] {
  const { lettering, units } = style;
  const text = figure(face, units);
  const width = text.length * lettering * FIGURE_WIDTH;
  if (width > face.length) return [];
  const off = lettering * (face.key.startsWith('overall') ? OVERALL_OFF : OFF);
  if (face.course.arc && face.course.arc.radius < 2 * off) return [];
  const line = courseOf(pointAt(face.course, 0, off), pointAt(face.course, face.length, off), face.bulge);
  const role = isPlain(style) ? 'dimension.workedOut' : ROLE[face.provenance];
  const unit = `dimension ${face.key}`;
  const half = Math.min(width / 2 + lettering * 0.4, line.length / 2);
  const at = line.length * (aside ? Math.max(ASIDE, half / line.length) : 0.5);
  const marks: Mark[] = [
    {
      kind: 'path',
      role,
      key: `dimension ${face.key}`,
      unit,
      rings: [lineAlong(partOf(line, 0, at - half), 0), lineAlong(partOf(line, at + half, line.length), 0)],
      closed: false,
    },
    {
      kind: 'text',
      role,
      key: `length ${face.key}`,
      unit,
      at: pointAt(line, at, bend(line, width)),
      text,
      turn: readable(headingAt(line, at)),
      size: 1,
    },
  ];
  if (face.provenance === 'taped') {
    const tick = lettering * 0.5;
    marks.push({
      kind: 'path',
      role: 'dimension.tick',
      key: `ticks ${face.key}`,
      unit,
      rings: [0, line.length].map((along) => {
        const inward = rightOf(headingAt(line, along));
        const p = pointAt(line, along);
        return [moved(p, inward, -tick), moved(p, inward, tick)];
      }),
      closed: false,
    });
  }
  return marks;
}

/** How far straight lettering on an arc that bows out of the room moves into it so that its ends keep clear of the wall, mm. */
const bend = ({ arc }: Course, width: number): number =>
  arc && arc.sweep > 0 ? arc.radius - Math.sqrt(Math.max(0, arc.radius ** 2 - (width / 2) ** 2)) : 0;

/** The length of a face; of an arc its length and its radius. */
function figure(face: WallFace, units: DrawingStyle['units']): string {
  const rough = face.provenance === 'rough';
  const say = (mm: number) => formatLength(mm, units, finenessOf(face.provenance));
  if (!face.course.arc) return roughly(rough, say(lengthToSay(face)));
  if (face.provenance === 'taped') return `${say(lengthToSay(face))} across · R ${say(face.course.arc.radius)}`;
  return `${roughly(rough, say(face.length))} · R ${say(face.course.arc.radius)}`;
}

/** Steeper than this lettering is read from the right of the sheet, whichever way it leans, degrees. */
const STEEP = 80;

/** The turn of lettering along d, kept readable from the foot or the right of the sheet (ISO 129-1), degrees. */
export function readable(d: { x: number; y: number }): number {
  const turn = (Math.atan2(d.y, d.x) * 180) / Math.PI;
  if (turn > STEEP) return turn - 180;
  return turn <= STEEP - 180 ? turn + 180 : turn;
}
