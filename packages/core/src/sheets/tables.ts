import { areasOfHouse } from '../areas';
import { areaInWords } from '../areas/rounding';
import { type DerivedFloor, deriveFloor } from '../derived';
import type { Mark } from '../drawing';
import type { Id, Plan } from '../plan/plan';
import { chosenOption, piecesOfOption } from '../options';
import { pieceLines, piecesOn, priceOf } from '../pieces';
import { openingSchedule } from '../schedule';
import { decimals, formatArea, formatLength, roughly } from '../units';
import { LETTERING, line, lengthOf, text, wrapped } from './paper-marks';
import type { Drawn } from './frame-drawing';

interface Column {
  readonly head: string;
  readonly align?: 'right';
  readonly cells: readonly string[];
}
interface Table {
  readonly title: string;
  readonly columns: readonly Column[];
  /** Said where there is no line. */
  readonly empty: string;
  /** Lines over which another is drawn: sums. */
  readonly sums?: ReadonlySet<number>;
  readonly foot?: string;
}

const ROW = 2.1 * LETTERING;
const PAD = 1.2;
const TITLE = { size: 1.6, high: 8 };
const HEAD_SIZE = 0.8;

/** A table as marks, its upper left corner at the origin, mm on paper. */
function drawTable({ title, columns, empty, sums, foot }: Table): Drawn {
  const rows = columns[0]?.cells.length ?? 0;
  const widths = columns.map(
    ({ head, cells }) =>
      2 * PAD +
      Math.max(lengthOf(head, 'sheet.small', HEAD_SIZE), ...cells.map((cell) => lengthOf(cell, 'sheet.text'))),
  );
  const width = Math.max(
    widths.reduce((sum, each) => sum + each, 0),
    lengthOf(title, 'sheet.title', TITLE.size),
    rows === 0 ? lengthOf(empty, 'sheet.text') : 0,
  );
  const across = (y: number, role: 'sheet.line' | 'sheet.edge', key: string) =>
    line(role, key, { x: 0, y }, { x: width, y });
  const marks: Mark[] = [
    text('sheet.title', 'title', { x: 0, y: TITLE.high / 2 - 0.6 }, title, { size: TITLE.size, align: 'left' }),
  ];
  let y = TITLE.high;
  if (rows === 0) {
    marks.push(text('sheet.text', 'empty', { x: 0, y: y + ROW / 2 }, empty, { align: 'left' }));
    return { marks, width, height: y + ROW };
  }
  const cell = (key: string, words: string, column: number, small: boolean) => {
    const left = widths.slice(0, column).reduce((sum, each) => sum + each, 0);
    const right = columns[column]!.align === 'right';
    const at = { x: right ? left + widths[column]! - PAD : left + PAD, y: y + ROW / 2 };
    const role = small ? 'sheet.small' : 'sheet.text';
    if (words) marks.push(text(role, key, at, words, { align: right ? 'right' : 'left', size: small ? HEAD_SIZE : 1 }));
  };
  columns.forEach(({ head }, i) => cell(`head ${i}`, head, i, true));
  y += ROW;
  marks.push(across(y, 'sheet.edge', 'under the head'));
  for (let row = 0; row < rows; row += 1) {
    columns.forEach(({ cells }, i) => cell(`cell ${row} ${i}`, cells[row]!, i, false));
    y += ROW;
    const sumNext = sums?.has(row + 1);
    marks.push(across(y, sumNext ? 'sheet.edge' : 'sheet.line', `under ${row}`));
  }
  for (const [i, words] of wrapped(foot ?? '', 'sheet.small', HEAD_SIZE, width).entries()) {
    marks.push(text('sheet.small', `foot ${i}`, { x: 0, y: y + ROW / 2 }, words, { align: 'left', size: HEAD_SIZE }));
    y += 0.8 * ROW;
  }
  return { marks, width, height: y };
}

const column = <T>(head: string, lines: readonly T[], say: (line: T) => string, align?: 'right'): Column => ({
  ...{ head, cells: lines.map(say) },
  ...(align && { align }),
});

/** Doors and windows of a floor, by their numbers. */
export function openingsTable(floor: DerivedFloor): Drawn {
  const { units } = floor.plan.job;
  const lines = openingSchedule(floor);
  const size = (mm: number) => formatLength(mm, units);
  return drawTable({
    title: `Doors and windows, ${floor.name}`,
    empty: 'No doors or windows on this floor yet.',
    columns: [
      column('No.', lines, ({ label }) => label),
      column('Type', lines, ({ called }) => called),
      column('Wide', lines, ({ width }) => size(width), 'right'),
      column('High', lines, ({ height }) => size(height), 'right'),
      column('Sill', lines, ({ sill }) => (sill > 0 ? size(sill) : ''), 'right'),
      column('Head', lines, ({ head }) => size(head), 'right'),
      column(
        'Opening in the wall',
        lines,
        ({ structural }) => `${size(structural.width)} × ${size(structural.height)}`,
        'right',
      ),
      column('Hinges', lines, ({ hand }) => hand ?? ''),
      column('Between', lines, ({ rooms }) =>
        rooms.map((room) => (room ? room.room.name || 'Unnamed' : 'Outside')).join(' / '),
      ),
    ],
  });
}

