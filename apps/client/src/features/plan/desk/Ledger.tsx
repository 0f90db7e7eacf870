import { memo } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { FONTS, TOUCH, useColours } from '../../../ui/theme';
import { lent } from '../later/lent';
import { UnderlayRow } from './UnderlayRow';
import { FloorStrip } from './FloorStrip';

const { PICTURES, bringIn, chooseUnderlay, formatArea, pickFiles, planActions, roughly, selectRoom } = lent();
const { selectShownFloor, selectShownRooms, selectUnderlays, takeTool, useAppDispatch, useAppSelector } = lent();

/** The rooms with their areas, live while something is dragged, and the total. */
export const Ledger = memo(function Ledger() {
  const colours = useColours();
  const floor = useAppSelector(selectShownFloor);
  const rooms = useAppSelector(selectShownRooms);
  const chosen = useAppSelector(selectRoom);
  const dispatch = useAppDispatch();
  const underlays = useAppSelector(selectUnderlays);
  const pick = () =>
    void pickFiles({ accept: PICTURES, camera: false, several: true }).then((files) => dispatch(bringIn(files)));
  if (!floor) return null;
  const { units } = floor.plan.job;
  const area = rooms.reduce((sum, room) => sum + room.measures.area, 0);
  const rough = rooms.some((room) => room.rough);
  return (
    <ScrollView
      style={{ backgroundColor: colours.chalk }}
      contentContainerStyle={styles.ledger}
      accessibilityLabel="Ledger of rooms"
    >
      <Text style={[styles.floor, styles.beside, { color: colours.ink }]}>{floor.name}</Text>
      <FloorStrip />
      {rooms.map((room) => (
        <Row
          key={room.room.id}
          id={room.room.id}
          name={room.room.name || 'Unnamed room'}
          area={roughly(room.rough, formatArea(room.measures.area, units))}
          on={chosen?.room.id === room.room.id}
        />
      ))}
      {rooms.length === 0 && <Text style={{ color: colours.inkSoft }}>No rooms yet.</Text>}
      <View style={[styles.row, { borderColor: colours.linenDeep }]}>
        <Text style={[styles.name, { color: colours.inkSoft }]}>Net internal floor area</Text>
        <Text style={[styles.area, { color: colours.ink }]}>{roughly(rough, formatArea(area, units))}</Text>
      </View>
      <View style={styles.head}>
        <Text style={[styles.floor, styles.under, { color: colours.ink }]}>Underlays</Text>
        <BarButton icon="image-plus" label="Bring in" says="Bring in an underlay" onPress={pick} />
      </View>
      {[...underlays].reverse().map((underlay) => (
        <UnderlayRow
          key={underlay.id}
          underlay={underlay}
          onPress={() => {
            dispatch(takeTool('underlay'));
            dispatch(chooseUnderlay(underlay.id));
          }}
        />
      ))}
    </ScrollView>
  );
});

/** A room and its area; painted again only when one of them changed. */
const Row = memo(function Row({ id, name, area, on }: { id: string; name: string; area: string; on: boolean }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`${name}, ${area}`}
      aria-pressed={on}
      onPress={() => dispatch(planActions.selected({ kind: 'room', id }))}
      style={[styles.row, { borderColor: colours.linenDeep, backgroundColor: on ? colours.linenDeep : undefined }]}
    >
      <Text style={[styles.name, { color: colours.ink }]} numberOfLines={1}>
        {name}
      </Text>
      <Text style={[styles.area, { color: colours.ink }]}>{area}</Text>
    </Pressable>
  );
});

const styles = StyleSheet.create({
  ledger: { padding: 14 },
  floor: { fontFamily: FONTS.serif, fontSize: 20, marginBottom: 8 },
  head: { flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', marginTop: 16 },
  /** The sign that folds the panel away stands beside it. */
  beside: { marginRight: 44 },
  under: { marginBottom: 0, fontSize: 17 },
  row: {
    minHeight: TOUCH,
    flexDirection: 'row',
    alignItems: 'center',
    justifyContent: 'space-between',
    gap: 8,
    borderBottomWidth: StyleSheet.hairlineWidth,
    paddingHorizontal: 6,
  },
  name: { flex: 1, fontSize: 16 },
  area: { fontFamily: FONTS.strong, fontSize: 16, fontVariant: ['tabular-nums'] },
});
