import type { PieceKind } from '@velvet-tape/core/pieces';
import { useRef } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { useColours } from '../../../ui/theme';
import { PieceSign } from './PieceSign';
import { useDragOnto } from './use-drag-onto';

/** A kind in the tray: tapped it is in hand, dragged out it goes where it is let go of. */
export function PieceTile({ kind, chosen, take }: { kind: PieceKind; chosen: boolean; take(form: string): void }) {
  const colours = useColours();
  const host = useRef<View>(null);
  useDragOnto(host, kind.id);
  return (
    <Pressable
      ref={host}
      accessibilityRole="button"
      accessibilityLabel={kind.name}
      accessibilityHint="Tap, then tap where it goes; or drag it there"
      aria-pressed={chosen}
      onPress={() => take(kind.id)}
      style={[
        styles.tile,
        { borderColor: chosen ? colours.brassDeep : colours.linenDeep, backgroundColor: colours.chalk },
      ]}
    >
      <PieceSign kind={kind} size={40} />
      <Text style={[styles.name, { color: colours.ink }]} numberOfLines={2}>
        {kind.name}
      </Text>
    </Pressable>
  );
}

export const TILES = StyleSheet.create({
  all: { flexDirection: 'row', flexWrap: 'wrap', gap: 6, width: '100%' },
});

const styles = StyleSheet.create({
  tile: {
    flexBasis: '22%',
    flexGrow: 1,
    maxWidth: '24.5%',
    minHeight: 78,
    borderRadius: 8,
    borderWidth: 2,
    alignItems: 'center',
    justifyContent: 'space-evenly',
    padding: 2,
  },
  name: { fontSize: 12, lineHeight: 13.5, textAlign: 'center' },
});
