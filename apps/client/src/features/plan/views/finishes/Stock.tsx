import type { FinishLook, FinishStuff } from '@velvet-tape/core';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { laterRooms } from '../../../../core-later/to-come';
import { useColours } from '../../../../ui/theme';
import { lent } from '../../later/lent';
import { Swatch } from './Swatch';

const { PAINT_CHART, PAINT_FAMILIES, READY_LOOKS, lightReflectanceValue, painted } = laterRooms();
const { useKeptFinishes } = lent();

const isSame = (a: FinishLook | null, b: FinishLook): boolean =>
  a !== null && a.stuff === b.stuff && a.name === b.name && a.colour.toLowerCase() === b.colour.toLowerCase();

/** What lies ready of a stuff: first what is kept, of paint the chart by its families. */
export function Stock({
  stuff,
  now,
  take,
}: {
  stuff: FinishStuff;
  now: FinishLook | null;
  take(look: FinishLook): void;
}) {
  const kept = useKeptFinishes().flatMap(({ spec }) => (spec.stuff === stuff ? [spec] : []));
  const groups: (readonly [string, readonly FinishLook[]])[] =
    stuff === 'paint'
      ? PAINT_FAMILIES.map((family) => [
          family,
          PAINT_CHART.filter((each) => each.family === family).map(({ colour, name }) => painted(colour, name)),
        ])
      : [['ready', READY_LOOKS.filter((each) => each.stuff === stuff)]];
  return (
    <ScrollView style={styles.stock} testID="stock">
      {[...(kept.length > 0 ? [['kept', kept] as const] : []), ...groups].map(([group, looks]) => (
        <View key={group} style={styles.group} role="group" aria-label={group}>
          {looks.map((look, i) => (
            <Swatch
              key={`${look.name} ${i}`}
              look={look}
              chosen={isSame(now, look)}
              says={
                stuff === 'paint' ? `${look.name}, reflects ${lightReflectanceValue(look.colour)} of 100` : look.name
              }
              onPress={() => take(look)}
            />
          ))}
        </View>
      ))}
    </ScrollView>
  );
}

/** What is on it, by name and with how much light it gives back. */
export function NowOn({ look }: { look: FinishLook | null }) {
  const colours = useColours();
  if (!look) return <Text style={[styles.now, { color: colours.inkSoft }]}>As it was built</Text>;
  const reflects = look.stuff === 'paint' ? `, LRV ${lightReflectanceValue(look.colour)}` : '';
  return (
    <Text style={[styles.now, { color: colours.ink }]} testID="finish-now">
      {`${look.name || look.stuff}${reflects}`}
    </Text>
  );
}

const styles = StyleSheet.create({
  stock: { maxHeight: 166, flexGrow: 0 },
  group: { flexDirection: 'row', flexWrap: 'wrap', gap: 5, paddingHorizontal: 10, paddingBottom: 6 },
  now: { flex: 1, minWidth: 120, fontSize: 15, lineHeight: 19 },
});
