import { StyleSheet, View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { useColours } from '../../../ui/theme';
import { lent } from '../later/lent';

const { chooseLine, endOfWalk, keepProposal, useAppDispatch, useAppSelector, walkEndInWords } = lent();

/** How a walk closes: by how much it misses, what would spread it, which wall alone could explain it. */
export default function WalkClosing() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const proposal = useAppSelector((state) => state.plan.proposal);
  const units = useAppSelector((state) => state.plan.plan!.job.units);
  if (proposal?.kind !== 'walk' || !proposal.closing) return null;
  const end = endOfWalk(proposal);
  const { words, again, suspects } = walkEndInWords(
    end,
    proposal.lines.map(({ length }) => length),
    units,
  );
  return (
    <View
      testID="walk-closing"
      role={again ? 'alert' : 'status'}
      style={[styles.card, { borderColor: again ? colours.clay : colours.moss, backgroundColor: colours.chalk }]}
    >
      <View style={styles.line}>
        <Icon
          source={again ? 'alert-outline' : 'check-circle-outline'}
          size={22}
          color={again ? colours.clay : colours.moss}
        />
        <Text style={[styles.words, { color: colours.ink }]}>{words}</Text>
      </View>
      <View style={styles.actions}>
        <BarButton
          strong={!again}
          icon="check"
          label={suspects.length === 0 ? 'Keep' : 'Keep, spread it'}
          onPress={() => dispatch(keepProposal)}
        />
        {suspects.slice(0, 2).map((leg) => (
          <BarButton
            key={leg}
            strong={again}
            label={`Wall ${leg + 1} again`}
            onPress={() => dispatch(chooseLine(leg))}
          />
        ))}
        <BarButton label="Not yet" onPress={() => dispatch(chooseLine(null))} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  card: { borderWidth: 2, borderRadius: 10, margin: 8, padding: 10, gap: 8 },
  line: { flexDirection: 'row', gap: 8, alignItems: 'flex-start' },
  words: { flex: 1, fontSize: 16, lineHeight: 21 },
  actions: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
});
