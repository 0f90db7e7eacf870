import type { Box, Plan } from '@velvet-tape/core';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { FONTS, useColours } from '../../../ui/theme';
import { ListBar } from '../later/ListPanel';
import { lent } from '../later/lent';

const { FloorPicture, FloorsOver, deriveFloor, edit, floorsInOrder, ringsBox, useAppDispatch } = lent();

/** px */
const HEIGHT = 250;

/** All floors at one scale, one under the other as they lie, or over each other; any of them left out. */
export function AllFloors({ plan, over }: { plan: Plan; over: boolean }) {
  const colours = useColours();
  const dispatch = useAppDispatch();
  const floors = [...floorsInOrder(plan)].reverse();
  const shown = floors.filter(({ hidden }) => !hidden);
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
      {box &&
        !over &&
        shown.map(({ id, name }) => (
          <View key={id}>
            <Text style={[styles.name, { color: colours.ink }]}>{name}</Text>
            <FloorPicture plan={plan} floor={id} box={box} height={HEIGHT} says={`Plan of ${name}`} />
          </View>
        ))}
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  all: { paddingBottom: 14, gap: 6 },
  name: { fontFamily: FONTS.serif, fontSize: 17, paddingHorizontal: 14, paddingVertical: 4 },
  none: { padding: 16, fontSize: 15 },
});
