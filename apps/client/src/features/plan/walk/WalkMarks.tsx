import { distance } from '@velvet-tape/core';
import { pathData } from '@velvet-tape/formats';
import { G, Path } from '../../../ui/svg';
import { CornerDot } from '../chosen/marks';
import { type Paint, THIN } from '../overlay/paint';
import { type WalkProposal, cornersOfWalk } from '../sketching/walk';

/** Where a walk began and where it is; the wall typed anew; what is missing between its end and its beginning. */
export function WalkMarks({ proposal: walk, colours, px }: Paint & { proposal: WalkProposal }) {
  const corners = cornersOfWalk(walk);
  const [first, last] = [corners[0]!, corners.at(-1)!];
  const typed = walk.line === null ? null : corners.slice(walk.line, walk.line + 2);
  return (
    <G>
      {typed && <Path d={pathData([typed], false)} fill="none" stroke={colours.brassDeep} strokeWidth={5} {...THIN} />}
      {!walk.closing && corners.length > 2 && distance(first, last) > 1 && (
        <Path
          testID="walk-gap"
          d={pathData([[last, first]], false)}
          stroke={colours.clay}
          strokeWidth={2}
          strokeDasharray="2 5"
          {...THIN}
        />
      )}
      <CornerDot at={first} id="first-corner" colours={colours} px={px} chosen />
      {corners.length > 1 && !walk.closing && <CornerDot at={last} id="walk-end" colours={colours} px={px} />}
    </G>
  );
}
