import type { RoomColour } from '@velvet-tape/core';
import { Pressable, StyleSheet } from 'react-native';
import { TOUCH, useColours } from '../../../ui/theme';
import { lent } from '../later/lent';

const { ROOM_COLOURS, capital } = lent();

/** The tints of the house, and none. */
export function Swatches({ now, take }: { now: RoomColour | null; take(colour: RoomColour | null): void }) {
  const colours = useColours();
  return [null, ...ROOM_COLOURS].map((colour) => (
    <Pressable
      key={colour ?? 'none'}
      accessibilityRole="button"
      accessibilityLabel={colour ? `Tint: ${capital(colour)}` : 'No tint'}
      aria-pressed={now === colour}
      onPress={() => take(colour)}
      style={[
        styles.swatch,
        {
          backgroundColor: colour ? colours.tints[colour] : colours.floor,
          borderColor: now === colour ? colours.brassDeep : colours.rim,
          borderWidth: now === colour ? 3 : 1,
        },
      ]}
    />
  ));
}

const styles = StyleSheet.create({
  swatch: { width: TOUCH, height: TOUCH, borderRadius: 10 },
});
