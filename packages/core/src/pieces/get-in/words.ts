import { type Course, type Point, alongOf, distance, offOf } from '../../geometry';
import { openingSpan } from '../../openings';
import type { Id } from '../../plan/plan';
import { surfaceContains } from '../../rooms';
import { openingSchedule } from '../../schedule';
import { capital } from '../../words';
import type { House } from './carrying';
import { type Pose, between } from './poses';
import type { Leg } from './question';
import { gapOf } from './where-free';

/** At which door, or in which room. */
export function placeInWords({ floors }: House, on: Id, p: Point): string {
  const { floor, stairs } = floors.find((each) => each.floor.floor === on)!;
  if (stairs && surfaceContains(stairs.outline, p)) return 'on the stairs';
  const near = openingSchedule(floor)
    .flatMap(({ opening, label }) => {
      const gap = gapOf(floor, opening, true);
      return gap ? [{ label, off: distance(gap.middle, p) }] : [];
    })
    .sort((a, b) => a.off - b.off)[0];
  if (near && near.off < 1200) return `at ${near.label}`;
  const room = floor.rooms.find(({ outline }) => surfaceContains(outline.rings, p));
  return room ? `in ${room.room.name || 'the unnamed room'}` : 'outside';
}

/** How, through what, and with how many turns. */
export function inWords({ floors }: House, name: string, legs: readonly Leg[]): string {
  const how = [...new Set(legs.map((leg) => leg.how))];
  const labels = legs.flatMap((leg) => {
    const { floor } = floors.find((each) => each.floor.floor === leg.floor)!;
    const path = between(leg.poses, 100);
    const passed = openingSchedule(floor).flatMap(({ opening, label }) => {
      const { course } = floor.network.half(opening.wall, true);
      const { from, to } = openingSpan(floor.network, opening);
      const when = path.findIndex((p, i) => i > 0 && crossesWithin(course, from, to, path[i - 1]!, p));
      return when < 0 ? [] : [{ when, label }];
    });
    return passed.sort((x, y) => x.when - y.when).map(({ label }) => label);
  });
  const turns = legs.reduce((sum, { poses }) => sum + turnsOf(poses), 0);
  const through = labels.length > 0 ? ` through ${[...new Set(labels)].join(', ')}` : '';
  const turned = Math.round(turns) === 0 ? 'without a turn' : `turned by ${Math.round(turns)}° in all`;
  return `${capital(name)} gets in, carried ${how.join(', then ')}${through}, ${turned}.`;
}

/** Does a step lead over a stretch of a line? One that ends on the line has not; the next one has. */
function crossesWithin(course: Course, from: number, to: number, a: Point, b: Point): boolean {
  const [before, after] = [offOf(course, a), offOf(course, b)];
  if (before < 0 === after < 0) return false;
  const share = before / (before - after);
  const along = alongOf(course, { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share });
  return along >= from && along <= to;
}

const turnsOf = (poses: readonly Pose[]): number =>
  poses.slice(1).reduce((sum, pose, i) => sum + (Math.abs(pose.angle - poses[i]!.angle) * 180) / Math.PI, 0);
