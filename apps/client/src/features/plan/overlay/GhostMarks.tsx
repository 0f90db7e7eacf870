import { type DerivedFloor, distance } from '@velvet-tape/core';
import { pathData } from '@velvet-tape/formats';
import { G, Path } from '../../../ui/svg';
import type { HouseColours } from '../../../ui/theme';
import { Dot, THIN } from './paint';

/** What a typed size would do: outlines as they would be, and the corners that would move with where to. */
export function GhostMarks({
  before,
  after,
  colours,
  px,
}: {
  before: DerivedFloor;
  after: DerivedFloor;
  colours: HouseColours;
  px: number;
}) {
  const moves = [...before.network.corners.values()].flatMap((corner) => {
    const to = after.network.corners.get(corner.id);
    return to && distance(corner, to) > 0.5 ? [{ corner, to }] : [];
  });
  return (
    <G testID="ghost">
      {after.rooms.map((room) => (
        <Path
          key={room.room.id}
          d={pathData(room.outline.rings, true)}
          fill="none"
          stroke={colours.clay}
          strokeWidth={1.6}
          strokeDasharray="7 4"
          {...THIN}
        />
      ))}
      {moves.map(({ corner, to }) => (
        <G key={corner.id}>
          <Path d={`M ${corner.x} ${corner.y} L ${to.x} ${to.y}`} stroke={colours.clay} strokeWidth={2} {...THIN} />
          <Dot at={to} id="moving-corner" r={7} fill={colours.clay} edge={colours.chalk} px={px} />
        </G>
      ))}
    </G>
  );
}
