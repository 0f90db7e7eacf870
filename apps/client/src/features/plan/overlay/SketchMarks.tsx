import type { DerivedFloor } from '@velvet-tape/core';
import { pathData } from '@velvet-tape/formats';
import { memo } from 'react';
import { Circle, G, Path } from '../../../ui/svg';
import { useAppSelector } from '../../../store/store';
import { selectProposal } from '../selectors';
import { partsOf } from '../sketching/parts';
import type { Proposal } from '../sketching/proposal';
import { SketchLabel } from './SketchLabel';
import { type Paint, THIN } from './paint';

/** What is being drawn, what it was caught by, what is being drawn round. */
export const SketchMarks = memo(function SketchMarks({ colours, px, floor }: Paint & { floor: DerivedFloor }) {
  const proposal = useAppSelector(selectProposal);
  const lasso = useAppSelector((state) => state.view.lasso);
  return (
    <G>
      {lasso.length > 1 && (
        <Path
          d={pathData([lasso], true)}
          fill={colours.brass}
          fillOpacity={0.18}
          stroke={colours.brassDeep}
          strokeWidth={2}
          strokeDasharray="6 4"
          {...THIN}
        />
      )}
      {proposal && <ProposalMarks proposal={proposal} floor={floor} colours={colours} px={px} />}
      <Guides colours={colours} px={px} />
    </G>
  );
});

function ProposalMarks({ proposal, floor, ...paint }: Paint & { proposal: Proposal; floor: DerivedFloor }) {
  const { Marks } = partsOf(proposal);
  return Marks ? <Marks proposal={proposal} floor={floor} units={floor.plan.job.units} {...paint} /> : null;
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
      <SketchLabel at={{ x: first.to.x, y: first.to.y - 26 * px }} text={words} colours={colours} px={px} soft />
    </G>
  );
}
