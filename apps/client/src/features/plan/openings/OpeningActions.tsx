import { alignmentsOf, isHinged } from '@velvet-tape/core';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { DropMenu } from '../../../ui/DropMenu';
import { remove } from '../chosen/kinds';
import { planActions } from '../plan-slice';
import { selectFace, selectFloor, selectOpening, selectPlan } from '../selectors';
import { centre, copyBeside, flip, loosenAlong, moveTo, spaceEqually } from './commands';
import { readAlong } from './reading-along';

/** What can be done with the chosen door, window or opening. */
export function OpeningActions() {
  const dispatch = useAppDispatch();
  const opening = useAppSelector((state) => selectOpening(state)?.opening);
  const panel = useAppSelector((state) => state.plan.panel);
  if (!opening) return null;
  const show = (what: 'type' | 'swing') => dispatch(planActions.panelShown(panel === what ? null : what));
  const turns = isHinged(opening) || opening.form === 'pocket door' || opening.form === 'bi-fold door';
  return (
    <>
      <BarButton icon="shape-outline" label="Type" chosen={panel === 'type'} onPress={() => show('type')} />
      {turns && (
        <>
          <BarButton icon="door-open" label="Swing" chosen={panel === 'swing'} onPress={() => show('swing')} />
          <BarIcon icon="flip-horizontal" says="Flip hinge side" onPress={() => dispatch(flip('hinge'))} />
          <BarIcon icon="flip-vertical" says="Flip swing" onPress={() => dispatch(flip('swing'))} />
        </>
      )}
      <BarButton icon="content-copy" label="Copy beside" onPress={() => dispatch(copyBeside)} />
      <PlaceMenu />
      <ReadAlong />
      <BarIcon icon="delete-outline" says={`Remove ${opening.kind}`} onPress={() => dispatch(remove)} />
    </>
  );
}

/** Where it can be put without a figure. */
function PlaceMenu() {
  const dispatch = useAppDispatch();
  const floor = useAppSelector(selectFloor);
  const face = useAppSelector(selectFace);
  const on = useAppSelector(selectOpening);
  const plan = useAppSelector(selectPlan);
  const lines = plan && floor && face && on ? alignmentsOf(plan, floor, face, on) : [];
  return (
    <DropMenu
      icon="arrow-left-right"
      label="Place"
      says="Centre, space out or align it"
      entries={[
        { title: 'Centre in its gap', onPress: () => dispatch(centre('gap')) },
        { title: 'Centre on the wall', onPress: () => dispatch(centre('wall')) },
        { title: 'Equal gaps along the wall', onPress: () => dispatch(spaceEqually) },
        ...lines.map(({ words, offset }) => ({
          title: `In line with ${words}`,
          onPress: () => dispatch(moveTo(offset)),
        })),
      ]}
    />
  );
}

/** The ways a wall is read along, and the wall from inside. */
export function ReadAlong() {
  const dispatch = useAppDispatch();
  const elevation = useAppSelector((state) => state.plan.choices.elevation);
  const read = useAppSelector((state) => {
    const face = selectFace(state);
    return selectFloor(state)?.gaps.some(({ from, to }) => from === face?.from && to === face.to) ?? false;
  });
  return (
    <>
      <DropMenu
        icon="tape-measure"
        label="Read along"
        says="Read along this wall"
        entries={[
          { title: 'Running from the left', icon: 'arrow-right', onPress: () => dispatch(readAlong('left')) },
          { title: 'Running from the right', icon: 'arrow-left', onPress: () => dispatch(readAlong('right')) },
          { title: 'Gap by gap', icon: 'arrow-left-right', onPress: () => dispatch(readAlong('gaps')) },
          ...(read
            ? [
                {
                  title: 'Loosen the last reading',
                  icon: 'lock-open-variant-outline',
                  onPress: () => dispatch(loosenAlong),
                },
              ]
            : []),
        ]}
      />
      <BarButton
        icon="wall"
        label="Elevation"
        says={elevation ? 'Hide the elevation' : 'Show the elevation'}
        chosen={elevation}
        onPress={() => dispatch(planActions.choicesMade({ elevation: !elevation }))}
      />
    </>
  );
}
