import type { Look, Underlay } from '@velvet-tape/core';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { useColours } from '../../../ui/theme';
import { lent } from '../later/lent';

const { changeChosen, useAppDispatch } = lent();

const SLIDES = [
  ['opacity', 'Opacity', 0.1, 1],
  ['brightness', 'Brightness', 0.4, 2],
  ['contrast', 'Contrast', 0.4, 3],
] as const;
const STEP = 0.1;

/** How strongly the picture shows, and how its ink stands off its paper. */
export function LookPanel({ underlay }: { underlay: Underlay }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const { look } = underlay;
  const change = (made: Partial<Look>) => dispatch(changeChosen({ look: { ...look, ...made } }));
  return (
    <View style={styles.panel}>
      {SLIDES.map(([name, label, least, most]) => {
        const by = (step: number) =>
          change({ [name]: Math.min(most, Math.max(least, Math.round((look[name] + step) * 10) / 10)) });
        return (
          <View key={name} style={styles.row} accessible={false}>
            <Text style={[styles.label, { color: colours.ink }]}>{label}</Text>
            <BarIcon icon="minus" says={`Less ${name}`} onPress={() => by(-STEP)} />
            <Text
              testID={`look-${name}`}
              style={[styles.value, { color: colours.ink }]}
            >{`${Math.round(look[name] * 100)} %`}</Text>
            <BarIcon icon="plus" says={`More ${name}`} onPress={() => by(STEP)} />
          </View>
        );
      })}
      <BarButton
        icon="invert-colors"
        label="Invert"
        says={look.inverted ? 'Dark on light again' : 'Invert light and dark'}
        chosen={look.inverted}
        onPress={() => change({ inverted: !look.inverted })}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  panel: { paddingHorizontal: 14, paddingBottom: 4, alignItems: 'flex-start' },
  row: { flexDirection: 'row', alignItems: 'center' },
  label: { width: 96, fontSize: 15 },
  value: { width: 62, textAlign: 'center', fontSize: 15, fontVariant: ['tabular-nums'] },
});
