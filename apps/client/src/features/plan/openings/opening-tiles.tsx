import { type Opening, alignmentsOf, isHinged } from '@velvet-tape/core';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { DropMenu } from '../../../ui/DropMenu';
import { Tile, Tiles } from '../../../ui/Tile';
import { remove } from '../chosen/kinds';
import { planActions } from '../plan-slice';
import { selectFace, selectFloor, selectOpening, selectPlan } from '../selectors';
import { centre, copyBeside, flip, loosenAlong, moveTo, spaceEqually } from './commands';
import { readAlong } from './reading-along';

/** Does it have a leaf that can be hung the other way? */
export const turns = (opening: Opening): boolean =>
  isHinged(opening) || opening.form === 'pocket door' || opening.form === 'bi-fold door';

/** Where the chosen door, window or opening stands, and what else can be done with it. */
export function OpeningTiles() {
  const dispatch = useAppDispatch();
  const opening = useAppSelector((state) => selectOpening(state)?.opening);
  if (!opening) return null;
  return (
    <Tiles>
      {turns(opening) && (
        <>
          <Tile
            icon="flip-horizontal"
            label="Other hinge"
            says="Flip hinge side"
            onPress={() => dispatch(flip('hinge'))}
          />
          <Tile icon="flip-vertical" label="Other swing" says="Flip swing" onPress={() => dispatch(flip('swing'))} />
        </>
      )}
      <PlaceMenu />
      <Tile icon="content-copy" label="Copy beside" onPress={() => dispatch(copyBeside)} />
      <ReadAlong />
      <Tile icon="delete-outline" label="Remove" says={`Remove ${opening.kind}`} onPress={() => dispatch(remove)} />
    </Tiles>
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
      tile
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
        tile
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
      <Tile
        icon="view-sequential-outline"
        label="Elevation"
        says={elevation ? 'Hide the elevation' : 'Show the elevation'}
        chosen={elevation}
        onPress={() => dispatch(planActions.choicesMade({ elevation: !elevation }))}
      />
    </>
  );
}
