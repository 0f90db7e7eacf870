import { type Plan, applyEdit, newPlan } from '@velvet-tape/core';
import { areasOfHouse } from '@velvet-tape/core/areas';
import ExcelJS from 'exceljs';
import Papa from 'papaparse';
import { areaRows, areaSheets } from '../src/area-rows';
import { toCsv } from '../src/csv';
import { toXlsx } from '../src/xlsx';

/** 5 × 4 m, 1.0 m high at a long side and rising 45° to a flat ceiling of 2.4 m. */
function attic(): Plan {
  const read = { value: 1000, text: '1.00', unit: 'm', instrument: 'tape', time: '2026-11-29T10:00:00Z' } as const;
  const drawn = applyEdit(
    newPlan({ name: 'Attic' }),
    { kind: 'drawBox', floor: 'ground', a: { x: 0, y: 0 }, b: { x: 5000, y: 4000 } },
    'a',
  );
  if (!drawn.ok) throw new Error(drawn.reason);
  const named = applyEdit(drawn.plan, { kind: 'nameRoom', room: drawn.made!, name: 'Attic, “low”' }, 'b');
  if (!named.ok) throw new Error(named.reason);
  const { walls, corners } = named.plan;
  const bottom = Object.values(walls).find(({ start, end }) => [start, end].every((id) => corners[id]!.y === 4000))!;
  for (const face of [`${bottom.start}>${bottom.end}`, `${bottom.end}>${bottom.start}`]) {
    const heights = [{ up: 0, read }];
    const sloped = applyEdit(named.plan, { kind: 'addSlope', floor: 'ground', face, heights, pitch: 45 }, 'c');
    if (sloped.ok) return sloped.plan;
  }
  throw new Error('No slope could be put there.');
}

test('areas by two rules as CSV and as a workbook, read back by their own libraries', async () => {
  const { reports } = areasOfHouse(attic(), ['WoFlV', 'ANSI Z765']);
  const rows = Papa.parse<Record<string, string>>(toCsv(areaRows(reports)), { header: true }).data;
  expect(rows.map(({ Room }) => Room)).toEqual(['Attic, “low”', 'Walls', 'All of the floor', 'All of the house']);
  const [attic_] = rows;
  expect(Number(attic_!['WoFlV (m²)'])).toBeCloseTo(17.5, 3);
  expect(attic_!['Use']).toBe('living');
  expect(attic_!['Why']).toMatch(/counts half/);
  // to the outside, in square feet
  expect(Number(rows.at(-1)!['ANSI Z765 (ft²)'])).toBeCloseTo((5.5 * 3.726) / 0.3048 ** 2, 1);
  const book = new ExcelJS.Workbook();
  await book.xlsx.load((await toXlsx('Attic', areaSheets(reports))).buffer);
  expect(book.worksheets.map(({ name }) => name)).toEqual(['Areas', 'WoFlV', 'ANSI Z765']);
  const pieces = book.getWorksheet('WoFlV')!;
  let counted = 0;
  pieces.eachRow((row, i) => {
    if (i > 1 && typeof row.getCell(6).value === 'number') counted += Number(row.getCell(6).value);
  });
  expect(counted).toBeCloseTo(17.5, 2);
});
