import {
  type OpeningInElevation,
  type WallFace,
  drawElevation,
  formatLength,
  labelOf,
  openingsInElevation,
} from '@velvet-tape/core';
import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import Svg, { G } from 'react-native-svg';
import { Text } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { FONTS, useColours } from '../../../ui/theme';
import { MarkView } from '../MarkView';
import { type Field, planActions } from '../plan-slice';
import { selectOpening, selectRoom } from '../selectors';

/** px; on a wide screen there is more room for it. */
const HEIGHT = 148;
const HIGHER = 204;
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
  const chosen = useAppSelector(selectOpening);
  const ceiling = useAppSelector(selectRoom)?.ceilingHeight ?? usual;
  const [width, setWidth] = useState(360);
  const high = width > WIDE_STRIP ? HIGHER : HEIGHT;
  const k = Math.min((width - FIGURES - 2 * MARGIN) / Math.max(1, face.length), (high - 2 * MARGIN) / ceiling);
  const left = FIGURES + (width - FIGURES - face.length * k) / 2;
  const floor = high - MARGIN;
  const openings = openingsInElevation(face, ceiling);
  const on = openings.find((each) => each.on.opening.id === chosen?.opening.id);
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
          {drawElevation(face, ceiling).map((mark) => (
            <MarkView key={mark.key} mark={mark} colours={colours} lettering={13 / k} />
          ))}
        </G>
      </Svg>
      {openings.map((each) => (
        <Pressable
          key={each.on.opening.id}
          accessibilityRole="button"
          accessibilityLabel={heightsInWords(each, (mm) => formatLength(mm, units))}
          aria-selected={each === on}
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
            {labelOf(each.on.opening)}
          </Text>
        </Pressable>
      ))}
      <Figure at={up(ceiling)} field="ceiling" label="Ceiling" value={formatLength(ceiling, units)} />
      {on && (
        <Figure
          at={Math.max(up(on.head), up(ceiling) + 34)}
          field="head"
          label="Head"
          value={formatLength(on.head, units)}
        />
      )}
      {on && on.on.opening.kind === 'window' && (
        <Figure
          at={Math.max(up(on.sill), up(on.head) + 34, up(ceiling) + 68)}
          field="sill"
          label="Sill"
          value={formatLength(on.sill, units)}
        />
      )}
    </View>
  );
}

const heightsInWords = ({ on, sill, head }: OpeningInElevation, long: (mm: number) => string): string =>
  `${labelOf(on.opening)} in elevation: sill ${long(sill)}, head ${long(head)}`;

/** A height at the left end; tapped, it waits to be typed. */
function Figure({ at, field, label, value }: { at: number; field: Field; label: string; value: string }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const typing = useAppSelector((state) => state.plan.pad.field === field);
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={`${label} of the wall: ${value}`}
      aria-selected={typing}
      onPress={() => dispatch(planActions.fieldChosen(field))}
      style={[styles.figure, { top: Math.max(0, at - 8), borderColor: typing ? colours.brassDeep : 'transparent' }]}
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
  figure: {
    position: 'absolute',
    left: 2,
    width: FIGURES,
    minHeight: 32,
    borderWidth: 2,
    borderRadius: 6,
    paddingHorizontal: 4,
  },
  what: { fontSize: 11, lineHeight: 13 },
  value: { fontFamily: FONTS.strong, fontSize: 13, lineHeight: 15, fontVariant: ['tabular-nums'] },
});
