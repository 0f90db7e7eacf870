import { readFileSync } from 'node:fs';
import { applyEdit, floorsInOrder, sheetsInOrder } from '@velvet-tape/core';
import { composeSheet, layOut } from '@velvet-tape/core/sheets';
import { tapedFloor } from '../../core/bench/adjustment';
import { storeys } from '../../core/bench/storeys';
import { floorsToDxf } from '../src/dxf';
import { pagesToPdf } from '../src/pdf';

/** npm run bench:files: how long files of a large house take, how large they are, what memory they want at most. */
const font = (name: string) => readFileSync(`node_modules/@expo-google-fonts/${name}.ttf`);
const FONTS = {
  text: font('atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular'),
  title: font('fraunces/600SemiBold/Fraunces_600SemiBold'),
};

async function timed(what: string, make: () => Promise<Uint8Array> | Uint8Array): Promise<void> {
  await make();
  const before = process.memoryUsage().rss;
  const start = performance.now();
  const bytes = await make();
  const took = performance.now() - start;
  const more = Math.max(0, process.memoryUsage().rss - before) / 1e6;
  console.log(`${what}: ${took.toFixed(0)} ms, ${(bytes.length / 1e3).toFixed(0)} kB, ${more.toFixed(0)} MB more`);
}

async function run(): Promise<void> {
  const plan = floorsInOrder(storeys(tapedFloor(40).plan, 4)).reduce(
    (now, { id }) => {
      const result = applyEdit(now, { kind: 'layStrings', floor: id, room: null }, `strings.${id}`);
      if (!result.ok) throw new Error(result.reason);
      return result.plan;
    },
    storeys(tapedFloor(40).plan, 4),
  );
  const laid = applyEdit(plan, { kind: 'addSheets', sheets: layOut(plan, 'all floors on one page', 'A1') }, 'bench');
  if (!laid.ok) throw new Error(laid.reason);
  const [sheet] = sheetsInOrder(laid.plan);
  const page = composeSheet(laid.plan, sheet!.id, { date: '29 November 2026' })!;
  console.log(`A1, 4 floors of 40 rooms: ${page.marks.length} marks, ${page.says.join(' ') || 'all fits'}`);
  const facts = { title: 'Bench', author: '', date: new Date(0) };
  await timed('A1 as PDF', () => pagesToPdf([{ ...page, label: '1', describes: page.title }], FONTS, facts));
  const floors = floorsInOrder(plan).map(({ id }) => id);
  await timed('160 rooms as DXF', () => new TextEncoder().encode(floorsToDxf(plan, floors)));
}

void run();