/** Rooms of a floor with what one asks of them. */
export function roomsTable(floor: DerivedFloor): Drawn {
  const { units } = floor.plan.job;
  const { rooms } = floor;
  return drawTable({
    title: `Rooms, ${floor.name}`,
    empty: 'No rooms on this floor yet.',
    columns: [
      column('Room', rooms, ({ room }) => room.name || 'Unnamed'),
      column('Floor', rooms, ({ measures, rough }) => roughly(rough, formatArea(measures.area, units)), 'right'),
      column(
        'Round it',
        rooms,
        ({ measures, rough }) => roughly(rough, formatLength(measures.perimeter, units, rough ? 'coarse' : 'fine')),
        'right',
      ),
      column('Ceiling', rooms, ({ ceilingHeight }) => formatLength(ceilingHeight, units), 'right'),
      column(
        'Walls less openings',
        rooms,
        ({ measures, rough }) => roughly(rough, formatArea(measures.wallArea, units)),
        'right',
      ),
      column(
        'Skirting',
        rooms,
        ({ measures, rough }) => roughly(rough, formatLength(measures.skirting, units, rough ? 'coarse' : 'fine')),
        'right',
      ),
    ],
  });
}

/** What stands on a floor, by its numbers. */
export function piecesTable(plan: Plan, id: Id): Drawn {
  const floor = deriveFloor(plan, id);
  const { units } = plan.job;
  const lines = pieceLines(floor, piecesOn(piecesOfOption(plan.pieces, chosenOption(plan)), floor));
  const size = (mm: number) => formatLength(mm, units);
  const { total, unknown } = priceOf(lines);
  return drawTable({
    title: `Pieces, ${floor.name}`,
    empty: 'Nothing stands on this floor yet.',
    columns: [
      column('No.', lines, ({ number }) => String(number), 'right'),
      column('Name', lines, ({ name }) => name),
      column('Wide', lines, ({ on }) => size(on.piece.width), 'right'),
      column('Deep', lines, ({ on }) => size(on.piece.depth), 'right'),
      column('High', lines, ({ on }) => size(on.piece.height), 'right'),
      column('Room', lines, ({ room }) => room || 'Outside'),
      column('Note', lines, ({ on }) => [on.piece.maker, on.piece.note].filter(Boolean).join(', ')),
      column('Price', lines, ({ on }) => (on.piece.price === null ? '' : decimals(on.piece.price, 2)), 'right'),
    ],
    ...(total > 0 && {
      foot: `${decimals(total, 2)} in all${unknown > 0 ? `; ${unknown} without a price` : ''}.`,
    }),
  });
}

type FloorOfTable = ReturnType<typeof areasOfHouse>['reports'][number]['table']['floors'][number];

const countedOf = (floor: FloorOfTable | undefined, { room, name }: { room: Id | null; name: string }): number =>
  floor?.lines.find((each) => each.room === room && each.name === name)?.counted ?? 0;

/** What counts by the rules of the job, floor by floor. */
export function areasTable(plan: Plan): Drawn {
  const { areaRule, besideRule } = plan.job;
  const { reports } = areasOfHouse(plan, besideRule ? [areaRule, besideRule] : [areaRule]);
  const [first] = reports;
  const lines = first!.table.floors.flatMap((floor, at) => [
    ...floor.lines
      .filter((own) => own.room !== null || reports.some(({ table }) => countedOf(table.floors[at], own) > 0))
      .map((own) => ({ at, room: own.room, name: own.name, sum: false })),
    { at, room: null, name: `All of ${floor.name}`, sum: true },
  ]);
  const all = { at: -1, room: null, name: 'All of the house', sum: true };
  const rows = [...lines, ...(first!.table.floors.length > 1 ? [all] : [])];
  const area = (report: (typeof reports)[number], { at, room, name, sum }: (typeof rows)[number]): string => {
    const { table, rule } = report;
    if (at < 0) return areaInWords(table.counted, rule.rounding);
    const floor = table.floors[at];
    return areaInWords(sum ? (floor?.counted ?? 0) : countedOf(floor, { room, name }), rule.rounding);
  };
  return drawTable({
    title: 'Areas',
    empty: 'No rooms yet.',
    columns: [
      column('Room', rows, ({ name }) => name),
      ...reports.map((report) =>
        column(
          report.rule.name.replace(/^./, (c) => c.toUpperCase()),
          rows,
          (each) => area(report, each),
          'right',
        ),
      ),
    ],
    sums: new Set(rows.flatMap(({ sum }, i) => (sum ? [i] : []))),
    foot: `Counted by ${reports.map(({ rule }) => rule.standard).join('; ')}.`,
  });
}
