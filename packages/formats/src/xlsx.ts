import { Workbook, type Worksheet } from 'exceljs';
import type { Row } from './row';

/** A sheet of a workbook: rows under a head, and what stands below them. */
export interface SheetOfRows {
  readonly name: string;
  readonly rows: readonly Row[];
  readonly foot?: string;
}

/** A workbook of such sheets (Office Open XML, ISO/IEC 29500). It knows nothing of plans: the library for it comes by itself, and only when it is asked for. */
export async function toXlsx(title: string, sheets: readonly SheetOfRows[]): Promise<Uint8Array<ArrayBuffer>> {
  const book = new Workbook();
  book.title = title;
  for (const { name, rows, foot } of sheets) {
    const sheet = sheetOf(book, name, rows);
    if (foot === undefined) continue;
    sheet.addRow([]);
    sheet.addRow([foot]).font = { bold: true };
  }
  return new Uint8Array(await book.xlsx.writeBuffer());
}

/** Rows under a bold head that stays in view. Text stays text, whatever it begins with. */
function sheetOf(book: Workbook, name: string, rows: readonly Row[]): Worksheet {
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
