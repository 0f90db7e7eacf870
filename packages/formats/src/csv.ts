import {
  type DerivedFloor,
  MM_PER_FOOT,
  type Plan,
  type Reading,
  deriveFloor,
  placeInWords,
  roomOfReading,
} from '@velvet-tape/core';
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

/** The readings of a floor as CSV, one line a reading: what was read, what the plan has, how far they differ, how well it is controlled. */
export function readingsToCsv(floor: DerivedFloor): string {
  const metric = floor.plan.job.units === 'metric';
  const [length, unit] = metric ? [1000, 'm'] : [MM_PER_FOOT, 'ft'];
  // numbers, not text: of text a minus at the beginning would be taken for a formula
  const figure = (reading: Reading, value: number) =>
    Number(reading.kind === 'angle' ? value.toFixed(2) : (value / length).toFixed(4));
  const rows = floor.readings.map((reading) => {
    const off = floor.survey.residual(reading);
    return {
      Room: roomOfReading(floor, reading)?.room.name || '',
      What: placeInWords(reading),
      'As typed': reading.text,
      [`Read (${unit}; angles °)`]: figure(reading, reading.value),
      [`On the plan (${unit}; angles °)`]: figure(reading, reading.value + off),
      [`Difference (${unit}; angles °)`]: figure(reading, off),
      'Controlled (%)': Math.round(100 * floor.survey.control(reading)),
      Instrument: reading.instrument,
      Time: reading.time,
      Note: reading.note,
      Earlier: reading.history.map(({ text }) => text).join('; '),
    };
  });
  return Papa.unparse(rows, { escapeFormulae: true, newline: '\r\n' });
}
