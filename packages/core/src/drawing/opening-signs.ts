import { type Course, type RingPoint, bandAlong, partOf, pointAt } from '../geometry';
import { type Span, clearSpan, openingSpan, swingsOf } from '../openings';
import type { Opening } from '../plan/plan';
import type { Network } from '../walls';
import type { Mark, Role } from './marks';

/** An opening as it is drawn: its stretch of wall, and how far the faces are from the line of the wall. mm */
interface Place {
  readonly network: Network;
  readonly opening: Opening;
  readonly span: Span;
  readonly course: Course;
  readonly part: Course;
  readonly left: number;
  readonly right: number;
}

/** Of panels that slide past each other, how much of the width is theirs together over once (common practice, no source). */
const LAP = 0.06;
/** How far what slides is from the middle of the wall, mm. */
const TRACK = 22;
/** How thick a leaf in its pocket is drawn, mm. */
const POCKET = 55;
/** How far a sill stands out of the wall, and past its reveals, mm (common practice, no source). */
const SILL = 50;

/**
 * How each form is drawn in plan, cut a little over a metre above the floor: leaves and the way they turn (ISO 7437 and national drawing-office practice,
 * from memory); what is over the cut is dashed (ISO 128).
 */
export function openingSigns(network: Network, opening: Opening, detail: boolean): Mark[] {
  const { wall, course } = network.half(opening.wall, true);
  const span = openingSpan(network, opening);
  const place = {
    network,
    opening,
    span,
    course,
    part: partOf(course, span.from, span.to),
    left: wall.left,
    right: wall.right,
  };
  const signs = opening.kind === 'window' ? windowSigns(place, detail) : doorSigns(place);
  return [
    ring(place, 'opening.gap', 'gap', bandAlong(place.part, wall.left, wall.right)),
    ...signs,
    ...(detail ? frames(place) : []),
  ];
}

const keyOf = (place: Place, what: string) => `${what} ${place.opening.id}`;

const ring = (place: Place, role: Role, what: string, points: readonly RingPoint[]): Mark => ({
  kind: 'path',
  role,
  key: keyOf(place, what),
  rings: [points],
  closed: true,
});

const line = (place: Place, role: Role, what: string, points: readonly RingPoint[]): Mark => ({
  kind: 'path',
  role,
  key: keyOf(place, what),
  rings: [points],
  closed: false,
});

/** A line `off` mm to the right of a course. */
export function lineAlong(course: Course, off: number): readonly RingPoint[] {
  const a = pointAt(course, 0, off);
  const b = pointAt(course, course.length, off);
  return course.bulge === 0 ? [a, b] : [{ ...a, bulge: course.bulge }, b];
}

const middleOf = ({ left, right }: Place): number => (right - left) / 2;
/** From the wall's line to the face a leaf opens over, and which way that is. */
const openSide = ({ opening, left, right }: Place): { face: number; out: 1 | -1 } =>
  opening.swing === 'right' ? { face: right, out: 1 } : { face: -left, out: -1 };
const shareOf = ({ part }: Place, from: number, to: number): Course =>
  partOf(part, from * part.length, to * part.length);

function doorSigns(place: Place): Mark[] {
  const { opening, network, left, right, part } = place;
  const { face, out } = openSide(place);
  switch (opening.form) {
    case 'sliding door':
      return panels(place, 'door.leaf');
    case 'pocket door':
      return pocket(place);
    case 'bi-fold door':
      return [line(place, 'door.leaf', 'leaf', folded(place, face, out))];
    case 'up-and-over door': {
      const over = out > 0 ? [-face, face + opening.height] : [opening.height - face, face];
      return [
        line(place, 'door.leaf', 'leaf', lineAlong(part, -out * (out > 0 ? left : right) + out * TRACK)),
        ring(place, 'opening.over', 'over', bandAlong(part, over[0]!, over[1]!)),
      ];
    }
    case 'plain opening':
    case 'arched opening':
      if (opening.toCeiling) return [];
      return [
        line(place, 'opening.over', 'lintel left', lineAlong(part, -left)),
        line(place, 'opening.over', 'lintel right', lineAlong(part, right)),
        ...(opening.form === 'arched opening' ? [line(place, 'opening.over', 'arch', arch(place))] : []),
      ];
    default:
      return swingsOf(network, opening).flatMap(({ hinge, jamb, open, leaf }, i): Mark[] => {
        const what = (name: string) => (i === 0 ? name : `${name} ${i + 1}`);
        return [
          line(place, 'door.leaf', what('leaf'), [hinge, open]),
          {
            kind: 'arc',
            role: 'door.swing',
            key: keyOf(place, what('swing')),
            centre: hinge,
            radius: leaf,
            from: open,
            to: jamb,
          },
        ];
      });
  }
}

/** Two panels that lap in the middle, each on a track of its own. */
const panels = (place: Place, role: Role): Mark[] => [
  line(place, role, 'leaf', lineAlong(shareOf(place, 0, 0.5 + LAP / 2), middleOf(place) - TRACK)),
  line(place, role, 'leaf 2', lineAlong(shareOf(place, 0.5 - LAP / 2, 1), middleOf(place) + TRACK)),
];

