import { Text } from 'react-native-paper';
import { useColours } from '../../../ui/theme';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { planActions } from '../plan-slice';
import { MarksActions, MarksEnd } from '../underlay/MarksBar';
import { WalkActions, WalkClose } from '../walk/WalkTurns';
import {
  aim,
  backOneCorner,
  closeOutline,
  dropProposal,
  keepProposal,
  leaveOpen,
  lessStraight,
  mirrorShape,
  turnShape,
} from '../sketching/commands';

/** What finishes what is being drawn, beside the figure that is being typed. */
export function ProposalEnd() {
  const dispatch = useAppDispatch();
  const proposal = useAppSelector((state) => state.plan.proposal);
  const tool = useAppSelector((state) => state.plan.tool);
  if (!proposal || (proposal.kind === 'loop' && proposal.drawing)) return null;
  if ((proposal.kind === 'reading' || proposal.kind === 'height') && !proposal.read) return null;
  if (proposal.kind === 'walk') return <WalkClose />;
  if (proposal.kind === 'marks') return <MarksEnd />;
  if (proposal.kind !== 'path' || tool === 'divide')
    return <BarButton strong icon="check" label="Keep" onPress={() => dispatch(keepProposal)} />;
  return (
    <>
      <BarButton icon="undo-variant" label="Back" says="Back one corner" onPress={() => dispatch(backOneCorner)} />
      {proposal.points.length > 2 && (
        <BarButton strong icon="check" label="Close" onPress={() => dispatch(closeOutline)} />
      )}
    </>
  );
}

/** What else can be done with what is being drawn. */
export function ProposalActions() {
  const dispatch = useAppDispatch();
  const proposal = useAppSelector((state) => state.plan.proposal);
  const tool = useAppSelector((state) => state.plan.tool);
  if (!proposal) return null;
  const drop = <BarIcon icon="close" says="Drop it" onPress={() => dispatch(dropProposal)} />;
  switch (proposal.kind) {
    case 'path':
      return tool === 'divide' ? null : <PathActions />;
    case 'loop':
      return proposal.drawing ? null : (
        <>
          <BarButton
            label={proposal.straightness === 'straight' ? 'Less straight' : 'Straighter'}
            onPress={() => dispatch(lessStraight)}
          />
          <BarButton icon="restart" label="Again" onPress={() => dispatch(dropProposal)} />
        </>
      );
    case 'shape':
      return (
        <>
          <BarButton icon="rotate-right" label="Turn" onPress={() => dispatch(turnShape)} />
          <BarButton icon="flip-horizontal" label="Mirror" onPress={() => dispatch(mirrorShape)} />
          {drop}
        </>
      );
    case 'bump':
      return (
        <>
          {proposal.shape !== 'breast' && (
            <BarButton
              icon="swap-vertical"
              label={proposal.depth >= 0 ? 'Out' : 'In'}
              says={`It goes ${proposal.depth >= 0 ? 'out of' : 'into'} the room. Swap.`}
              onPress={() => dispatch(planActions.proposed({ ...proposal, depth: -proposal.depth }))}
            />
          )}
          {drop}
        </>
      );
    case 'reading':
      return (
        <>
          {!proposal.place && <Hint>Now tap the second corner or wall.</Hint>}
          {drop}
        </>
      );
    case 'walk':
      return <WalkActions />;
    case 'marks':
      return <MarksActions />;
    case 'box':
    case 'height':
      return drop;
  }
}

function Hint({ children }: { children: string }) {
  const colours = useColours();
  return <Text style={{ color: colours.ink, fontSize: 16 }}>{children}</Text>;
}

const WAYS = [
  ['arrow-left', 'Next leg to the left', { x: -1, y: 0 }],
  ['arrow-up', 'Next leg up the sheet', { x: 0, y: -1 }],
  ['arrow-down', 'Next leg down the sheet', { x: 0, y: 1 }],
  ['arrow-right', 'Next leg to the right', { x: 1, y: 0 }],
] as const;

function PathActions() {
  const dispatch = useAppDispatch();
  const corners = useAppSelector((state) =>
    state.plan.proposal?.kind === 'path' ? state.plan.proposal.points.length : 0,
  );
  const chalk = useAppSelector((state) => state.plan.choices.chalk);
  return (
    <>
      {WAYS.map(([icon, says, d]) => (
        <BarIcon key={icon} icon={icon} says={says} onPress={() => dispatch(aim(d))} />
      ))}
      {corners > 1 && <BarButton label="Leave open" onPress={() => dispatch(leaveOpen)} />}
      <BarButton
        label="Chalk line"
        chosen={chalk}
        onPress={() => dispatch(planActions.choicesMade({ chalk: !chalk }))}
      />
    </>
  );
}
