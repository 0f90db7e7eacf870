import { type Units, distance, formatLength, middle } from '@velvet-tape/core';
import { pathData } from '@velvet-tape/formats';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { G, Path } from '../../../ui/svg';
import { CornerDot } from '../chosen/marks';
import { SketchLabel } from '../overlay/SketchLabel';
import { type Paint, THIN } from '../overlay/paint';
import { planActions } from '../plan-slice';
import { aim, backOneCorner, closeOutline, leaveOpen } from './commands';
import { beginFurther, followBetween, followOn, followsOf, outlinesBeside } from './follow';
import type { PathProposal } from './path';

export function PathMarks({ proposal: path, colours, px, units }: Paint & { proposal: PathProposal; units: Units }) {
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
          <SketchLabel
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

/** Back a corner, and round to the first one. */
export function PathEnd({ proposal }: { proposal: PathProposal }) {
  const dispatch = useAppDispatch();
  return (
    <>
      <BarButton icon="undo-variant" label="Back" says="Back one corner" onPress={() => dispatch(backOneCorner)} />
      {proposal.points.length > 2 && (
        <BarButton strong icon="check" label="Close" onPress={() => dispatch(closeOutline)} />
      )}
    </>
  );
}

const WAYS = [
  ['arrow-left', 'Next leg to the left', { x: -1, y: 0 }],
  ['arrow-up', 'Next leg up the sheet', { x: 0, y: -1 }],
  ['arrow-down', 'Next leg down the sheet', { x: 0, y: 1 }],
  ['arrow-right', 'Next leg to the right', { x: 1, y: 0 }],
] as const;

export function PathActions({ proposal }: { proposal: PathProposal }) {
  const dispatch = useAppDispatch();
  const corners = proposal.points.length;
  const chalk = useAppSelector((state) => state.plan.choices.chalk);
  return (
    <>
      {WAYS.map(([icon, says, d]) => (
        <BarIcon key={icon} icon={icon} says={says} onPress={() => dispatch(aim(d))} />
      ))}
      <FollowBelow proposal={proposal} />
      {corners > 1 && <BarButton label="Leave open" onPress={() => dispatch(leaveOpen)} />}
      <BarButton
        label="Chalk line"
        chosen={chalk}
        onPress={() => dispatch(planActions.choicesMade({ chalk: !chalk }))}
      />
    </>
  );
}

/** Where it stands at a corner of the floor below: on along that. */
function FollowBelow({ proposal }: { proposal: PathProposal }) {
  const dispatch = useAppDispatch();
  const outlines = useAppSelector(outlinesBeside);
  const { on, further, between } = followsOf(outlines, proposal);
  if (!on) return null;
  return (
    <>
      <BarButton
        icon="layers-outline"
        label="Follow on"
        says="On along the floor below"
        onPress={() => dispatch(followOn)}
      />
      {further && <BarButton label="Begin one on" onPress={() => dispatch(beginFurther)} />}
      {between && (
        <>
          <BarButton
            label="Along below"
            says="This leg along the floor below"
            onPress={() => dispatch(followBetween(false))}
          />
          <BarButton label="Other way round" onPress={() => dispatch(followBetween(true))} />
        </>
      )}
    </>
  );
}
