import type { LetterBox } from '../drawing/lettering';
import { boxOf } from '../drawing/lettering';
import type { Mark, Role, TextMark } from '../drawing/marks';
import { type Point, type Ring, direction, distance, moved, turned } from '../geometry';
import type { Annotation } from '../plan/plan';
import { arrowAt, dotAt, sizeOnPaper } from './draw-dimension';
import { SIGN_SHAPES } from './signs';

/** Between lines of a text, of their height. */
const LEADING = 1.3;
/** Between a text and its leader, of the lettering. */
const AIR = 0.3;

const unitOf = ({ id }: Annotation) => `annotation ${id}`;
const path = (of: Annotation, what: string, role: Role, rings: readonly Ring[], closed = false): Mark => ({
  kind: 'path',
  unit: unitOf(of),
  role,
  key: `${unitOf(of)} ${what}`,
  rings,
  closed,
});

/** The lines of a text on the sheet, one under the other about its middle. */
function textOf(annotation: Annotation, lettering: number): TextMark[] {
  const { id, at, turn, text } = annotation;
  const size = sizeOnPaper(annotation);
  const lines = text.split('\n');
  const d = turned({ x: 0, y: 1 }, (turn * Math.PI) / 180);
  return lines.map((line, i) => ({
    kind: 'text',
    role: 'note.text',
    unit: unitOf(annotation),
    key: `annotation ${id} ${i}`,
    at: moved(at, d, (i - (lines.length - 1) / 2) * LEADING * size * lettering),
    text: line,
    turn,
    size,
  }));
}

/** What is written or drawn by hand. */
export function drawAnnotation(annotation: Annotation, lettering: number): Mark[] {
  const { at, to, turn, form } = annotation;
  const high = sizeOnPaper(annotation) * lettering;
  switch (form) {
    case 'line':
      return [path(annotation, 'line', 'note.sign', [[at, to!]])];
    case 'arrow':
      return arrow(annotation, at, to!, high);
    case 'sign':
      return sign(annotation, high);
    case 'text': {
      const lines = textOf(annotation, lettering);
      if (!to || distance(at, to) < high) return lines;
      return [...leader(annotation, lines, to, { high, lettering, turn }), ...lines];
    }
  }
}

function arrow(annotation: Annotation, from: Point, to: Point, high: number): Mark[] {
  if (distance(from, to) < 1) return [];
  return [
    path(annotation, 'line', 'note.sign', [[from, to]]),
    path(annotation, 'head', 'note.head', [arrowAt(to, direction(from, to), high * 1.3)], true),
  ];
}

/** A leader begins at the side of the text that looks at what it is of, and ends in a dot there. */
function leader(
  annotation: Annotation,
  lines: readonly TextMark[],
  to: Point,
  { high, lettering, turn }: { high: number; lettering: number; turn: number },
): Mark[] {
  const boxes: readonly LetterBox[] = lines.map((line) => boxOf(line, lettering));
  const long = Math.max(...boxes.map((box) => box.long)) + AIR * high;
  const d = turned({ x: 1, y: 0 }, (turn * Math.PI) / 180);
  const { at } = annotation;
  const way = (to.x - at.x) * d.x + (to.y - at.y) * d.y < 0 ? -1 : 1;
  const from = moved(at, d, way * long);
  return [
    path(annotation, 'leader', 'note.line', [[from, moved(from, d, way * AIR * high), to]]),
    path(annotation, 'head', 'note.head', [dotAt(to, 0.22 * high)], true),
  ];
}

function sign(annotation: Annotation, high: number): Mark[] {
  const { at, turn, id } = annotation;
  const { lines, filled = [], letters } = SIGN_SHAPES[annotation.sign!];
  const placed = (rings: readonly Ring[]) =>
    rings.map((ring) =>
      ring.map((p) => {
        const round = turned(p, (turn * Math.PI) / 180);
        return { ...p, x: at.x + round.x * high, y: at.y + round.y * high };
      }),
    );
  const text = annotation.text || letters;
  return [
    path(annotation, 'sign', 'note.sign', placed(lines)),
    ...(filled.length > 0 ? [path(annotation, 'filled', 'note.head', placed(filled), true)] : []),
    ...(text
      ? [
          {
            ...{
              kind: 'text' as const,
              role: 'note.text' as const,
              unit: unitOf(annotation),
              key: `annotation ${id} letters`,
              at,
              text,
              turn: 0,
            },
            size: sizeOnPaper(annotation) * 0.9,
          },
        ]
      : []),
  ];
}

/** Where a text or a sign is taken hold of to turn and size it: beside it, the way it runs. Null: it has none. */
export function turnHandle(annotation: Annotation, lettering: number): Point | null {
  const { at, turn, form } = annotation;
  if (form !== 'text' && form !== 'sign') return null;
  const high = sizeOnPaper(annotation) * lettering;
  const long =
    form === 'sign' ? high : Math.max(...textOf(annotation, lettering).map((line) => boxOf(line, lettering).long));
  return moved(at, turned({ x: 1, y: 0 }, (turn * Math.PI) / 180), long + 1.2 * lettering);
}
