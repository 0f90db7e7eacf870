import type { Underlay } from '@velvet-tape/core';
import { Pressable, StyleSheet } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { TOUCH, useColours } from '../../../ui/theme';

/** An underlay in a list. */
export function UnderlayRow({ underlay, onPress }: { underlay: Underlay; onPress(): void }) {
  const colours = useColours();
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`Underlay ${underlay.name}`}
      onPress={onPress}
      style={[styles.listed, { borderColor: colours.linenDeep }]}
    >
      <Icon source={underlay.hidden ? 'eye-off-outline' : 'image-outline'} size={18} color={colours.inkSoft} />
      <Text style={[styles.listedName, { color: colours.ink }]} numberOfLines={1}>
        {underlay.name}
      </Text>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  listed: {
    minHeight: TOUCH,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    borderBottomWidth: StyleSheet.hairlineWidth,
    paddingHorizontal: 6,
  },
  listedName: { flex: 1, fontSize: 15 },
});
