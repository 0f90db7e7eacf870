import {
  type DerivedFloor,
  type DerivedRoom,
  MM_PER_INCH,
  placeOnFloorInWords,
  formatSize,
  valueInWords,
  valueOnPlan,
  whatNext,
} from '@velvet-tape/core';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { useAppDispatch } from '../../../store/store';
import { BarButton } from '../../../ui/BarButton';
import { useColours } from '../../../ui/theme';
import { measureAgain } from './commands';

/** The one reading that would make the room most certain, and by how much. */
export function WhatNext({ floor, room }: { floor: DerivedFloor; room: DerivedRoom }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const next = useMemo(() => whatNext(floor.survey, room), [floor, room]);
  if (!next) return null;
  const { place, before, after } = next;
  const value = valueOnPlan(floor.network, place);
  const size = value === null ? '' : ` of ≈ ${valueInWords(place, value, floor.plan.job.units, 'coarse')}`;
  const what = `the ${placeOnFloorInWords(floor, place)}${size}`;
  const { units } = floor.plan.job;
  const within = (mm: number) =>
    units === 'metric' ? `${Math.max(1, Math.round(mm))} mm` : formatSize(Math.max(MM_PER_INCH / 16, mm), units);
  return (
    <View style={styles.row}>
      <Text style={[styles.words, { color: colours.inkSoft }]}>
        {`Would help most: ${what}. Lengths ± ${within(before)} → ± ${within(after)}.`}
      </Text>
      <BarButton icon="ruler" label="Measure it" onPress={() => dispatch(measureAgain(place))} />
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  words: { flex: 1, fontSize: 14, lineHeight: 18 },
});
