import { type Corner, type DerivedFloor, distance, formatLength } from '@velvet-tape/core';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { BarButton } from '../../ui/BarButton';
import { useColours } from '../../ui/theme';
import { planActions } from './plan-slice';
import { selectShownFloor } from './selectors';
import { closeEnd } from './sketching/commands';
import { viewActions } from './view-slice';

/** Outlines left open, said over the sheet; opened up, each end in words with what closes it. */
export function OpenEnds() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const floor = useAppSelector(selectShownFloor);
  const drawing = useAppSelector((state) => state.plan.proposal !== null || state.plan.preview !== null);
  const [open, setOpen] = useState(false);
  const hasOptions = useAppSelector((state) => Object.keys(state.plan.plan?.options ?? {}).length > 0);
  const ends = floor?.openEnds ?? [];
  if (!floor || ends.length === 0 || drawing) return null;
  return (
    <View
      style={[styles.box, hasOptions && styles.below, { backgroundColor: colours.chalk, borderColor: colours.clay }]}
      pointerEvents="auto"
    >
      <BarButton
        icon="alert-circle-outline"
        label={ends.length === 1 ? '1 open end' : `${ends.length} open ends`}
        says={`${ends.length === 1 ? '1 open end' : `${ends.length} open ends`}. ${open ? 'Hide' : 'Show'}`}
        onPress={() => setOpen(!open)}
      />
      {open &&
        ends.map((end, i) => (
          <View key={end.id} style={styles.end}>
            <Text style={[styles.words, { color: colours.ink }]}>{wordsFor(floor, end, i)}</Text>
            <View style={styles.actions}>
              <BarButton
                icon="crosshairs"
                label="Show"
                onPress={() => {
                  dispatch(planActions.selected({ kind: 'corner', id: end.id }));
                  dispatch(viewActions.shown(end));
                }}
              />
              <BarButton
                label="Straight"
                says="Close it straight"
                onPress={() => dispatch(closeEnd(end.id, 'straight'))}
              />
              <BarButton
                label="Squared"
                says="Close it squared"
                onPress={() => dispatch(closeEnd(end.id, 'squared'))}
              />
            </View>
          </View>
        ))}
    </View>
  );
}

function wordsFor(floor: DerivedFloor, end: Corner, i: number): string {
  const others = floor.openEnds.filter((other) => other.id !== end.id);
  const near = others.sort((a, b) => distance(a, end) - distance(b, end))[0];
  const gap = near ? `, ${formatLength(distance(near, end), floor.plan.job.units, 'coarse')} from the next` : '';
  return `End ${i + 1}: a wall ends at nothing${gap}.`;
}

const styles = StyleSheet.create({
  box: {
    position: 'absolute',
    top: 10,
    left: 10,
    maxWidth: 330,
    borderRadius: 10,
    borderWidth: 2,
    padding: 4,
    gap: 4,
  },
  // which option is looked at stands over it
  below: { top: 66 },
  end: { paddingHorizontal: 8, paddingBottom: 4, gap: 4 },
  words: { fontSize: 14 },
  actions: { flexDirection: 'row', gap: 6 },
});
