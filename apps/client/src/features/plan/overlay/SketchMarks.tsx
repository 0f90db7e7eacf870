import { type Point, type Units, distance, formatLength, middle } from '@velvet-tape/core';
import { pathData } from '@velvet-tape/formats';
import { memo } from 'react';
import { Circle, G, Path } from '../../../ui/svg';
import type { HouseColours } from '../../../ui/theme';
import { useAppSelector } from '../../../store/store';
import type { PathProposal, Proposal } from '../sketching/proposal';
import { type WalkProposal, cornersOfWalk } from '../sketching/walk';
import { selectProposal } from '../selectors';
import { boxCorners } from '../tools/shape-tool';
import { HaloText } from './HaloText';
import { CornerDot } from './SelectionMarks';

const THIN = { vectorEffect: 'non-scaling-stroke' } as const;

interface Paint {
  colours: HouseColours;
  /** mm of the house per screen pixel */
  px: number;
}

/** What is being drawn, what it was caught by, what is being drawn round. */
export const SketchMarks = memo(function SketchMarks({ colours, px, units }: Paint & { units: Units }) {
  const proposal = useAppSelector(selectProposal);
  const trace = useAppSelector((state) => state.view.trace);
  return (
    <G>
      {trace.length > 1 && (
        <Path
          d={pathData([trace], true)}
          fill={colours.brass}
          fillOpacity={0.18}
          stroke={colours.brassDeep}
          strokeWidth={2}
          strokeDasharray="6 4"
          {...THIN}
        />
      )}
      {proposal && <ProposalMarks proposal={proposal} colours={colours} px={px} units={units} />}
      <Guides colours={colours} px={px} />
    </G>
  );
});

function ProposalMarks({ proposal, ...paint }: Paint & { proposal: Proposal; units: Units }) {
  const { colours, px } = paint;
  if (proposal.kind === 'path') return <PathMarks path={proposal} {...paint} />;
  if (proposal.kind === 'walk') return <WalkMarks walk={proposal} {...paint} />;
  if (proposal.kind === 'height')
    return <CornerDot at={proposal.at} id="height-point" colours={colours} px={px} chosen />;
  if (proposal.kind === 'shape')
    return (
      <G>
        {boxCorners(proposal).map((at, i) => (
          <CornerDot key={i} at={at} id="shape-corner" colours={colours} px={px} chosen />
        ))}
      </G>
    );
  if (proposal.kind === 'loop')
    return (
      <Path
        testID="stroke"
        d={pathData([proposal.stroke], false)}
        fill="none"
        stroke={colours.brassDeep}
        strokeWidth={proposal.drawing ? 4 : 1.5}
        strokeLinecap="round"
        strokeLinejoin="round"
        strokeOpacity={proposal.drawing ? 1 : 0.55}
        {...THIN}
      />
    );
  return null;
}

/** Where a walk began and where it is; the wall typed anew; what is missing between its end and its beginning. */
function WalkMarks({ walk, colours, px }: Paint & { walk: WalkProposal }) {
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

function PathMarks({ path, colours, px, units }: Paint & { path: PathProposal; units: Units }) {
  const last = path.points.at(-1);
  return (
    <G>
      {path.points.length > 1 && (
        <Path d={pathData([path.points], false)} fill="none" stroke={colours.brassDeep} strokeWidth={2} {...THIN} />
      )}
      {last && path.towards && (
        <G>
          <Path
            testID="leg"
            d={pathData([[last, path.towards]], false)}
            stroke={colours.brassDeep}
            strokeWidth={3}
            strokeDasharray="9 5"
            {...THIN}
          />
          <Label
            at={middle(last, path.towards)}
            text={formatLength(distance(last, path.towards), units, 'coarse')}
            colours={colours}
            px={px}
          />
        </G>
      )}
      {path.points.map((p, i) => (
        <CornerDot
          key={i}
          at={p}
          id={i === 0 ? 'first-corner' : 'drawn-corner'}
          colours={colours}
          px={px}
          chosen={i === 0}
        />
      ))}
    </G>
  );
}

/** Thin lines to what the point was caught by, with a word. */
function Guides({ colours, px }: Paint) {
  const guides = useAppSelector((state) => state.view.guides);
  const [first] = guides;
  if (!first) return null;
  const words = [...new Set(guides.map((guide) => guide.word))].join(', ');
  return (
    <G>
      {guides.map(({ word, from, to }, i) => (
        <Path
          key={i}
          testID={`guide-${word}`}
          d={pathData([[from, to]], false)}
          stroke={colours.moss}
          strokeWidth={1.4}
          strokeDasharray="3 3"
          {...THIN}
        />
      ))}
      <Circle cx={first.to.x} cy={first.to.y} r={5 * px} fill="none" stroke={colours.moss} strokeWidth={2} {...THIN} />
      <Label at={{ x: first.to.x, y: first.to.y - 26 * px }} text={words} colours={colours} px={px} soft />
    </G>
  );
}

function Label({ at, text, colours, px, soft = false }: Paint & { at: Point; text: string; soft?: boolean }) {
  return (
    <HaloText
      id="sketch-label"
      at={{ x: at.x, y: at.y - 8 * px }}
      text={text}
      size={soft ? 13 : 16}
      strong={!soft}
      fill={soft ? colours.moss : colours.ink}
      colours={colours}
      px={px}
    />
  );
}
