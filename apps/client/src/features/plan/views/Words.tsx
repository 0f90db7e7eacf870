import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { useColours } from '../../../ui/theme';

/** A sentence in the place of the house. */
export function Words({ text }: { text: string }) {
  const colours = useColours();
  return (
    <View style={styles.empty}>
      <Text style={[styles.text, { color: colours.ink }]}>{text}</Text>
    </View>
  );
}

export const NO_WEBGL =
  'This browser draws nothing in space: WebGL is off, or there is none. The plan, its sheets and the glTF file are there all the same.';
export const NOT_RAISED =
  'The house could not be raised here. Without a connection what does it may not be on the device yet.';
export const NOTHING_YET =
  'There is nothing to raise yet. Draw a room, and it stands here with its walls as high as its ceiling.';

const styles = StyleSheet.create({
  empty: { flex: 1, alignItems: 'center', justifyContent: 'center', padding: 30 },
  text: { fontSize: 16.5, lineHeight: 23, textAlign: 'center', maxWidth: 420 },
});
