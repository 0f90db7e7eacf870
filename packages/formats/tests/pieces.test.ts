import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Workbook } from 'exceljs';
import * as fc from 'fast-check';
import Papa from 'papaparse';
import { type Intent, type Piece, type Plan, applyEdit, deriveFloor, newPlan } from '@velvet-tape/core';
import { newPiece, pieceKindOf, piecesOn } from '@velvet-tape/core/pieces';
import { toCsv } from '../src/csv';
import { floorsToDxf } from '../src/dxf';
import { pieceRows } from '../src/piece-rows';
import { toXlsx } from '../src/xlsx';

const SEED = Number(process.env['FC_SEED'] ?? 20_261_130);

/** A room of 6 × 5 m with pieces in it. */
function furnished(
  pieces: readonly (Partial<Piece> & { readonly form: string })[],
  units: Plan['job']['units'] = 'metric',
): Plan {
  const put = pieces.map((each): Intent => ({
    ...{ kind: 'addPiece', floor: 'ground' },
    piece: { ...newPiece(pieceKindOf(each.form)), stand: { kind: 'free', x: 3000, y: 2500, turn: 0 }, ...each },
  }));
  const box: Intent = { kind: 'drawBox', floor: 'ground', a: { x: 0, y: 0 }, b: { x: 6000, y: 5000 } };
  return [box, ...put].reduce(
    (plan, intent, i) => {
      const result = applyEdit(plan, intent, `f${i}`);
      if (!result.ok) throw new Error(result.reason);
      return result.plan;
    },
    newPlan({ name: 'Furnished', units }),
  );
}
const rowsOf = (plan: Plan) => pieceRows(deriveFloor(plan, 'ground'), plan.pieces);
const SOFA = {
  form: 'sofa-3',
  width: 2200,
  name: 'Gran’s "long" sofa, grey',
  price: 1250.5,
  maker: '=HYPERLINK("x")',
  note: 'legs off\nby hand',
};

test('the piece list as CSV reads back cell by cell, whatever was written', () => {
  const { data } = Papa.parse<Record<string, string>>(toCsv(rowsOf(furnished([SOFA]))), { header: true });
  expect(data[0]).toMatchObject({
    ...{ Floor: 'Ground floor', No: '1', Name: SOFA.name, 'Width (m)': '2.2', Belongs: 'loose', Price: '1250.5' },
    Note: SOFA.note,
  });
  // a text that begins like a formula is no formula to whoever opens it
  expect(data[0]!['Maker']).toBe('\'=HYPERLINK("x")');
});

test('as a workbook prices and sizes are figures, and a formula stays text', async () => {
  const book = new Workbook();
  await book.xlsx.load((await toXlsx('List', [{ name: 'Pieces', rows: rowsOf(furnished([SOFA])) }])).buffer);
  const [heads, first] = book
    .getWorksheet('Pieces')!
    .getSheetValues()
    .slice(1)
    .map((row) => (row as unknown[]).slice(1));
  const cell = (head: string) => first![heads!.indexOf(head)];
  expect([cell('Width (m)'), cell('Price'), cell('Maker')]).toEqual([2.2, 1250.5, '=HYPERLINK("x")']);
});

test('in a job in feet sizes are in feet', () => {
  const [row] = rowsOf(furnished([{ form: 'box', width: 304.8, depth: 609.6, height: 914.4 }], 'imperial'));
  expect([row!['Width (ft)'], row!['Depth (ft)'], row!['Height (ft)']]).toEqual([1, 2, 3]);
});

describe('as DXF', () => {
  let folder: string;
  beforeAll(() => (folder = mkdtempSync(join(tmpdir(), 'velvet-dxf-'))));
  afterAll(() => rmSync(folder, { recursive: true }));
  interface Entity {
    type: string;
    layer: string;
    points?: [number, number, number][];
  }
  const read = (dxf: string) => {
    const file = join(folder, 'plan.dxf');
    writeFileSync(file, dxf);
    // Debian's own Python has it
    const said = execFileSync('/usr/bin/python3', [join(__dirname, 'readers/read-dxf.py'), file], {
      ...{ encoding: 'utf8', maxBuffer: 1 << 26 },
    });
    return JSON.parse(said) as { errors: string[]; entities: Entity[] };
  };

  test('ezdxf finds no fault, and each box on the layer of pieces where and as large as it stands, however it is turned', () => {
    const mm = (min: number, max: number) => fc.integer({ min, max });
    const box = fc.record({
      x: mm(500, 5500),
      y: mm(500, 4500),
      turn: mm(0, 359),
      width: mm(200, 1500),
      depth: mm(200, 1500),
    });
    fc.assert(
      fc.property(fc.array(box, { minLength: 1, maxLength: 4 }), (boxes) => {
        const plan = furnished(
          boxes.map(({ x, y, turn, width, depth }) => ({
            ...{ form: 'box', width, depth, height: 700 },
            stand: { kind: 'free', x, y, turn },
          })),
        );
        const { errors, entities } = read(floorsToDxf(plan, ['ground']));
        expect(errors).toEqual([]);
        const room = entities.find(({ layer }) => layer === 'ROOMS')!.points!;
        // y goes up there; the house begins at its lower left corner
        const from = { x: Math.min(...room.map(([x]) => x)), y: Math.max(...room.map(([, y]) => y)) };
        const found = entities.filter(({ layer, points }) => layer === 'PIECES' && points);
        for (const { ring } of piecesOn(plan.pieces, deriveFloor(plan, 'ground'))) {
          const isThere = found.some(({ points }) =>
            ring.every((p) => points!.some(([x, y]) => Math.hypot(x - from.x - p.x, from.y - y - p.y) < 0.01)),
          );
          expect(isThere).toBe(true);
        }
      }),
      { numRuns: 3, seed: SEED },
    );
  });

  test('only what stands in the chosen option is in it', () => {
    let plan = furnished([{ form: 'box', width: 777 }]);
    for (const seed of ['one', 'two']) {
      const done = applyEdit(plan, { kind: 'addOption', like: null }, seed);
      if (!done.ok) throw new Error(done.reason);
      plan = done.plan;
    }
    const [first] = Object.keys(plan.options);
    const chosen = applyEdit(plan, { kind: 'chooseOption', option: first! }, 'c');
    if (!chosen.ok) throw new Error(chosen.reason);
    const of = (option: string) => {
      const pieces = Object.fromEntries(
        Object.entries(chosen.plan.pieces).map(([id, piece]) => [id, { ...piece, option }]),
      );
      return read(floorsToDxf({ ...chosen.plan, pieces }, ['ground'])).entities.filter(
        ({ layer }) => layer === 'PIECES',
      );
    };
    const [one, two] = Object.keys(plan.options);
    expect(of(one!).length).toBeGreaterThan(0);
    expect(of(two!)).toEqual([]);
  });
});
