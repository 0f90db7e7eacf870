import { useAppDispatch, useAppSelector } from '../../../store/store';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { TURNS, bowedOther, turnOfLine } from '../sketching/walk';
import { dropProposal } from '../sketching/keep';
import { changeWalk, closeWalk, removeLine, turnWalk } from '../sketching/walk-commands';

const WAYS = [
  ['left', 'Left', 'arrow-left-top'],
  ['straight on', 'Straight on', 'arrow-up'],
  ['right', 'Right', 'arrow-right-top'],
] as const;

/** Which way the walk turns into the wall that is typed. */
export function WalkTurns() {
  const dispatch = useAppDispatch();
  const proposal = useAppSelector((state) => state.plan.proposal);
  if (proposal?.kind !== 'walk') return null;
  const turn = turnOfLine(proposal);
  if (!turn) return null;
  return WAYS.map(([name, label, icon]) => (
    <BarButton
      key={name}
      icon={icon}
      label={label}
      chosen={turn.degrees === TURNS[name].degrees && !turn.read}
      onPress={() => dispatch(turnWalk(TURNS[name]))}
    />
  ));
}

/** What else can be done with a walk. */
export function WalkActions() {
  const dispatch = useAppDispatch();
  const proposal = useAppSelector((state) => state.plan.proposal);
  if (proposal?.kind !== 'walk') return null;
  const { lines, line } = proposal;
  const bowed = lines[line ?? lines.length - 1];
  return (
    <>
      {bowed?.bow && (
        <BarButton
          icon="swap-vertical"
          label={bowed.out ? 'Bows out' : 'Bows in'}
          says={`The wall bows ${bowed.out ? 'out of' : 'into'} the room. Swap.`}
          onPress={() => dispatch(changeWalk(bowedOther))}
        />
      )}
      {lines.length > 0 && (
        <BarButton
          icon="undo-variant"
          label={line === null ? 'Back' : 'Take out'}
          says={line === null ? 'Back one wall' : `Take wall ${line + 1} out`}
          onPress={() => dispatch(removeLine)}
        />
      )}
      <BarIcon icon="close" says="Drop it" onPress={() => dispatch(dropProposal)} />
    </>
  );
}

/** Back to the beginning, as soon as there is a room to close. */
export function WalkClose() {
  const dispatch = useAppDispatch();
  const walls = useAppSelector((state) =>
    state.plan.proposal?.kind === 'walk' ? state.plan.proposal.lines.length : 0,
  );
  return walls > 1 ? <BarButton strong icon="check" label="Close" onPress={() => dispatch(closeWalk)} /> : null;
}
