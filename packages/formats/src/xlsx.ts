import {
  type DerivedFloor,
  GLAZING_RULES,
  MM_PER_FOOT,
  glazingByRoom,
  scheduleTotals,
  openingSchedule,
} from '@velvet-tape/core';
import { Workbook, type Worksheet } from 'exceljs';
import { scheduleRows } from './schedule-rows';

/** The schedule of doors and windows and the glazing of rooms as a workbook of two sheets (Office Open XML, ISO/IEC 29500). */
export async function scheduleToXlsx(floor: DerivedFloor, title: string): Promise<Uint8Array<ArrayBuffer>> {
  const book = new Workbook();
  book.title = title;
  const schedule = sheetOf(book, 'Doors and windows', scheduleRows(floor));
  const { doors, windows, openings } = scheduleTotals(openingSchedule(floor));
  schedule.addRow([]);
  schedule.addRow([`${doors} doors, ${windows} windows, ${openings} plain openings`]).font = { bold: true };
  sheetOf(book, 'Glazing', glazingRows(floor));
  return new Uint8Array(await book.xlsx.writeBuffer());
}

function glazingRows(floor: DerivedFloor): Record<string, string | number>[] {
  const metric = floor.plan.job.units === 'metric';
  const square = metric ? 1e6 : MM_PER_FOOT ** 2;
  const unit = metric ? 'm²' : 'ft²';
  const area = (mm2: number) => Number((mm2 / square).toFixed(2));
  return glazingByRoom(floor).map(({ room, glazing, share }) => ({
    Room: room.room.name || 'Unnamed',
    [`Floor (${unit})`]: area(room.measures.area),
    [`Glazing (${unit})`]: area(glazing),
    'Share (%)': Number((100 * share).toFixed(1)),
    ...Object.fromEntries(GLAZING_RULES.map((rule) => [rule.name, share >= rule.share ? 'yes' : 'no'])),
  }));
}

/** Rows under a bold head that stays in view. Text stays text, whatever it begins with. */
function sheetOf(book: Workbook, name: string, rows: readonly Record<string, string | number>[]): Worksheet {
  const sheet = book.addWorksheet(name, { views: [{ state: 'frozen', ySplit: 1, xSplit: 1 }] });
  const heads = Object.keys(rows[0] ?? {});
  sheet.columns = heads.map((head) => ({
    header: head,
    key: head,
    width: Math.min(40, Math.max(head.length, ...rows.map((row) => String(row[head] ?? '').length)) + 2),
  }));
  for (const row of rows) sheet.addRow(row);
  sheet.getRow(1).font = { bold: true };
  return sheet;
}
