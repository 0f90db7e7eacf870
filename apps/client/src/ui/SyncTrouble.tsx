import { StyleSheet, View } from 'react-native';
import { Button, Icon, Text } from 'react-native-paper';
import type { Trouble } from '../sync/database';
import { useColours } from './theme';

/** What is wrong with a job, and what can be done about it. */
export function SyncTrouble({
  trouble,
  onAgain,
  onPutBack,
}: {
  trouble: Trouble;
  onAgain: () => void;
  onPutBack: () => void;
}) {
  const colours = useColours();
  return (
    <View style={[styles.trouble, { borderColor: colours.clay }]} testID="trouble">
      <View style={styles.line}>
        <Icon source="cloud-alert" size={20} color={colours.clay} />
        <Text style={[styles.words, { color: colours.clay }]}>{`${WORDS[trouble.what]} ${trouble.message}`}</Text>
      </View>
      <View style={styles.line}>
        {trouble.what === 'lost' ? (
          <Button mode="outlined" onPress={onPutBack} contentStyle={styles.tall}>
            Put it there again
          </Button>
        ) : (
          <Button mode="outlined" onPress={onAgain} contentStyle={styles.tall}>
            Try again
          </Button>
        )}
      </View>
    </View>
  );
}

const WORDS = {
  refused: 'Kept on this device; the server did not take it.',
  lost: 'Kept on this device.',
  broken: 'Kept on this device; the server could not save it and is asked again.',
};

const styles = StyleSheet.create({
  trouble: { borderWidth: 1, borderRadius: 10, padding: 10, gap: 6 },
  line: { flexDirection: 'row', gap: 8, alignItems: 'center', flexWrap: 'wrap' },
  words: { flex: 1, minWidth: 200, fontSize: 15 },
  tall: { minHeight: 44 },
});
