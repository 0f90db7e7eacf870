import {
  type DerivedFloor,
  GLAZING_RULES,
  AREA_UNITS,
  glazingByRoom,
  openingSchedule,
  scheduleTotals,
} from '@velvet-tape/core';
import type { Row } from './row';
import { scheduleRows } from './schedule-rows';
import type { SheetOfRows } from './xlsx';

/** The schedule of doors and windows and the glazing of rooms, as the sheets of a workbook (`xlsx.ts`). */
export function scheduleSheets(floor: DerivedFloor): SheetOfRows[] {
  const { doors, windows, openings } = scheduleTotals(openingSchedule(floor));
  return [
    {
      name: 'Doors and windows',
      rows: scheduleRows(floor),
      foot: `${doors} doors, ${windows} windows, ${openings} plain openings`,
    },
    { name: 'Glazing', rows: glazingRows(floor) },
  ];
}

function glazingRows(floor: DerivedFloor): Row[] {
  const metric = floor.plan.job.units === 'metric';
  const unit = metric ? 'm²' : 'ft²';
  const area = (mm2: number) => Number((mm2 / AREA_UNITS[unit]).toFixed(2));
  return glazingByRoom(floor).map(({ room, glazing, share }) => ({
    Floor: floor.name,
    Room: room.room.name || 'Unnamed',
    [`Floor (${unit})`]: area(room.measures.area),
    [`Glazing (${unit})`]: area(glazing),
    'Share (%)': Number((100 * share).toFixed(1)),
    ...Object.fromEntries(GLAZING_RULES.map((rule) => [rule.name, share >= rule.share ? 'yes' : 'no'])),
  }));
}
