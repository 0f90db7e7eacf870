import { memo } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { BarButton } from '../../../ui/BarButton';
import { useCoarse } from '../../../ui/use-coarse';
import { lent } from '../later/lent';
import { WallTable } from './WallTable';

const { Contradiction, FieldBar, MarksWords, Naming, NumberPad, OpeningWords, RoomCard, SideTabs, SideTiles } = lent();
const { UnderlayPanel, WalkClosing, planActions, selectFloor, selectRoom } = lent();
const { useAppDispatch, useAppSelector, useSides } = lent();

/** At the side of a wide screen: all about what is chosen or drawn. Figures are typed straight into their fields; the pad comes when it is asked for, or under fingers. */
export const Inspector = memo(function Inspector() {
  const naming = useAppSelector((state) => state.plan.naming);
  const closing = useAppSelector((state) => state.plan.proposal?.kind === 'walk' && state.plan.proposal.closing);
  const drawn = useAppSelector((state) => state.plan.proposal !== null);
  const picture = useAppSelector((state) => state.plan.selection.kind === 'underlay');
  const { sides, shown } = useSides();
  // what has room of its own is named; what can be done is in view anyway
  const named = sides.filter(({ panel, Content }) => panel === null || panel === 'type' || Content);
  const Own = drawn || shown?.panel === null ? null : shown?.Content;
  return (
    <ScrollView contentContainerStyle={styles.all}>
      <Contradiction />
      <OpeningWords />
      <MarksWords />
      <WalkClosing />
      {naming && <Naming />}
      {!closing && <FieldBar />}
      <Pad />
      {!drawn && <SideTabs sides={named} shown={shown} />}
      {Own ? <Own /> : !drawn && sides.map((side) => <SideTiles key={side.label} side={side} />)}
      {picture && <UnderlayPanel />}
      {!naming && <RoomCard walls />}
      {!naming && <Walls />}
    </ScrollView>
  );
});

function Walls() {
  const room = useAppSelector(selectRoom);
  const floor = useAppSelector(selectFloor);
  return room && floor && <WallTable room={room} floor={floor} />;
}

function Pad() {
  const dispatch = useAppDispatch();
  const field = useAppSelector((state) => state.plan.pad.field);
  const wanted = useAppSelector((state) => state.plan.choices.pad);
  const coarse = useCoarse();
  if (!field) return null;
  if (coarse || wanted) return <NumberPad />;
  return (
    <View style={styles.ask}>
      <BarButton icon="dialpad" label="Number pad" onPress={() => dispatch(planActions.choicesMade({ pad: true }))} />
    </View>
  );
}

const styles = StyleSheet.create({
  all: { paddingTop: 44, paddingBottom: 12 },
  ask: { paddingHorizontal: 8, alignItems: 'flex-start' },
});
