import { memo, type ComponentType } from 'react';
import { ScrollView, StyleSheet, View, useWindowDimensions } from 'react-native';
import { IconButton } from 'react-native-paper';
import { type Command, type RootState, useAppDispatch, useAppSelector } from '../../../store/store';
import { TOUCH } from '../../../ui/theme';
import { Calm } from '../Calm';
import { type Side, SideTiles, useSides } from '../chosen/parts';
import { takeTool } from '../commands';
import { Naming } from '../NamePrompt';
import { OpeningWords } from '../openings/OpeningWords';
import { planActions } from '../plan-slice';
import { Contradiction } from '../readings/Contradiction';
import { RoomCard } from '../RoomCard';
import { ProposalBelow, partsOf } from '../sketching/parts';
import { MarksWords } from '../underlay/pieces';
import { WalkClosing } from '../walk/pieces';
import { FieldBar } from './FieldBar';
import { NumberPad } from './NumberPad';
import { SideTabs } from './SideTabs';
import { ToolOptions } from './ToolOptions';
import { Toolbar } from './Toolbar';

/** Something is drawn and not kept yet, and no finger is at it; while marks are set what is said about them stays. */
const drawn = ({ plan: { proposal }, view: { finger } }: RootState): boolean =>
  proposal !== null && (finger === null || proposal.kind === 'marks');

/** What is going on, and what stands at the foot of a phone then: the first that holds. Another part of a job is a line here. */
const STANDS: readonly { readonly when: (state: RootState) => boolean; readonly Foot: ComponentType }[] = [
  { when: ({ plan }) => plan.naming !== null, Foot: Naming },
  { when: (state) => drawn(state) && isClosing(state), Foot: WalkClosing },
  { when: drawn, Foot: DrawingFoot },
  { when: ({ plan }) => plan.selection.kind !== 'nothing', Foot: ChosenFoot },
  { when: () => true, Foot: Toolbar },
];

const isClosing = ({ plan: { proposal } }: RootState): boolean => proposal?.kind === 'walk' && proposal.closing;

/** The foot of a phone, under the thumb; turned, it stands at the side. */
export const Foot = memo(function Foot() {
  const at = useAppSelector((state) => STANDS.findIndex(({ when }) => when(state)));
  const { Foot: Own } = STANDS[at]!;
  return <Own />;
});

/** While something is drawn and not kept yet: its sizes, what can be done with it, and the pad. */
function DrawingFoot() {
  const options = useAppSelector(({ plan: { proposal } }) => proposal !== null && partsOf(proposal).options);
  const field = useAppSelector((state) => state.plan.pad.field);
  const dragging = useAppSelector((state) => state.view.finger !== null);
  return (
    <View>
      {options && <ToolOptions />}
      <MarksWords />
      <FieldBar />
      {field && !dragging && <NumberPad />}
      <ProposalBelow />
    </View>
  );
}

/** What is to be said of it, its sides, and the one that is looked at. */
function ChosenFoot() {
  const { sides, shown, strip } = useSides();
  const typing = useAppSelector((state) => state.plan.pad.field !== null);
  // the wall seen from inside takes the place of words about the room
  const down = useAppSelector(({ plan }) => plan.selection.kind === 'room' && plan.choices.cardDown);
  const elevation = useAppSelector((state) => state.plan.choices.elevation);
  // of what has no readings there is nothing to contradict
  const quiet = useAppSelector(({ plan: { selection } }) => ['stairs', 'note', 'piece'].includes(selection.kind));
  if (down && !typing)
    return (
      <View>
        <Contradiction brief />
        <RoomCard />
      </View>
    );
  return (
    <View>
      {strip ? !elevation && <Contradiction brief /> : shown?.panel === null && !typing && !quiet && <Contradiction />}
      {strip && <OpeningWords />}
      <SideTabs sides={sides} shown={shown} />
      <Calm>{shown && <SideShown side={shown} />}</Calm>
    </View>
  );
}

/** What stands at the foot is no higher than this share of the window, and no lower than so many px; the rest is scrolled to. */
const MOST = 0.5;
const LEAST = 270;

/** Figures are typed in their place; what can be done stands there as tiles, else what the side has of its own. */
function SideShown({ side }: { side: Side }) {
  const typing = useAppSelector((state) => state.plan.pad.field !== null);
  const { panel, Tiles, Content, yields } = side;
  const most = Math.max(LEAST, MOST * useWindowDimensions().height);
  const figures = panel === null || panel === 'type';
  return (
    <>
      {figures && <FieldBar />}
      {Tiles && !(typing && (panel === 'type' || yields)) && (
        <ScrollView style={styles.tiles}>
          <SideTiles side={side} />
        </ScrollView>
      )}
      {figures && typing ? (
        <NumberPad />
      ) : (
        Content && (
          <ScrollView style={[styles.tiles, { maxHeight: most }]}>
            <Content />
          </ScrollView>
        )
      )}
    </>
  );
}

/** Done with what is chosen; with a picture, rooms answer again. */
const done: Command = (dispatch, getState) => {
  const { selection } = getState().plan;
  dispatch(planActions.selected({ kind: 'nothing' }));
  if (selection.kind === 'underlay') dispatch(takeTool('choose'));
};

/** At the side of the sheet, over the foot: done with what is chosen. */
export function DoneButton() {
  const dispatch = useAppDispatch();
  const chosen = useAppSelector(({ plan }) => plan.selection.kind !== 'nothing' && plan.naming === null);
  const drawing = useAppSelector(({ plan }) => plan.proposal !== null);
  const left = useAppSelector((state) => state.plan.choices.left);
  if (!chosen || drawing) return null;
  return (
    <IconButton
      mode="contained"
      icon="close"
      accessibilityLabel="Done"
      onPress={() => dispatch(done)}
      style={[styles.done, left ? styles.atLeft : styles.atRight]}
    />
  );
}

const styles = StyleSheet.create({
  atLeft: { left: 8 },
  atRight: { right: 8 },
  done: { position: 'absolute', bottom: 8, width: TOUCH, height: TOUCH, margin: 0 },
  tiles: { flexGrow: 0, maxHeight: 280 },
});
