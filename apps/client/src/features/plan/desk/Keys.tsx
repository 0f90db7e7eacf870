import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { FONTS, useColours } from '../../../ui/theme';
import { ListPanel } from '../later/ListPanel';
import { lent } from '../later/lent';

const { KEYS, TOOL_WORDS } = lent();

/** What the keyboard does. */
export default function Keys() {
  return (
    <ListPanel title="Keys" testID="keys" downloads={[]}>
      <ScrollView contentContainerStyle={styles.all} tabIndex={0}>
        <Lines of={KEYS} />
        <Lines of={Object.values(TOOL_WORDS).map(({ key, label, does }) => [key, `${label}: ${does}`] as const)} />
      </ScrollView>
    </ListPanel>
  );
}

function Lines({ of }: { of: readonly (readonly [string, string])[] }) {
  const colours = useColours();
  return (
    <View style={styles.lines}>
      {of.map(([key, what]) => (
        <View key={key} style={styles.line}>
          <Text style={[styles.key, { color: colours.ink }]}>{key}</Text>
          <Text style={[styles.what, { color: colours.inkSoft }]}>{what}</Text>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  all: { paddingHorizontal: 14, paddingBottom: 14, gap: 18 },
  lines: { gap: 6 },
  line: { flexDirection: 'row', gap: 10 },
  key: { fontFamily: FONTS.strong, fontSize: 15, width: 84 },
  what: { flex: 1, fontSize: 15, lineHeight: 20 },
});
