import { intersection, ringsArea } from '../geometry';
import type { Plan } from '../plan/plan';
import { floorBeside, floorHeight } from '../plan/storeys';
import { type DerivedRoom, deriveFloor } from './derive-floor';

/** Less than this in common is none, mm². */
const LEAST = 50_000;

/** How high a room is where it is open to the floor above: up to the ceiling there, mm, with the area that is, mm²; null where it is open nowhere. */
export function openAbove(plan: Plan, { room, outline }: DerivedRoom): { height: number; area: number } | null {
  const above = floorBeside(plan, room.floor, 'above');
  if (!above) return null;
  const open = deriveFloor(plan, above.id).rooms.filter((each) => each.room.overVoid);
  const shared = open.map((each) => ({ each, area: ringsArea(intersection(outline.rings, each.outline.rings)) }));
  const over = shared.filter(({ area }) => area > LEAST);
  if (over.length === 0) return null;
  return {
    height: floorHeight(plan, room.floor) + Math.max(...over.map(({ each }) => each.ceilingHeight)),
    area: over.reduce((sum, { area }) => sum + area, 0),
  };
}
