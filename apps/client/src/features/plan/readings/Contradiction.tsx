import { type Misclosure, misclosureInWords, misclosuresIn } from '@velvet-tape/core';
import { StyleSheet, View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { BarButton } from '../../../ui/BarButton';
import { useColours } from '../../../ui/theme';
import { selectFloor, selectRoom } from '../selectors';
import { hold, measureAgain, spread } from './commands';
import { useMisclosures } from './use-misclosures';

/**
 * Readings that contradict each other in the chosen room (or anywhere, while nothing is chosen), and what can be done about
 * it. `brief`: in words only, where there is little room.
 */
export function Contradiction({ brief = false }: { brief?: boolean }) {
  const floor = useAppSelector(selectFloor);
  const room = useAppSelector(selectRoom);
  const all = useMisclosures(floor);
  const [misclosure, ...others] = room ? misclosuresIn(all, room) : all;
  return misclosure ? <Card misclosure={misclosure} others={others.length} brief={brief} /> : null;
}

function Card({ misclosure, others, brief }: { misclosure: Misclosure; others: number; brief: boolean }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const units = useAppSelector((state) => state.plan.plan!.job.units);
  const { suspects, again } = misclosure;
  const [first] = suspects;
  return (
    <View
      testID="contradiction"
      role="alert"
      style={[brief ? styles.brief : styles.card, { borderColor: colours.clay, backgroundColor: colours.chalk }]}
    >
      <View style={styles.line}>
        <Icon source="alert-outline" size={22} color={colours.clay} />
        <Text style={[brief ? styles.few : styles.words, { color: colours.ink }]}>
          {misclosureInWords(misclosure, units)}
          {others > 0 && ` And ${others} more.`}
        </Text>
      </View>
      {!brief && (
        <View style={styles.actions}>
          <BarButton strong={again} label="Measure again" onPress={() => dispatch(measureAgain(first.reading))} />
          <BarButton label="Spread it" onPress={() => dispatch(spread(misclosure))} />
          <BarButton label="Hold this one" onPress={() => dispatch(hold(first.reading.id, true))} />
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  brief: { borderTopWidth: 2, paddingHorizontal: 10, paddingVertical: 4 },
  few: { flex: 1, fontSize: 13.5, lineHeight: 17 },
  card: { borderWidth: 2, borderRadius: 10, margin: 8, padding: 8, gap: 6 },
  line: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
  words: { flex: 1, fontSize: 15, lineHeight: 20 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});
