import type { DerivedRoom, OpeningOnFace, WallFace } from '@velvet-tape/core';
import { memo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { useColours } from '../../../ui/theme';
import { lent } from '../later/lent';

const { finenessOf, formatArea, formatLength, goToFace, lengthToSay, planActions, roughly, selectFloor } = lent();
const { capital, selectRoom, standAt, stepsInWords, useAppDispatch, useAppSelector, vantagesInOrder } = lent();

/**
 * The plan in words, for whoever does not see it or has no pointer: its rooms, then the walls of the chosen one, then what stands in them. Each is chosen by
 * its button, which is seen while it has the focus.
 */
export default function PlanOutline() {
  const dispatch = useAppDispatch();
  const floor = useAppSelector(selectFloor);
  const chosen = useAppSelector(selectRoom);
  const kept = useAppSelector((state) => state.plan.plan?.vantages);
  if (!floor || !kept) return null;
  const { units } = floor.plan.job;
  const rooms = floor.rooms.map((room) => ({
    key: room.room.id,
    says: roomInWords(room),
    choose: () => dispatch(planActions.selected({ kind: 'room', id: room.room.id })),
  }));
  const name = chosen?.room.name || 'this room';
  const walls = (chosen?.faces ?? []).map((face, i) => ({
    key: face.key,
    says: `Wall ${i + 1} of ${name}: ${wallInWords(face)}`,
    choose: () => dispatch(goToFace(face.key)),
  }));
  const openings = (chosen?.faces ?? []).flatMap((face, i) =>
    face.openings.map((on) => ({
      key: on.opening.id,
      says: `${openingInWords(on)}, in wall ${i + 1} of ${name}`,
      choose: () => dispatch(planActions.selected({ kind: 'opening', id: on.opening.id, face: face.key })),
    })),
  );
  const stairs = floor.stairs.map((on) => ({
    key: on.stair.id,
    says: `${on.stair.form === 'stairs' ? 'Stairs' : capital(on.stair.form)} ${on.fromAbove ? 'down' : 'up'}, ${stepsInWords(on, units)}`,
    choose: () => dispatch(planActions.selected({ kind: 'stairs', id: on.stair.id })),
  }));
  const { dimensions, annotations } = floor.plan;
  const notes = [
    ...Object.values(dimensions).map(({ id, floor: on, form, laid }) => ({
      ...{ id, on, of: 'dimensions' as const },
      says: laid ? 'String of dimensions' : `Dimension: ${form}`,
    })),
    ...Object.values(annotations).map(({ id, floor: on, form, text, sign }) => ({
      ...{ id, on, of: 'annotations' as const },
      says: `Note: ${text || sign || form}`,
    })),
  ]
    .filter(({ on }) => on === floor.floor)
    .map(({ id, of, says }) => ({
      key: id,
      says,
      choose: () => dispatch(planActions.selected({ kind: 'note', of, id })),
    }));
  const vantages = vantagesInOrder({ vantages: kept }).flatMap(({ id, floor: on, name }) =>
    on === floor.floor
      ? [{ key: id, says: `Vantage: ${name}. Look from it`, choose: () => dispatch(standAt({ vantage: id })) }]
      : [],
  );
  return (
    <View role="navigation" accessibilityLabel={`What is on ${floor.name}`} style={styles.all}>
      {[...rooms, ...stairs, ...walls, ...openings, ...notes, ...vantages].map((each) => (
        <Line key={each.key} says={each.says} choose={each.choose} />
      ))}
    </View>
  );

  function roomInWords({ room, measures, rough, faces }: DerivedRoom): string {
    const holds = faces.flatMap((face) => face.openings.map(({ opening }) => opening.label)).join(', ');
    const area = roughly(rough, formatArea(measures.area, units));
    return `${room.name || 'Unnamed room'}, ${area}, ${faces.length} walls${holds && `, ${holds}`}. Choose`;
  }

  function wallInWords(face: WallFace): string {
    const rough = face.provenance === 'rough';
    return `${roughly(rough, formatLength(lengthToSay(face), units, finenessOf(face.provenance)))}, ${face.provenance}`;
  }

  function openingInWords({ opening }: OpeningOnFace): string {
    const { label, form, width, height } = opening;
    return `${label}, ${form}, ${formatLength(width, units)} by ${formatLength(height, units)}`;
  }
}

/** What it chooses is known by its key: it is drawn again when it says something else. */
const Line = memo(
  function Line({ says, choose }: { says: string; choose(): void }) {
    const colours = useColours();
    const [focused, setFocused] = useState(false);
    return (
      <Pressable
        accessibilityRole="button"
        accessibilityLabel={says}
        onPress={choose}
        onFocus={() => setFocused(true)}
        onBlur={() => setFocused(false)}
        style={
          focused ? [styles.shown, { backgroundColor: colours.chalk, borderColor: colours.brassDeep }] : styles.unseen
        }
      >
        {focused && <Text style={{ color: colours.ink }}>{says}</Text>}
      </Pressable>
    );
  },
  (a, b) => a.says === b.says,
);

const styles = StyleSheet.create({
  all: { position: 'absolute', top: 8, left: 8, zIndex: 5, pointerEvents: 'box-none' },
  unseen: { position: 'absolute', width: 1, height: 1, overflow: 'hidden', pointerEvents: 'none' },
  shown: { borderWidth: 2, borderRadius: 8, paddingHorizontal: 12, minHeight: 44, justifyContent: 'center' },
});
