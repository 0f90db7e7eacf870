import type { DerivedFloor, DerivedRoom } from '../derived';
import type { Units } from '../plan/plan';
import { formatArea, roughly } from '../units';
import { drawDimension } from './dimensions';
import type { Mark } from './marks';
import { drawOpening } from './openings';

export interface DrawingStyle {
  /** Height of body lettering, in mm of the real house: 2.5 mm at 1:50 is 125. */
  readonly lettering: number;
  readonly units: Units;
}

/** The plan of one floor as marks, in painting order. What did not change since the last drawing comes back identical. */
export function drawFloor(derived: DerivedFloor, style: DrawingStyle): Mark[] {
  const { network } = derived;
  return [
    ...derived.rooms.map((room) => floorMark(room)),
    ...derived.bodies.map((body) =>
      once(body, () => ({ kind: 'path', role: 'wall.cut', key: `wall ${body.wall.id}`, rings: [body.ring], closed: true }) as const),
    ),
    ...derived.openings.flatMap((opening) => drawOpening(network, opening)),
    ...derived.rooms.flatMap((room) => room.faces.flatMap((face) => drawDimension(face, style))),
    ...derived.rooms.flatMap((room) => roomLabel(room, style)),
  ];
}

function floorMark(room: DerivedRoom): Mark {
  return once(room.outline, () => ({ kind: 'path', role: 'floor', key: `floor ${room.room.id}`, rings: room.outline.rings, closed: true }));
}

function roomLabel(room: DerivedRoom, { lettering, units }: DrawingStyle): Mark[] {
  const { x, y } = room.label;
  const area = roughly(room.rough, formatArea(room.measures.area, units));
  return [
    {
      kind: 'text',
      role: 'room.name',
      key: `name ${room.room.id}`,
      at: { x, y: y - lettering * 0.8 },
      text: room.room.name || 'Unnamed',
      turn: 0,
      size: 1.4,
    },
    { kind: 'text', role: 'room.area', key: `area ${room.room.id}`, at: { x, y: y + lettering * 0.8 }, text: area, turn: 0, size: 1 },
  ];
}

const drawn = new WeakMap<object, Mark>();
function once(source: object, make: () => Mark): Mark {
  let mark = drawn.get(source);
  if (!mark) drawn.set(source, (mark = make()));
  return mark;
}
