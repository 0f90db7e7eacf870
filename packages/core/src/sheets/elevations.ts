import { type DerivedRoom, type WallFace, deriveFloor, finenessOf, lengthToSay, roofLightIn } from '../derived';
import { type Mark, drawElevation, topOfFace } from '../drawing';
import type { Id, Plan } from '../plan/plan';
import { chosenOption, piecesOfOption } from '../options';
import { elevationOfPieces } from '../pieces';
import { formatLength, roughly } from '../units';
import type { Drawn } from './frame-drawing';
import { LETTERING, lengthOf, onPaper, text } from './paper-marks';
import { captionOf } from './caption';

/** Between walls, and no row is longer than fits on the smallest page, mm of paper. */
const GAP = 8;
const LONGEST_ROW = 170;
const LINE = 1.5 * LETTERING;

interface Wall {
  readonly marks: readonly Mark[];
  readonly width: number;
  readonly height: number;
  readonly lines: readonly string[];
}

/** The walls of a room as one sees them from inside, in rows, each on the line of its floor, with how long and high it is. */
export function elevationsOf(plan: Plan, id: Id, scale: number): Drawn {
  const floor = plan.rooms[id]?.floor;
  const derived = floor === undefined ? null : deriveFloor(plan, floor);
  const room = derived?.rooms.find((each) => each.room.id === id);
  const { units } = plan.job;
  const walls =
    !derived || !room
      ? []
      : room.faces.flatMap((face, i): Wall[] => {
          if (face.halves[0]!.wall.kind === 'chalk') return [];
          const top = topOfFace(face, room, plan.job.usual.ceilingHeight);
          const heights = top.flatMap(({ start, end }) => [start, end]);
          const [low, high] = [Math.min(...heights), Math.max(...heights)];
          const drawn = [
            ...drawElevation(face, top, (opening) => roofLightIn(derived, opening)),
            ...elevationOfPieces(face, derived, piecesOfOption(plan.pieces, chosenOption(plan))),
          ];
          const lines = linesOf(room, face, i, low, high, units);
          return [
            {
              marks: onPaper(drawn, { scale, from: { x: 0, y: -high }, to: { x: 0, y: 0 }, key: `${i} ` }),
              ...{ width: face.length / scale, height: high / scale, lines },
            },
          ];
        });
  const marks: Mark[] = [];
  let [x, y, width] = [0, 0, 0];
  let row: Wall[] = [];
  const end = () => {
    const high = Math.max(...row.map(({ height }) => height));
    x = 0;
    for (const wall of row) {
      const wide = widthOf(wall);
      const [left, floorLine] = [x + (wide - wall.width) / 2, y + high];
      const to = { x: left, y: floorLine - wall.height };
      const key = `wall ${marks.length} `;
      marks.push(...onPaper(wall.marks, { scale: 1, from: { x: 0, y: 0 }, to, key }));
      for (const [n, words] of wall.lines.entries())
        marks.push(text('sheet.text', `${key}says ${n}`, { x: x + wide / 2, y: floorLine + LINE * (n + 0.8) }, words));
      x += wide + GAP;
    }
    width = Math.max(width, x - GAP);
    y += high + LINE * 3 + GAP;
    row = [];
  };
  for (const wall of walls) {
    const long = row.reduce((sum, each) => sum + widthOf(each) + GAP, 0);
    if (row.length > 0 && long + widthOf(wall) > LONGEST_ROW) end();
    row.push(wall);
  }
  if (row.length > 0) end();
  const caption = captionOf(`Walls of ${room?.room.name || 'a room'}`, scale, units, y);
  return { marks: [...marks, ...caption.marks], width: Math.max(width, caption.width), height: caption.bottom };
}

const widthOf = ({ width, lines }: Wall): number =>
  Math.max(width, ...lines.map((words) => lengthOf(words, 'sheet.text')));

function linesOf(
  { rough }: DerivedRoom,
  face: WallFace,
  i: number,
  low: number,
  high: number,
  units: Plan['job']['units'],
): string[] {
  const long = roughly(
    face.provenance === 'rough',
    formatLength(lengthToSay(face), units, finenessOf(face.provenance)),
  );
  const say = (mm: number) => formatLength(mm, units, rough ? 'coarse' : 'fine');
  return [`Wall ${i + 1}, ${long}`, high - low < 1 ? `${say(high)} high` : `${say(low)} to ${say(high)} high`];
}
