import type { Point } from '@velvet-tape/core';
import type { Leg, Pose } from '@velvet-tape/core/pieces/get-in';
import { G, Path } from '../../../ui/svg';
import type { HouseColours } from '../../../ui/theme';
import { lent } from '../later/lent';
import { useGetIn } from './get-in-state';

const { THIN, pathData } = lent();

/** The way a piece takes over this floor: where it lies every few hands, and where it is now; or where it sticks. */
export function GetInMarks({ piece, floor, colours }: { piece: string; floor: string; colours: HouseColours }) {
  const { question, answer, at } = useGetIn();
  if (question?.piece !== piece || !answer) return null;
  if (!answer.gets) {
    if (answer.at?.floor !== floor) return null;
    const { pose, size } = answer.at;
    return (
      <Path
        testID="get-in-stuck"
        d={pathData([outline(pose, size)], true)}
        fill={colours.clay}
        fillOpacity={0.18}
        stroke={colours.clay}
        strokeWidth={2.5}
        {...THIN}
      />
    );
  }
  const legs = answer.legs.filter((leg) => leg.floor === floor);
  const all = legs.flatMap((leg) => spread(leg.poses).map((pose) => ({ pose, size: leg.size })));
  const now = all[Math.min(all.length - 1, Math.round(at * (all.length - 1)))];
  if (!now) return null;
  return (
    <G testID="get-in-way">
      <Path
        d={pathData(
          all.filter((_, i) => i % 4 === 0).map(({ pose, size }) => outline(pose, size)),
          true,
        )}
        fill="none"
        stroke={colours.moss}
        strokeOpacity={0.5}
        strokeWidth={1}
        {...THIN}
      />
      <Path
        testID="get-in-now"
        d={pathData([outline(now.pose, now.size)], true)}
        fill={colours.moss}
        fillOpacity={0.25}
        stroke={colours.moss}
        strokeWidth={2.5}
        {...THIN}
      />
    </G>
  );
}

/** Poses no farther apart than a hand, mm. */
const HAND = 80;
function spread(poses: readonly Pose[]): Pose[] {
  return poses.flatMap((pose, i) => {
    const next = poses[i + 1];
    if (!next) return [pose];
    const long = Math.hypot(next.x - pose.x, next.y - pose.y) + 800 * Math.abs(next.angle - pose.angle);
    const parts = Math.max(1, Math.ceil(long / HAND));
    return Array.from({ length: parts }, (_, k) => ({
      ...{ x: pose.x + ((next.x - pose.x) * k) / parts, y: pose.y + ((next.y - pose.y) * k) / parts },
      angle: pose.angle + ((next.angle - pose.angle) * k) / parts,
    }));
  });
}

function outline({ x, y, angle }: Pose, { width, depth }: Leg['size']): Point[] {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ].map(([u, v]) => {
    const [a, b] = [(u! * width) / 2, (v! * depth) / 2];
    return { x: x + a * c - b * s, y: y + a * s + b * c };
  });
}
