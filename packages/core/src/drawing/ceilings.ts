import { headroomShown } from '../areas/heights';
import { type BreakOnFloor, type CeilingLine, linesOfHeadroom, linesOfMeeting } from '../ceilings';
import type { DerivedFloor, DerivedRoom } from '../derived';
import { type Point, direction, distance, middle } from '../geometry';
import { lastFor } from '../memory';
import { formatLength } from '../units';
import type { DrawingStyle, Mark } from './marks';

const lastLines = lastFor<DerivedRoom, readonly Mark[]>();

/** Lines of equal headroom of the rooms of a floor, ridges, valleys and hips; dormers, beams and steps. */
export function drawCeilings(derived: DerivedFloor, style: DrawingStyle): readonly Mark[] {
  const heights = headroomShown(derived.plan.job);
  return [
    ...derived.rooms.flatMap((room) => (room.ceiling.level ? [] : roomLines(room, heights, style))),
    ...derived.breaks.flatMap((each) => breakMarks(each, style)),
    ...derived.rooms.flatMap((room) => stepMark(room, style)),
  ];
}

function roomLines(room: DerivedRoom, heights: readonly number[], { units, lettering }: DrawingStyle): readonly Mark[] {
  return lastLines(room, [heights.join(), units, lettering], () => {
    const { ceiling, outline } = room;
    const id = room.room.id;
    const meet = linesOfMeeting(ceiling, outline.rings);
    const even = linesOfHeadroom(ceiling, outline.rings, heights);
    const line = (role: 'ceiling.meet' | 'ceiling.line', what: string, { a, b }: CeilingLine): Mark => ({
      kind: 'path',
      role,
      key: `${what} ${id}`,
      rings: [[a, b]],
      closed: false,
    });
    return [
      ...meet.map((each, i) => line('ceiling.meet', `meet ${i}`, each)),
      ...even.map((each, i) => line('ceiling.line', `headroom ${i}`, each)),
      ...even.flatMap((each, i) =>
        figure(each, `headroom figure ${i} ${id}`, formatLength(each.height!, units), lettering),
      ),
    ];
  });
}

/** So many lettering heights a line has to be long to have a figure. */
const ROOM_FOR_FIGURE = 4;

/** How high it is, over the line, readable from below or from the right. */
function figure({ a, b }: CeilingLine, key: string, text: string, lettering: number): Mark[] {
  if (distance(a, b) < ROOM_FOR_FIGURE * lettering) return [];
  const d = direction(a, b);
  let turn = (Math.atan2(d.y, d.x) * 180) / Math.PI;
  if (turn > 89.5) turn -= 180;
  if (turn <= -90.5) turn += 180;
  const over = ((turn - 90) * Math.PI) / 180;
  const near = placeOnLine(a, b);
  const at: Point = { x: near.x + Math.cos(over) * 0.65 * lettering, y: near.y + Math.sin(over) * 0.65 * lettering };
  return [{ kind: 'text', role: 'ceiling.text', key, unit: key, at, text, turn, size: 0.8 }];
}

/** Off the middle, where names stand. */
const placeOnLine = (a: Point, b: Point): Point => middle(a, middle(a, b));

/** Under its name, how much the floor of a room lies higher than that of its storey. */
function stepMark({ room, label }: DerivedRoom, { units, lettering }: DrawingStyle): Mark[] {
  if (room.step === 0) return [];
  const key = `step of ${room.id}`;
  const at = { x: label.x, y: label.y + UNDER * lettering };
  return [
    { kind: 'text', role: 'ceiling.text', key, unit: key, at, text: signed(room.step, units), turn: 0, size: 0.8 },
  ];
}
const UNDER = 3.8;

const lastBreak = lastFor<BreakOnFloor, readonly Mark[]>();

/** What is overhead is dashed; the edge of a step is seen, with how much it goes up. */
const breakMarks = (on: BreakOnFloor, { units, lettering }: DrawingStyle): readonly Mark[] =>
  lastBreak(on, [units, lettering], () => {
    const { broken, ring, frame } = on;
    const { id, form, height, pitch, depth, stand } = broken;
    const key = `${form} ${id}`;
    const edge: Mark = {
      ...{ kind: 'path', key, rings: [ring], closed: true },
      role: form === 'step' ? 'break.edge' : 'break.over',
    };
    const out = stand.kind === 'wall' ? depth : depth / 2;
    const back = stand.kind === 'wall' ? 0 : -depth / 2;
    const along = (by: number): Point => ({ x: frame.at.x + frame.out.x * by, y: frame.at.y + frame.out.y * by });
    const ridge: Mark[] =
      form === 'dormer' && pitch > 0
        ? [
            {
              kind: 'path',
              role: 'ceiling.meet',
              key: `${key} ridge`,
              rings: [[along(back), along(out)]],
              closed: false,
            },
          ]
        : [];
    const text = form === 'step' ? signed(height, units) : formatLength(height, units);
    const at = along((back + out) / 2);
    return [
      edge,
      ...ridge,
      { kind: 'text', role: 'ceiling.text', key: `${key} figure`, unit: `${key} figure`, at, text, turn: 0, size: 0.8 },
    ];
  });

const signed = (mm: number, units: DrawingStyle['units']): string =>
  `${mm < 0 ? '−' : '+'}${formatLength(Math.abs(mm), units)}`;
