import {
  type Opening,
  type OpeningInElevation,
  type WallFace,
  drawElevation,
  formatLength,
  openingsInElevation,
  roofLightIn,
  topOfFace,
} from '@velvet-tape/core';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import Svg, { G } from 'react-native-svg';
import { Text } from 'react-native-paper';
import { elevationOfPieces } from '../../../core-later/to-come';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { FONTS, TOUCH, useColours } from '../../../ui/theme';
import { MarkView } from '../MarkView';
import { planActions } from '../plan-slice';
import type { Field } from '../plan-state';
import { selectOpening, selectRoom, selectShownFloor, selectShownPieces } from '../selectors';

/** px; on a wide screen there is more room for it. */
const HEIGHT = 148;
const HIGHER = 176;
const WIDE_STRIP = 700;
/** Left for figures at the left end, and round the drawing, px. */
const FIGURES = 62;
const MARGIN = 10;

/** The chosen wall as someone in the room sees it, with sill, head and ceiling, each of which can be typed. */
export function Elevation({ face }: { face: WallFace }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const units = useAppSelector((state) => state.plan.plan!.job.units);
  const usual = useAppSelector((state) => state.plan.plan!.job.usual.ceilingHeight);
  const derived = useAppSelector(selectShownFloor);
  const chosen = useAppSelector(selectOpening);
  const room = useAppSelector(selectRoom);
  const top = topOfFace(face, room, usual);
  const ceiling = Math.max(...top.flatMap(({ start, end }) => [start, end]));
  const [width, setWidth] = useState(360);
  const high = width > WIDE_STRIP ? HIGHER : HEIGHT;
  const k = Math.min((width - FIGURES - 2 * MARGIN) / Math.max(1, face.length), (high - 2 * MARGIN) / ceiling);
  const left = FIGURES + (width - FIGURES - face.length * k) / 2;
  const floor = high - MARGIN;
  const lights = (opening: Opening) => derived && roofLightIn(derived, opening);
  const pieces = useAppSelector(selectShownPieces);
  const standing = derived ? elevationOfPieces(face, derived, pieces) : [];
  const openings = openingsInElevation(face, top, lights);
  const on = openings.find((each) => each.on.opening.id === chosen?.opening.id);
  const window = on?.on.opening.kind === 'window';
  const up = (mm: number) => floor - mm * k;
  return (
    <View
      testID="elevation"
      accessibilityLabel="The wall seen from inside the room"
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
      style={[styles.elevation, { height: high, backgroundColor: colours.linen, borderColor: colours.brassDeep }]}
    >
      <Svg width={width} height={high}>
        <G transform={`matrix(${k} 0 0 ${k} ${left} ${floor})`}>
          {[...drawElevation(face, top, lights), ...standing].map((mark) => (
            <MarkView key={mark.key} mark={mark} colours={colours} lettering={13 / k} />
          ))}
        </G>
      </Svg>
      {openings.map((each) => (
        <Pressable
          key={each.on.opening.id}
          accessibilityRole="button"
          accessibilityLabel={heightsInWords(each, (mm) => formatLength(mm, units))}
          aria-pressed={each === on}
          onPress={() => dispatch(planActions.selected({ kind: 'opening', id: each.on.opening.id, face: face.key }))}
          style={[
            styles.opening,
            {
              left: left + each.from * k,
              width: (each.to - each.from) * k,
              top: up(each.head),
              height: (each.head - each.sill) * k,
              borderColor: each === on ? colours.brassDeep : 'transparent',
            },
          ]}
        >
          <Text style={[styles.label, { color: colours.ink, backgroundColor: colours.linen }]}>
            {each.on.opening.label}
          </Text>
        </Pressable>
      ))}
      <View style={styles.figures}>
        <Figure
          field="ceiling"
          label="Ceiling"
          value={formatLength(room?.ceilingHeight ?? usual, units)}
          wall={face.key}
        />
        {on && <Figure field={window ? 'head' : 'height'} label="Head" value={formatLength(on.head, units)} />}
        {on && window && <Figure field="sill" label="Sill" value={formatLength(on.sill, units)} />}
      </View>
    </View>
  );
}

const heightsInWords = ({ on, sill, head }: OpeningInElevation, long: (mm: number) => string): string =>
  `${on.opening.label} in elevation: sill ${long(sill)}, head ${long(head)}`;

/** A height at the left end; tapped, it waits to be typed. One of the wall is typed with the wall chosen. */
function Figure({ field, label, value, wall }: { field: Field; label: string; value: string; wall?: string }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const typing = useAppSelector((state) => state.plan.pad.field === field);
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`${label} of the wall: ${value}`}
      aria-pressed={typing}
      onPress={() => {
        if (wall) dispatch(planActions.selected({ kind: 'wall', face: wall }));
        dispatch(planActions.fieldChosen(field));
      }}
      style={[styles.figure, { borderColor: typing ? colours.brassDeep : 'transparent' }]}
    >
      <Text style={[styles.what, { color: colours.inkSoft }]}>{label}</Text>
      <Text style={[styles.value, { color: colours.ink }]}>{value}</Text>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  elevation: { borderTopWidth: 2 },
  opening: { position: 'absolute', borderWidth: 2.5, alignItems: 'center', justifyContent: 'flex-end' },
  label: { fontFamily: FONTS.strong, fontSize: 12, lineHeight: 15, paddingHorizontal: 2 },
  figures: { position: 'absolute', left: 2, top: 0, width: FIGURES },
  figure: { minHeight: TOUCH, borderWidth: 2, borderRadius: 6, paddingHorizontal: 4, justifyContent: 'center' },
  what: { fontSize: 12, lineHeight: 15 },
  value: { fontFamily: FONTS.strong, fontSize: 14, lineHeight: 18, fontVariant: ['tabular-nums'] },
});
