import type { FinishLook } from '@velvet-tape/core';
import { createElement, memo } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { laterRooms } from '../../../../core-later/to-come';
import { useColours } from '../../../../ui/theme';

const { colourAt, laidOf } = laterRooms();

const SIDE = 48;

/** A finish as it looks: of what has a pattern so much that one sees how it is laid. */
export function Swatch({
  look,
  chosen,
  says,
  onPress,
}: {
  look: FinishLook;
  chosen: boolean;
  says: string;
  onPress(): void;
}) {
  const colours = useColours();
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={says}
      aria-pressed={chosen}
      onPress={onPress}
      style={({ pressed }) => [
        styles.swatch,
        { borderColor: chosen ? colours.brassDeep : colours.rim, opacity: pressed ? 0.6 : 1 },
        chosen && styles.chosen,
      ]}
    >
      {look.stuff === 'paint' ? (
        <View style={[styles.colour, { backgroundColor: look.colour }]} />
      ) : look.stuff === 'picture' ? (
        <Text style={{ color: colours.inkSoft }}>…</Text>
      ) : (
        <Pattern look={look} />
      )}
    </Pressable>
  );
}

/** How much of it is shown, mm: a few units of what is laid, else half a metre. */
function shown(look: FinishLook): number {
  if (look.stuff === 'wallpaper') return look.along;
  if (look.stuff === 'carpet') return 120;
  return Math.min(1200, Math.max(150, 3.2 * Math.min(look.along, 4 * look.across), laidOf(look).v / 8));
}

const Pattern = memo(function Pattern({ look }: { look: FinishLook }) {
  const painted = (canvas: HTMLCanvasElement | null) => {
    const context = canvas?.getContext('2d');
    if (!context) return;
    const at = colourAt(look);
    const size = shown(look) / SIDE;
    const angle = (look.turn * Math.PI) / 180;
    const image = context.createImageData(SIDE, SIDE);
    for (let y = 0; y < SIDE; y += 1)
      for (let x = 0; x < SIDE; x += 1) {
        const [a, b] = [(x + 0.5) * size, (SIDE - y - 0.5) * size];
        const [r, g, l] = at(a * Math.cos(angle) + b * Math.sin(angle), b * Math.cos(angle) - a * Math.sin(angle));
        image.data.set([r, g, l, 255], 4 * (y * SIDE + x));
      }
    context.putImageData(image, 0, 0);
  };
  return createElement('canvas', { ref: painted, width: SIDE, height: SIDE, 'aria-hidden': true });
});

const styles = StyleSheet.create({
  swatch: {
    width: SIDE,
    height: SIDE,
    borderWidth: 1,
    borderRadius: 10,
    overflow: 'hidden',
    alignItems: 'center',
    justifyContent: 'center',
  },
  chosen: { borderWidth: 3 },
  colour: { width: SIDE, height: SIDE },
});
