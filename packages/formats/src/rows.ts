import {
  type DerivedFloor,
  MM_PER_FOOT,
  type Plan,
  type ReadingLine,
  deriveFloor,
  readingLines,
} from '@velvet-tape/core';
import type { Row } from './row';

/** The rooms of a job, one line a room, in the job's units. */
export function roomRows(plan: Plan): Row[] {
  const metric = plan.job.units === 'metric';
  const [length, unit] = metric ? [1000, 'm'] : [MM_PER_FOOT, 'ft'];
  const figure = (value: number, power: number) => (value / length ** power).toFixed(metric ? 3 : 2);
  return Object.values(plan.floors).flatMap((floor) =>
    deriveFloor(plan, floor.id).rooms.map((room) => ({
      Floor: floor.name,
      Room: room.room.name || 'Unnamed',
      [`Net internal floor area (${unit}²)`]: figure(room.measures.area, 2),
      [`Perimeter (${unit})`]: figure(room.measures.perimeter, 1),
      [`Ceiling height (${unit})`]: figure(room.ceilingHeight, 1),
      [`Wall area less openings (${unit}²)`]: figure(room.measures.wallArea, 2),
      [`Skirting (${unit})`]: figure(room.measures.skirting, 1),
      [`Volume (${unit}³)`]: figure(room.measures.volume, 3),
      Lengths: room.rough ? 'some rough' : 'all taped or worked out',
    })),
  );
}

/** The readings of a floor, one line a reading: what was read, what the plan has, how far they differ, how well it is controlled. */
export function readingRows(floor: DerivedFloor): Row[] {
  const metric = floor.plan.job.units === 'metric';
  const [length, unit] = metric ? [1000, 'm'] : [MM_PER_FOOT, 'ft'];
  // numbers, not text: of text a minus at the beginning would be taken for a formula
  const figure = ({ angle }: ReadingLine, value: number) =>
    Number(angle ? value.toFixed(2) : (value / length).toFixed(4));
  return readingLines(floor).map((line) => ({
    Floor: floor.name,
    Room: line.room,
    What: line.what,
    'As typed': line.text,
    [`Read (${unit}; angles °)`]: figure(line, line.value),
    [`On the plan (${unit}; angles °)`]: figure(line, line.value + line.off),
    [`Difference (${unit}; angles °)`]: figure(line, line.off),
    'Controlled (%)': Math.round(100 * line.control),
    Instrument: line.instrument,
    Time: line.time,
    Note: line.note,
    Earlier: line.history.map(({ text }) => text).join('; '),
  }));
}
