import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Icon, Text } from 'react-native-paper';
import { FONTS, useColours } from './theme';

/** Named signs side by side, as many rows as it takes: nothing has to be pushed along to be found. */
export const Tiles = ({ children }: { children: ReactNode }) => <View style={styles.tiles}>{children}</View>;

interface Props {
  icon: string;
  label: string;
  /** What a screen reader says; the label unless said. */
  says?: string;
  chosen?: boolean;
  strong?: boolean;
  onPress(): void;
}

/** A sign with its name under it, for a thumb. */
export function Tile({ icon, label, says = label, chosen, strong = false, onPress }: Props) {
  const colours = useColours();
  const filled = strong || chosen === true;
  const ink = filled ? colours.onVelvet : colours.ink;
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={says}
      {...(chosen !== undefined && { 'aria-pressed': chosen })}
      onPress={onPress}
      style={({ pressed }) => [
        styles.tile,
        {
          backgroundColor: filled ? colours.velvet : colours.chalk,
          borderColor: filled ? colours.velvet : colours.rim,
          opacity: pressed ? 0.6 : 1,
        },
      ]}
    >
      <Icon source={icon} size={22} color={ink} />
      <Text style={[styles.label, { color: ink }]} numberOfLines={2}>
        {label}
      </Text>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  tiles: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, paddingHorizontal: 8, paddingVertical: 6 },
  tile: {
    flexGrow: 1,
    flexBasis: '22%',
    maxWidth: '33%',
    minHeight: 60,
    borderRadius: 8,
    borderWidth: 1,
    alignItems: 'center',
    justifyContent: 'center',
    paddingHorizontal: 2,
    paddingVertical: 4,
  },
  label: { fontFamily: FONTS.sans, fontSize: 12.5, lineHeight: 15, textAlign: 'center' },
});
