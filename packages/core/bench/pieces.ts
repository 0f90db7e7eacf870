import { type Plan, applyEdit, deriveFloor, drawFloorInParts, previewEdit, usualSpec } from '../src';
import { adviceOn, clearRound, newPiece, pieceKindOf, piecesOn, placePiece } from '../src/pieces';
import { getIn } from '../src/pieces/get-in';
import { House } from '../tests/house';

const FORMS = [
  'sofa-3',
  'wardrobe',
  'chair',
  'table',
  'bookcase',
  'base-unit',
  'bed-double',
  'plant',
  'chest',
  'armchair',
];

/** A floor furnished, so many pieces in its rooms by turns. */
function furnished(plan: Plan, count: number): Plan {
  const { rooms } = deriveFloor(plan, 'ground');
  for (let i = 0; i < count; i += 1) {
    const { x, y } = rooms[i % rooms.length]!.label;
    const nth = Math.floor(i / rooms.length);
    const piece = newPiece(pieceKindOf(FORMS[nth % FORMS.length]!));
    const stand = {
      kind: 'free',
      x: x + 500 * ((nth % 4) - 1.5),
      y: y + 600 * (Math.floor(nth / 4) - 1),
      turn: 90 * (i % 4),
    } as const;
    const done = applyEdit(plan, { kind: 'addPiece', floor: 'ground', piece: { ...piece, stand } }, `p${i}`);
    if (!done.ok) throw new Error(done.reason);
    plan = done.plan;
  }
  return plan;
}

const median = (times: readonly number[]): number => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)]!;
const last = (times: readonly number[]): number => [...times].sort((a, b) => a - b)[Math.floor(times.length * 0.95)]!;

/** What a step of dragging one of the pieces costs without the screen: where it is caught, the edit, its distances, the drawing. */
function dragging(bare: Plan, count: number): string[] {
  const plan = furnished(bare, count);
  const floor = deriveFloor(plan, 'ground');
  const style = { lettering: 125, units: 'metric' } as const;
  const id = Object.keys(plan.pieces)[Math.floor(count / 2)]!;
  const piece = plan.pieces[id]!;
  const all = piecesOn(plan.pieces, floor);
  const others = all.filter((on) => on.piece.id !== id);
  const at = piece.stand as { x: number; y: number };
  drawFloorInParts(floor, { ...style, pieces: plan.pieces });
  const run = (i: number) => {
    const to = { x: at.x + 10 * (i % 90), y: at.y + 7 * (i % 60) };
    const { stand } = placePiece(floor, piece, to, { reach: 200, turn: 0, others });
    const { result } = previewEdit(plan, 'ground', { kind: 'placePieces', places: [{ piece: id, stand }] }, 'd');
    if (!result.ok) throw new Error(result.reason);
    const now = deriveFloor(result.plan, 'ground');
    const on = piecesOn(result.plan.pieces, now);
    clearRound(
      on.find((each) => each.piece.id === id)!,
      now,
      on,
    );
    drawFloorInParts(now, { ...style, pieces: result.plan.pieces });
  };
  const times: number[] = [];
  for (let i = 0; i < 300; i += 1) {
    const start = performance.now();
    run(i);
    if (i >= 20) times.push(performance.now() - start);
  }
  const start = performance.now();
  const said = adviceOn(floor, all).length;
  const advice = performance.now() - start;
  return [
    `| ${count} pieces in ${floor.rooms.length} rooms: a drag step | ${median(times).toFixed(2)} | ${last(times).toFixed(2)} | 8 |`,
    `| the same: all advice (${said} said), in a task of its own | ${advice.toFixed(0)} | | |`,
  ];
}

/** Seven rooms, two and two beside each other, each with a door to the next, to the side and ahead by turns: what stands in the last has the door of the house and six more to come through, and turns to make. */
function suite(narrow: number) {
  const house = new House();
  const places = [
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1],
    [0, 2],
    [1, 2],
    [1, 3],
  ] as const;
  const rooms = places.map(([x, y]) => house.box(x * 3000, y * 2800, x * 3000 + 2900, y * 2800 + 2700));
  const door = (face: string, offset: number, width: number) =>
    house.do({
      ...{ kind: 'addOpening', floor: 'ground', face, end: 'left', offset, opening: 'door' },
      spec: { ...usualSpec('hinged door', 'metric'), width },
    })!;
  const from = door(house.face(rooms[0]!, 'left').key, 800, 1010);
  const sides = ['right', 'bottom', 'left', 'bottom', 'right', 'bottom'] as const;
  sides.forEach((side, i) => door(house.face(rooms[i]!, side).key, 900, i === 5 ? narrow : 885));
  const put = (form: string) =>
    house.do({
      ...{ kind: 'addPiece', floor: 'ground' },
      piece: { ...newPiece(pieceKindOf(form)), stand: { kind: 'free', x: 4400, y: 9800, turn: 0 } },
    })!;
  return { house, from, put };
}

function throughDoors(form: string, narrow: number): string {
  const { house, from, put } = suite(narrow);
  const id = put(form);
  const start = performance.now();
  const answer = getIn(house.plan, { piece: id, from, offHinges: false, size: house.plan.pieces[id]! });
  const ms = performance.now() - start;
  return `| ${form} through six doors${narrow < 885 ? `, the last ${narrow} mm wide` : ''}: ${answer.words} | ${(ms / 1000).toFixed(2)} s | | 2 s |`;
}

export function piecesBench(floor: Plan): string[] {
  return [
    '| | median, ms | 95 %, ms | wanted |',
    '|---|---|---|---|',
    ...dragging(floor, 500),
    throughDoors('sofa-3', 885),
    throughDoors('wardrobe', 885),
    throughDoors('table', 885),
    throughDoors('sofa-3', 500),
  ];
}
