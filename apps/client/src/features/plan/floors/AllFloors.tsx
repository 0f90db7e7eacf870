import type { Box, Plan } from '@velvet-tape/core';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { FONTS, useColours } from '../../../ui/theme';
import { ListBar } from '../later/ListPanel';
import { lent } from '../later/lent';

const { FloorPicture, FloorsOver, deriveFloor, edit, floorsInOrder, ringsBox, useAppDispatch } = lent();

/** px */
const HEIGHT = 300;
/** px */
const NARROWEST = 215;

/** All floors at one scale, beside each other as far as there is room, or over each other; any of them left out. */
export function AllFloors({ plan, over }: { plan: Plan; over: boolean }) {
  const colours = useColours();
  const dispatch = useAppDispatch();
  const [width, setWidth] = useState(0);
  const floors = [...floorsInOrder(plan)].reverse();
  const shown = floors.filter(({ hidden }) => !hidden);
  // as many beside each other as there is room for, all as wide, so that all are at one scale
  const beside = Math.max(1, Math.min(shown.length, Math.floor(width / NARROWEST)));
  const box = ringsBox(floors.flatMap(({ id }) => deriveFloor(plan, id).bodies.map(({ ring }) => ring))) as Box | null;
  return (
    <ScrollView contentContainerStyle={styles.all} tabIndex={0}>
      <ListBar>
        {floors.map(({ id, name, hidden }) => (
          <BarButton
            key={id}
            label={name}
            says={`Show ${name}`}
            chosen={!hidden}
            onPress={() => dispatch(edit({ kind: 'changeFloor', floor: id, hidden: !hidden }))}
          />
        ))}
      </ListBar>
      {!box && <Text style={styles.none}>Nothing is drawn on any floor yet.</Text>}
      {box && over && <FloorsOver plan={plan} floors={shown.map(({ id }) => id)} box={box} height={1.4 * HEIGHT} />}
      {box && !over && (
        <View style={styles.beside} onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}>
          {shown.map(({ id, name }) => (
            <View key={id} style={{ width: `${100 / beside}%` }}>
              <Text style={[styles.name, { color: colours.ink }]}>{name}</Text>
              <FloorPicture plan={plan} floor={id} box={box} height={HEIGHT} says={`Plan of ${name}`} />
            </View>
          ))}
        </View>
      )}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  all: { paddingBottom: 14, gap: 6 },
  beside: { flexDirection: 'row', flexWrap: 'wrap' },
  name: { fontFamily: FONTS.serif, fontSize: 17, paddingHorizontal: 14, paddingVertical: 4 },
  none: { padding: 16, fontSize: 15 },
});
