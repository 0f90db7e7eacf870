import { StyleSheet, View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { FONTS, useColours } from '../../../ui/theme';
import { lent } from '../later/lent';

const { deriveFloor, edit, floorBeside, selectStairs, stairChecks, stepsInWords } = lent();
const { useAppDispatch, useAppSelector } = lent();

const RULES = [
  ['general', 'General'],
  ['UK', 'UK'],
  ['US', 'US'],
] as const;

/** What is said of the chosen stairs, what is wrong first, with where that stands, and whose rules they are held against. */
export default function StairsChecks() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const on = useAppSelector(selectStairs);
  const plan = useAppSelector((state) => state.plan.plan);
  const typing = useAppSelector((state) => state.plan.pad.field !== null);
  if (!on || !plan) return null;
  const { units, stairRule } = plan.job;
  const above = floorBeside(plan, on.stair.floor, 'above');
  const checks = stairChecks(on, deriveFloor(plan, on.stair.floor), above ? deriveFloor(plan, above.id) : undefined);
  // while a figure is typed only what it breaks
  const shown = typing ? checks.filter(({ ok }) => !ok).slice(0, 1) : checks;
  return (
    <View style={styles.all} testID="stairs-checks">
      {!typing && (
        <View style={styles.line}>
          <Text style={[styles.steps, { color: colours.ink }]}>{stepsInWords(on, units)}</Text>
          {RULES.map(([rule, label]) => (
            <BarButton
              key={rule}
              label={label}
              says={`Rules: ${label}`}
              chosen={stairRule === rule}
              onPress={() => dispatch(edit({ kind: 'chooseStairRule', rule }))}
            />
          ))}
        </View>
      )}
      {shown.map(({ what, ok, words, source }) => (
        <View key={what} style={styles.check}>
          <Icon source={ok ? 'check' : 'alert-outline'} size={18} color={ok ? colours.moss : colours.clay} />
          <Text style={[styles.words, { color: ok ? colours.inkSoft : colours.ink }]}>
            {words}
            <Text style={{ color: colours.inkSoft }}>{` (${source})`}</Text>
          </Text>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { paddingHorizontal: 12, paddingVertical: 4, gap: 4 },
  line: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 6 },
  steps: { flexGrow: 1, fontFamily: FONTS.strong, fontSize: 16, fontVariant: ['tabular-nums'] },
  check: { flexDirection: 'row', gap: 6, alignItems: 'flex-start' },
  words: { flex: 1, fontSize: 14, lineHeight: 19 },
});
