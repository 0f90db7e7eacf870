import type { AreaReport } from '@velvet-tape/core/areas';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { FONTS, useColours } from '../../../ui/theme';
import { lent } from '../later/lent';

const { areaInWords, capital, planActions, surfaceContains, takeTool, useAppDispatch, useAppSelector, useAreas } =
  lent();

/** What counts on the floor by the rule, or by two, and why the piece that was tapped does. */
export default function AreaWords() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const areas = useAreas();
  return (
    <View style={styles.all} testID="area-words">
      {areas === 'failed' && (
        <Text style={{ color: colours.clay }}>
          The areas could not be worked out. Load the page again, then try once more.
        </Text>
      )}
      {areas && areas !== 'failed' && areas.reports.map((report) => <Rule key={report.rule.name} report={report} />)}
      <View style={styles.row}>
        <BarButton icon="table" label="Table" onPress={() => dispatch(planActions.listed('areas'))} />
        <BarButton icon="close" label="Done" onPress={() => dispatch(takeTool('choose'))} />
      </View>
    </View>
  );
}

function Rule({ report: { rule, table } }: { report: AreaReport }) {
  const colours = useColours();
  const floor = useAppSelector((state) => state.plan.floor);
  const pointed = useAppSelector((state) => state.plan.pointed);
  const own = table.floors.find((each) => each.floor === floor);
  const piece = pointed && own?.pieces.find(({ rings }) => surfaceContains(rings, pointed));
  const room = piece && own?.lines.find((line) => line.room === piece.room)?.name;
  const words = (mm2: number) => areaInWords(mm2, rule.rounding);
  return (
    <View>
      <Text style={[styles.total, { color: colours.ink }]}>
        {`${capital(rule.name)}: ${words(own?.counted ?? 0)} on this floor, ${words(table.counted)} in all`}
      </Text>
      <Text testID={`why ${rule.name}`} style={[styles.why, { color: colours.inkSoft }]}>
        {piece
          ? `${room ?? 'Walls'}, ${words(piece.area)} × ${Math.round(piece.share * 100)} %: ${piece.reason}`
          : pointed
            ? 'There is no floor there.'
            : 'Tap the floor: why does it count?'}
      </Text>
    </View>
  );
}

const styles = StyleSheet.create({
  all: { width: '100%', gap: 4, paddingHorizontal: 4 },
  row: { flexDirection: 'row', gap: 6 },
  total: { fontFamily: FONTS.strong, fontSize: 15, lineHeight: 20 },
  why: { fontSize: 14.5, lineHeight: 19 },
});
