import { MM_PER_FOOT, type Plan, deriveFloor } from '@velvet-tape/core';
import Papa from 'papaparse';

/** The rooms of a job as CSV (RFC 4180), one line a room, in the job's units. Cells that a spreadsheet would run as formulas are made harmless. */
export function roomsToCsv(plan: Plan): string {
  const metric = plan.job.units === 'metric';
  const [length, unit] = metric ? [1000, 'm'] : [MM_PER_FOOT, 'ft'];
  const figure = (value: number, power: number) => (value / length ** power).toFixed(metric ? 3 : 2);
  const rows = Object.values(plan.floors).flatMap((floor) =>
    deriveFloor(plan, floor.id).rooms.map((room) => ({
      Floor: floor.name,
      Room: room.room.name || 'Unnamed',
      [`Net internal floor area (${unit}²)`]: figure(room.measures.area, 2),
      [`Perimeter (${unit})`]: figure(room.measures.perimeter, 1),
      [`Ceiling height (${unit})`]: figure(room.ceilingHeight, 1),
      [`Wall area less openings (${unit}²)`]: figure(room.measures.wallArea, 2),
      [`Volume (${unit}³)`]: figure(room.measures.volume, 3),
      Lengths: room.rough ? 'some rough' : 'all taped or worked out',
    })),
  );
  return Papa.unparse(rows, { escapeFormulae: true, newline: '\r\n' });
}
