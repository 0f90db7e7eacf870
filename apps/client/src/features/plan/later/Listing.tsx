import type { LazyExoticComponent, ReactElement } from 'react';
import { StyleSheet, View, useWindowDimensions } from 'react-native';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { Part } from '../../../ui/Part';
import { TOUCH, WIDE, useColours } from '../../../ui/theme';
import { ofPieces } from '../pieces/pieces-room';
import { planActions } from '../plan-slice';
import type { PlanState } from '../plan-state';
import { selectFloor } from '../selectors';
import { ofViews } from '../views/views-room';
import { piece } from './later';
import type { DerivedFloor } from '@velvet-tape/core';

type ListName = Exclude<PlanState['listing'], null | 'details'>;

/** The lists that are laid over the sheet, each in a piece of its own that comes when it is wanted. */
const LISTS: Record<ListName, LazyExoticComponent<(props: { floor: DerivedFloor }) => ReactElement | null>> = {
  readings: piece(() => import('../readings/ReadingsList')),
  areas: piece(() => import('../areas/AreasList')),
  floors: piece(() => import('../floors/FloorsList')),
  history: piece(() => import('../history/HistoryList')),
  pieces: piece(() => ofPieces('PiecesList')),
  options: piece(() => ofPieces('OptionsPart')),
  catalogue: piece(() => ofPieces('Catalogue')),
  sheets: piece(() => import('../sheets/SheetsPart')),
  views: piece(() => ofViews('ViewsPart')),
  looks: piece(() => import('../looks/LooksList')),
  keys: piece(() => import('../desk/Keys')),
  openings: piece(() => import('../schedule/ScheduleList')),
};

/** They take all of the sheet. */
const WHOLE: readonly ListName[] = ['floors', 'sheets', 'options', 'views'];

/** The list that is open, over the sheet. */
export function Listing() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const wide = useWindowDimensions().width >= WIDE;
  const listing = useAppSelector((state) => state.plan.listing);
  const floor = useAppSelector(selectFloor);
  if (listing === null || listing === 'details' || !floor) return null;
  const List = LISTS[listing];
  return (
    <View
      style={[
        styles.panel,
        WHOLE.includes(listing) && styles.sheet,
        !wide && styles.under,
        { backgroundColor: colours.chalk, borderColor: colours.brassDeep },
      ]}
    >
      <Part key={listing} back={{ label: 'Back to the plan', now: () => dispatch(planActions.listed(null)) }}>
        <List floor={floor} />
      </Part>
    </View>
  );
}

const styles = StyleSheet.create({
  panel: {
    position: 'absolute',
    top: 0,
    bottom: 0,
    right: 0,
    width: '100%',
    maxWidth: 420,
    borderLeftWidth: 2,
    zIndex: 3,
  },
  /** All floors, and pages, take all of the sheet. */
  sheet: { maxWidth: 'auto' },
  /** The parts of the job stay in view over it. */
  under: { paddingTop: TOUCH + 1 },
});
