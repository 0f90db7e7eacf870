import type { Vantage, VantageView } from '@velvet-tape/core';
import type { Walkable } from '@velvet-tape/core/raised';
import type { Towards } from '@velvet-tape/core/sun';
import type { Pose } from './gait';
import type { Lens } from './space/lens';
import type { Shown } from './space/things';
import { type Standing, floorAt, roomAt } from './walking';

const DEGREES = 180 / Math.PI;

export const lensOf = ({ lens, uprights }: Vantage): Lens => ({ mm: lens, uprights });

/** How high the floor of a vantage lies, mm. */
const elevationFor = ({ floor }: Pick<Vantage, 'floor'>, walkable: Walkable): number =>
  walkable.floors.find((each) => each.floor === floor)?.elevation ?? 0;

/** Where one stands at a vantage, and which way one looks from there. */
export const posed = (vantage: Vantage, walkable: Walkable): [at: Standing, heading: number, pitch: number] => [
  { x: vantage.x, y: vantage.y, level: elevationFor(vantage, walkable) },
  vantage.heading / DEGREES,
  vantage.tilt / DEGREES,
];

/** The eyes at a vantage. */
export const poseAt = (vantage: Vantage, walkable: Walkable): Pose => ({
  ...{ x: vantage.x, y: vantage.y, z: elevationFor(vantage, walkable) + vantage.up },
  ...{ heading: vantage.heading / DEGREES, pitch: vantage.tilt / DEGREES },
});

/** What shows from a vantage. */
export const shownFrom = ({ openSide, alone, floor, furnished }: Vantage, sun: Towards | null): Shown => ({
  ...{ floor: alone ? floor : null, room: null, openSide, seeThrough: false, apart: false, furnished },
  ...{ sun, inside: !openSide },
});

/** What a pose is as part of a vantage: over the floor it is above. */
export function placeOf(
  pose: Pose,
  walkable: Walkable,
): Pick<VantageView, 'floor' | 'x' | 'y' | 'up' | 'heading' | 'tilt'> | null {
  const floor = floorAt(walkable, pose.z - 1000);
  if (!floor) return null;
  return {
    ...{ floor: floor.floor, x: Math.round(pose.x), y: Math.round(pose.y) },
    up: Math.max(0, Math.round(pose.z - floor.elevation)),
    ...{ heading: rounded((pose.heading * DEGREES) % 360), tilt: rounded(pose.pitch * DEGREES) },
  };
}

const rounded = (degrees: number): number => Math.round(degrees * 10) / 10;

/** “Ticket hall”, “Ticket hall 2”; from outside “From outside”. */
export function nameFor(pose: Pose, walkable: Walkable, outside: boolean, taken: readonly string[]): string {
  const room = outside ? null : roomAt(walkable, { x: pose.x, y: pose.y, level: pose.z - 1500 });
  const name = outside ? 'From outside' : (room?.name ?? 'Between rooms');
  for (let i = 1; ; i += 1) {
    const tried = i === 1 ? name : `${name} ${i}`;
    if (!taken.includes(tried)) return tried;
  }
}

/** What is seen out of windows. */
const SKY = '#E4ECF0';

/** What is behind the house: the sky, seen from within, else the sheet. */
export const backgroundOf = ({ inside }: Pick<Shown, 'inside'>, sheet: string): string => (inside ? SKY : sheet);
