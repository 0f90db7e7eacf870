import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { BarChart } from 'react-native-gifted-charts';
import { Text } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { FONTS, useColours } from '../../../ui/theme';

/** Room names longer than this are cut at the foot of their bar; they stand in full beside. */
const SHORT = 9;

/** A room by how much of its floor its glass is; the area of it in words. */
export interface GlazedRoom {
  readonly id: string;
  readonly name: string;
  readonly glazing: string | null;
  readonly share: number;
}

/** How much of each room's floor its glass is, against a rule. It knows nothing of plans: the library of charts comes with it, and only when it is looked at. */
export default function GlazingChart({
  rooms,
  rules,
}: {
  rooms: readonly GlazedRoom[];
  rules: readonly { readonly name: string; readonly share: number }[];
}) {
  const colours = useColours();
  const [at, setAt] = useState(0);
  const rule = rules[at]!;
  const percent = (share: number) => Math.round(1000 * share) / 10;
  const most = Math.max(percent(rule.share) * 1.5, ...rooms.map(({ share }) => percent(share)));
  const top = Math.ceil(most / 5) * 5;
  const axis = { color: colours.inkSoft, fontSize: 12, fontFamily: FONTS.sans };
  return (
    <View style={styles.chart} testID="glazing-chart">
      <View style={styles.rules}>
        {rules.map(({ name }, i) => (
          <BarButton key={name} label={name} chosen={i === at} onPress={() => setAt(i)} />
        ))}
      </View>
      <View
        accessible
        accessibilityRole="image"
        accessibilityLabel={`Glass as a share of the floor: ${rooms.map(({ name, share }) => `${nameOf(name)} ${percent(share)} %`).join(', ')}`}
      >
        <BarChart
          data={rooms.map(({ name, share }) => ({
            value: percent(share),
            label: nameOf(name).slice(0, SHORT),
            frontColor: share >= rule.share ? colours.moss : colours.clay,
          }))}
          maxValue={top}
          noOfSections={5}
          height={190}
          barWidth={30}
          spacing={22}
          initialSpacing={16}
          disableScroll={rooms.length < 7}
          barBorderTopLeftRadius={3}
          barBorderTopRightRadius={3}
          yAxisLabelSuffix=" %"
          yAxisLabelWidth={44}
          yAxisTextStyle={axis}
          xAxisLabelTextStyle={axis}
          yAxisColor={colours.inkSoft}
          xAxisColor={colours.inkSoft}
          rulesColor={colours.linenDeep}
          showReferenceLine1
          referenceLine1Position={percent(rule.share)}
          referenceLine1Config={{ color: colours.ink, dashWidth: 6, dashGap: 4, thickness: 1.5 }}
        />
      </View>
      {rooms.map(({ id, name, glazing, share }) => (
        <View key={id} style={[styles.row, { borderColor: colours.linenDeep }]}>
          <Text style={[styles.name, { color: colours.ink }]}>{nameOf(name)}</Text>
          <Text style={[styles.figure, { color: colours.ink }]}>
            {glazing === null ? 'none outside' : `${glazing}, ${percent(share)} %`}
          </Text>
          <Text style={[styles.enough, { color: share >= rule.share ? colours.moss : colours.clay }]}>
            {share >= rule.share ? 'enough' : 'too little'}
          </Text>
        </View>
      ))}
    </View>
  );
}

const nameOf = (name: string): string => name || 'Unnamed';

const styles = StyleSheet.create({
  chart: { paddingHorizontal: 12, paddingBottom: 16, gap: 10 },
  rules: { flexDirection: 'row', flexWrap: 'wrap', gap: 6 },
  row: { flexDirection: 'row', gap: 8, paddingVertical: 6, borderBottomWidth: StyleSheet.hairlineWidth },
  name: { flex: 1, fontSize: 15 },
  figure: { fontSize: 15, fontFamily: FONTS.strong, fontVariant: ['tabular-nums'] },
  enough: { width: 72, fontSize: 14, textAlign: 'right' },
});
