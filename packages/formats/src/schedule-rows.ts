import { type DerivedFloor, type DerivedRoom, MM_PER_FOOT, openingSchedule } from '@velvet-tape/core';
import type { Row } from './row';

/** The columns of the schedule of doors and windows, sizes in the job's units, as files show them. */
export function scheduleRows(floor: DerivedFloor): Row[] {
  const metric = floor.plan.job.units === 'metric';
  const [length, unit, digits] = metric ? [1000, 'm', 3] : [MM_PER_FOOT, 'ft', 4];
  const size = (mm: number, power = 1) => Number((mm / length ** power).toFixed(digits));
  return openingSchedule(floor).map((line) => ({
    Floor: floor.name,
    No: line.label,
    Kind: line.opening.kind,
    Type: line.type,
    [`Width (${unit})`]: size(line.width),
    [`Height (${unit})`]: size(line.height),
    [`Sill (${unit})`]: size(line.sill),
    [`Head (${unit})`]: size(line.head),
    [`Clear (${unit})`]: line.clear === null ? '' : size(line.clear),
    [`Structural width (${unit})`]: size(line.structural.width),
    [`Structural height (${unit})`]: size(line.structural.height),
    [`Wall (${unit})`]: size(line.thickness),
    Hinges: line.hand ?? '',
    'Opens into': line.hand ? nameOf(line.rooms[0]) : '',
    Between: line.rooms.map(nameOf).join(' / '),
    [`Glazing (${unit}²)`]: size(line.glazing, 2),
    Material: line.opening.material,
    Note: line.opening.note,
  }));
}

const nameOf = (room: DerivedRoom | null): string => (room ? room.room.name || 'Unnamed' : 'Outside');
