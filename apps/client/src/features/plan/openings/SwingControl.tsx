import type { Opening } from '@velvet-tape/core';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { useColours } from '../../../ui/theme';
import { selectFace, selectOpening } from '../selectors';
import { swingTo } from './commands';
import { FormSign } from './FormSign';

const WAYS = [
  { left: true, into: true, words: 'Hinges left, opens into the room' },
  { left: false, into: true, words: 'Hinges right, opens into the room' },
  { left: true, into: false, words: 'Hinges left, opens out of the room' },
  { left: false, into: false, words: 'Hinges right, opens out of the room' },
] as const;

/** The four ways a door can open, as small plans with the room below, as someone in it sees its wall. */
export function SwingControl() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const on = useAppSelector(selectOpening);
  const face = useAppSelector(selectFace);
  if (!on || !face) return null;
  const { opening } = on;
  // along the face the wall may run from right to left
  const forward = face.halves.find(({ wall }) => wall.id === opening.wall)?.forward ?? true;
  const turned = (left: boolean, into: boolean): Pick<Opening, 'hinge' | 'swing'> => ({
    hinge: left === forward ? 'start' : 'end',
    swing: into === forward ? 'right' : 'left',
  });
  return (
    <View style={[styles.ways, { backgroundColor: colours.linen }]} testID="swing-control">
      {WAYS.map(({ left, into, words }) => {
        const { hinge, swing } = turned(left, into);
        const chosen = opening.hinge === hinge && opening.swing === swing;
        return (
          <Pressable
            key={words}
            accessibilityRole="button"
            accessibilityLabel={words}
            aria-pressed={chosen}
            onPress={() => dispatch(swingTo(hinge, swing))}
            style={[
              styles.way,
              { borderColor: chosen ? colours.brassDeep : colours.linenDeep, backgroundColor: colours.chalk },
            ]}
          >
            <FormSign
              spec={opening}
              turns={{ hinge: left ? 'start' : 'end', swing: into ? 'right' : 'left' }}
              size={76}
            />
            <Text style={[styles.words, { color: colours.ink }]}>{words}</Text>
          </Pressable>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, padding: 8, justifyContent: 'center' },
  way: { width: '48%', minHeight: 116, borderWidth: 3, borderRadius: 8, alignItems: 'center', padding: 4 },
  words: { fontSize: 13, lineHeight: 16, textAlign: 'center' },
});
