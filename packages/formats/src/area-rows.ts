import type { AreaReport } from '@velvet-tape/core/areas';
import type { Row } from './row';
import type { SheetOfRows } from './xlsx';

const figure = (mm2: number, { rounding }: AreaReport['rule']): number => Number((mm2 / rounding.square).toFixed(3));

/** One line a room, floor by floor, with what counts by each of some rules, and why by the first; then the totals as the rules order. */
export function areaRows(reports: readonly AreaReport[]): Row[] {
  const [first] = reports;
  if (!first) return [];
  const columns = (of: (report: AreaReport) => number) =>
    Object.fromEntries(
      reports.map((report) => [`${report.rule.name} (${report.rule.rounding.unit})`, figure(of(report), report.rule)]),
    );
  const lines = first.table.floors.flatMap((floor, i) => [
    ...floor.lines.map((line): Row => ({
      Floor: floor.name,
      Room: line.name,
      Use: line.use ?? '',
      ...columns(
        ({ table }) =>
          table.floors[i]?.lines.find(({ room, name }) => room === line.room && name === line.name)?.counted ?? 0,
      ),
      Why: line.reasons.map(({ reason }) => reason).join(' '),
    })),
    {
      Floor: floor.name,
      Room: 'All of the floor',
      Use: '',
      ...columns(({ table }) => table.floors[i]?.counted ?? 0),
      Why: floor.apart.map(({ name, area }) => `${name}: ${figure(area, first.rule)}`).join('; '),
    },
  ]);
  return [
    ...lines,
    {
      Floor: 'All',
      Room: 'All of the house',
      Use: '',
      ...columns(({ table }) => table.counted),
      Why: first.rule.standard,
    },
  ];
}

/** The same as a workbook: the rooms, and every piece of floor with its share and why. */
export function areaSheets(reports: readonly AreaReport[]): SheetOfRows[] {
  return [
    { name: 'Areas', rows: areaRows(reports) },
    ...reports.map((report) => ({ name: report.rule.name, rows: pieceRows(report), foot: report.rule.standard })),
  ];
}

function pieceRows({ rule, table }: AreaReport): Row[] {
  const unit = rule.rounding.unit;
  return table.floors.flatMap((floor) =>
    floor.pieces.map((piece): Row => ({
      Floor: floor.name,
      Room: floor.lines.find(({ room }) => room !== null && room === piece.room)?.name ?? '',
      What: piece.facts.kind,
      [`Area (${unit})`]: figure(piece.area, rule),
      'Share (%)': Math.round(100 * piece.share),
      [`Counts (${unit})`]: figure(piece.area * piece.share, rule),
      Why: piece.reason,
      'By itself': piece.apart ?? '',
    })),
  );
}
