import { overBelow, overBelowInWords } from '@velvet-tape/core';
import { StyleSheet, View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { BarButton } from '../../../ui/BarButton';
import { useColours } from '../../../ui/theme';
import { edit } from '../edit';
import { selectFace, selectFloor, selectOpening } from '../selectors';
import { useChecks } from './use-checks';
import { misclosureAlong, readAgain } from './reading-along';

/** What is to be said about the chosen opening before it is built, and what does not add up along the chosen wall. */
export function OpeningWords() {
  const dispatch = useAppDispatch();
  const floor = useAppSelector(selectFloor);
  const face = useAppSelector(selectFace);
  const opening = useAppSelector(selectOpening)?.opening;
  const checks = useChecks(floor);
  const plan = useAppSelector((state) => state.plan.plan);
  if (!floor || !face) return null;
  const along = misclosureAlong(floor, face);
  const about = opening
    ? checks.filter(({ openings, advice }) => !advice && openings.includes(opening.id)).slice(0, along ? 1 : 2)
    : [];
  const suspect = along?.misclosure.suspects[0].reading;
  const off = !opening && plan ? overBelow(plan, floor.floor).find((each) => each.face.key === face.key) : null;
  return (
    <>
      {off && <Line words={overBelowInWords(off, floor.plan.job.units)} advice={false} />}
      {along && (
        <Line words={along.words} advice={false}>
          {suspect && suspect !== 'wall' && (
            <>
              <BarButton label="Read again" onPress={() => dispatch(readAgain(suspect))} />
              <BarButton
                label="Loosen it"
                onPress={() => dispatch(edit({ kind: 'loosenReading', reading: suspect.id }))}
              />
            </>
          )}
        </Line>
      )}
      {about.map(({ words, advice }) => (
        <Line key={words} words={words} advice={advice} />
      ))}
    </>
  );
}

function Line({ words, advice, children }: { words: string; advice: boolean; children?: React.ReactNode }) {
  const colours = useColours();
  const colour = advice ? colours.inkSoft : colours.clay;
  return (
    <View
      testID="opening-words"
      role={advice ? 'note' : 'alert'}
      style={[styles.line, { borderColor: colour, backgroundColor: colours.chalk }]}
    >
      <View style={styles.said}>
        <Icon source={advice ? 'information-outline' : 'alert-outline'} size={20} color={colour} />
        <Text style={[styles.words, { color: colours.ink }]}>{words}</Text>
      </View>
      {children && <View style={styles.actions}>{children}</View>}
    </View>
  );
}

const styles = StyleSheet.create({
  line: { borderTopWidth: 2, paddingHorizontal: 10, paddingVertical: 4, gap: 4 },
  said: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  actions: { flexDirection: 'row', gap: 6, paddingLeft: 28 },
  words: { flex: 1, fontSize: 13.5, lineHeight: 17 },
});