/** The leaf stands half in the wall, in a pocket as long as it is wide, as far as the wall goes. */
function pocket(place: Place): Mark[] {
  const { opening, span, course, network } = place;
  const clear = clearSpan(network, opening.wall);
  const atStart = opening.hinge === 'start';
  const [from, to] = atStart
    ? [Math.max(clear.from, span.from - opening.width), span.from]
    : [span.to, Math.min(clear.to, span.to + opening.width)];
  const mid = middleOf(place);
  const half = opening.width / 2;
  const [a, b] = atStart
    ? [Math.max(from, span.from - half), span.from + half]
    : [span.to - half, Math.min(to, span.to + half)];
  return [
    ring(place, 'opening.pocket', 'pocket', bandAlong(partOf(course, from, to), POCKET / 2 - mid, POCKET / 2 + mid)),
    line(place, 'door.leaf', 'leaf', lineAlong(partOf(course, a, b), mid)),
  ];
}

/** Four panels in a zigzag, folded to half their width. */
function folded({ part, opening }: Place, face: number, out: 1 | -1): RingPoint[] {
  const panel = part.length / 4;
  return [0, 1, 2, 3, 4].map((i) => {
    const along = (i * panel) / 2;
    const off = face + out * (i % 2 === 1 ? panel * Math.sin(Math.PI / 3) : 0);
    return pointAt(part, opening.hinge === 'start' ? along : part.length - along, off);
  });
}

/** The arch turned down onto the plan. */
function arch(place: Place): RingPoint[] {
  const { face, out } = openSide(place);
  const [a, b] = [pointAt(place.part, 0, face), pointAt(place.part, place.part.length, face)];
  return [{ ...a, bulge: -out * 0.35 }, b];
}

function windowSigns(place: Place, detail: boolean): Mark[] {
  const { opening, part, left, right } = place;
  const mid = middleOf(place);
  if (opening.form === 'roof light') {
    const corners = bandAlong(part, left, right);
    return [
      ring(place, 'opening.over', 'frame', corners),
      line(place, 'opening.over', 'light', [corners[0]!, corners[2]!]),
      line(place, 'opening.over', 'light 2', [corners[1]!, corners[3]!]),
    ];
  }
  const frame = ring(place, 'window.frame', 'frame', bandAlong(part, left, right));
  const glass = (off: number, what = 'glass') => line(place, 'window.glass', what, lineAlong(part, off));
  const signs = ((): Mark[] => {
    switch (opening.form) {
      case 'hatch':
        return [line(place, 'door.leaf', 'leaf', lineAlong(part, mid))];
      case 'sash window':
        return [glass(mid - TRACK / 2), glass(mid + TRACK / 2, 'glass 2')];
      case 'sliding window':
        return panels(place, 'window.glass');
      case 'top-hung window': {
        const outside = opening.side === 'right' ? -left : right;
        return [
          glass(mid),
          line(place, 'opening.over', 'sash', lineAlong(part, outside + Math.sign(outside || 1) * 90)),
        ];
      }
      case 'side-hung window':
        return [glass(mid), ...(opening.width > 700 ? [across(place, 0.5, mid, 40, 'mullion')] : [])];
      default:
        return [glass(mid)];
    }
  })();
  const bars = Array.from({ length: detail ? opening.bars.upright : 0 }, (_, i) =>
    across(place, (i + 1) / (opening.bars.upright + 1), mid, 18, `bar ${i}`),
  );
  return [frame, ...signs, ...bars, ...(detail && opening.form !== 'hatch' ? [sill(place)] : [])];
}

/** A short line across the wall. */
const across = (place: Place, share: number, mid: number, half: number, what: string): Mark => {
  const along = share * place.part.length;
  return line(place, 'window.glass', what, [
    pointAt(place.part, along, mid - half),
    pointAt(place.part, along, mid + half),
  ]);
};

/** The sill outside, which stands out of the wall. */
function sill(place: Place): Mark {
  const { opening, part, left, right } = place;
  const [face, out] = opening.side === 'right' ? [-left, -1] : [right, 1];
  const at = (along: number, off: number) => pointAt(part, along, off);
  const end = part.length + SILL / 2;
  return line(place, 'window.glass', 'sill', [
    at(-SILL / 2, face),
    at(-SILL / 2, face + out * SILL),
    at(end, face + out * SILL),
    at(end, face),
  ]);
}

/** Linings beside a door, posts within a window: as broad and as deep as the frame is. */
function frames(place: Place): Mark[] {
  const { opening, part, course, span, left, right } = place;
  if (opening.frame <= 0 || opening.form === 'roof light') return [];
  const deep = Math.min(opening.depth ?? left + right, left + right);
  const mid = middleOf(place);
  const within = opening.kind === 'window';
  const band = (from: number, to: number) => bandAlong(partOf(course, from, to), deep / 2 - mid, deep / 2 + mid);
  const broad = Math.min(opening.frame, part.length / 3);
  const [a, b] = within
    ? [band(span.from, span.from + broad), band(span.to - broad, span.to)]
    : [band(Math.max(0, span.from - broad), span.from), band(span.to, Math.min(course.length, span.to + broad))];
  return [ring(place, 'opening.frame', 'post', a), ring(place, 'opening.frame', 'post 2', b)];
}
