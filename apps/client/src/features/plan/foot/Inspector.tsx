import { ScrollView, StyleSheet, View } from 'react-native';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { BarButton } from '../../../ui/BarButton';
import { useCoarse } from '../../../ui/use-coarse';
import { SideTiles, useSides } from '../chosen/parts';
import { Naming } from '../NamePrompt';
import { OpeningWords } from '../openings/OpeningWords';
import { planActions } from '../plan-slice';
import { Contradiction } from '../readings/Contradiction';
import { RoomCard } from '../RoomCard';
import { MarksWords } from '../underlay/MarksBar';
import { UnderlayPanel } from '../underlay/UnderlayPanel';
import { WalkClosing } from '../walk/WalkClosing';
import { FieldBar } from './FieldBar';
import { NumberPad } from './NumberPad';
import { SideTabs } from './SideTabs';

/** At the side of a wide screen: all about what is chosen or drawn. Figures are typed straight into their fields; the pad comes when it is asked for, or under fingers. */
export function Inspector() {
  const naming = useAppSelector((state) => state.plan.naming);
  const closing = useAppSelector((state) => state.plan.proposal?.kind === 'walk' && state.plan.proposal.closing);
  const drawn = useAppSelector((state) => state.plan.proposal !== null);
  const { sides, shown } = useSides();
  // what has room of its own is named; what can be done is in view anyway
  const named = sides.filter(({ panel, Content }) => panel === null || Content);
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
      <UnderlayPanel />
      {!naming && <RoomCard walls />}
    </ScrollView>
  );
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
  all: { paddingBottom: 12 },
  ask: { paddingHorizontal: 8, alignItems: 'flex-start' },
});
