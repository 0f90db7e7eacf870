import { laterRooms } from '../../../core-later/to-come';
import { G, Path } from '../../../ui/svg';
import type { HouseColours } from '../../../ui/theme';
import { lent } from '../later/lent';
import { useGetIn } from './get-in-state';

const { THIN, pathData } = lent();

/** So far apart it is drawn on its way, mm. */
const HAND = 80;

/** The way a piece takes over this floor: where it lies every few hands, and where it is now; or where it sticks. */
export function GetInMarks({ piece, floor, colours }: { piece: string; floor: string; colours: HouseColours }) {
  const { question, answer, at } = useGetIn();
  const { between, outlineAt } = laterRooms();
  if (question?.piece !== piece || !answer) return null;
  if (!answer.gets) {
    if (answer.at?.floor !== floor) return null;
    const { pose, size } = answer.at;
    return (
      <Path
        testID="get-in-stuck"
        d={pathData([outlineAt(size, pose)], true)}
        fill={colours.clay}
        fillOpacity={0.18}
        stroke={colours.clay}
        strokeWidth={2.5}
        {...THIN}
      />
    );
  }
  const legs = answer.legs.filter((leg) => leg.floor === floor);
  const all = legs.flatMap((leg) => between(leg.poses, HAND).map((pose) => ({ pose, size: leg.size })));
  const now = all[Math.min(all.length - 1, Math.round(at * (all.length - 1)))];
  if (!now) return null;
  return (
    <G testID="get-in-way">
      <Path
        d={pathData(
          all.filter((_, i) => i % 4 === 0).map(({ pose, size }) => outlineAt(size, pose)),
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
        d={pathData([outlineAt(now.size, now.pose)], true)}
        fill={colours.moss}
        fillOpacity={0.25}
        stroke={colours.moss}
        strokeWidth={2.5}
        {...THIN}
      />
    </G>
  );
}
