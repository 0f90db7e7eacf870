import {
  type GapReading,
  type OpeningOnFace,
  type WallFace,
  MM_PER_INCH,
  agrees,
  formatLength,
  finenessOf,
  lengthToSay,
  roughly,
} from '@velvet-tape/core';
import { useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useAppSelector } from '../../../store/store';
import { FONTS, type HouseColours, useColours } from '../../../ui/theme';
import { spotEnds } from '../openings/reading-along';
import { selectFace, selectFloor, selectGapSpot, selectOpening } from '../selectors';
import { Elevation } from './Elevation';
import { SIDE, stripScale } from './scale';
import { useStripInput } from './use-strip-input';

/** A reading that is off by less is written as the same figure, mm. */
const SEEN = 0.5;

const HEIGHT = 92;
const TAPE_TOP = 50;
const TAPE = 26;

/**
 * The selected wall unrolled as a brass tape, left end to right end as seen from inside the room, with its
 * openings standing on it and the gaps between them. Openings are dragged along it.
 */
export function TapeStrip() {
  const face = useAppSelector(selectFace);
  const elevation = useAppSelector((state) => state.plan.choices.elevation);
  if (!face) return null;
  return (
    <View>
      {elevation && face.halves[0]!.wall.kind !== 'chalk' && <Elevation face={face} />}
      <Strip face={face} />
    </View>
  );
}

function Strip({ face }: { face: WallFace }) {
  const opening = useAppSelector(selectOpening);
  const units = useAppSelector((state) => state.plan.plan?.job.units ?? 'metric');
  const [width, setWidth] = useState(360);
  const host = useRef<View>(null);
  const colours = useColours();
  useStripInput(host, width);
  const { x } = stripScale(face, width);
  const spot = useAppSelector(selectGapSpot);
  const floor = useAppSelector(selectFloor);
  const read = floor?.gaps.filter(({ from, to }) => from === face.from && to === face.to) ?? [];
  const rough = face.provenance === 'rough';
  const taped = face.reading && formatLength(face.reading.value, units);
  // what was read stands beside what it was fitted to
  const differs = face.reading !== null && Math.abs(face.reading.value - lengthToSay(face)) > SEEN;
  const said = !agrees(face)
    ? `${taped} taped does not fit`
    : differs
      ? `${face.provenance} ${taped}`
      : face.provenance;
  return (
    <View
      ref={host}
      testID="tape-strip"
      role="group"
      accessibilityLabel={`Tape strip: wall of ${roughly(rough, formatLength(lengthToSay(face), units))}, ${said}`}
      onLayout={(event) => setWidth(event.nativeEvent.layout.width)}
      style={[styles.strip, { backgroundColor: colours.velvet }]}
    >
      <Svg width={width} height={HEIGHT}>
        <Rect x={SIDE} y={TAPE_TOP} width={width - 2 * SIDE} height={TAPE} fill={colours.brass} rx={2} />
        <Path d={ticks(face.length, units, x)} stroke={INK} strokeWidth={1} />
        <Rect x={SIDE - 5} y={TAPE_TOP - 3} width={5} height={TAPE + 6} fill={METAL} />
        <Rect x={width - SIDE} y={TAPE_TOP - 3} width={5} height={TAPE + 6} fill={METAL} />
        {face.openings.map((on) => (
          <Standing
            key={on.opening.id}
            on={on}
            x={x}
            chosen={on.opening.id === opening?.opening.id}
            colours={colours}
          />
        ))}
        {gaps(face).map((gap) => (
          <Gap
            key={gap.key}
            from={x(gap.from)}
            to={x(gap.to)}
            text={formatLength(gap.to - gap.from, units)}
            id={gap.key}
            read={isReadOver(read, gap)}
          />
        ))}
        {spot && <Reaching {...spotEnds(face, spot)} x={x} colour={colours.brass} />}
        {face.openings.length === 0 && (
          <SvgText
            x={width / 2}
            y={30}
            textAnchor="middle"
            fontFamily={FONTS.strong}
            fontSize={20}
            fill={LINEN}
            testID="strip-length"
          >
            {`${roughly(rough, formatLength(lengthToSay(face), units, finenessOf(face.provenance)))} · ${said}`}
          </SvgText>
        )}
      </Svg>
    </View>
  );
}

// the tape is brass in the light and in the dark
const INK = '#211524';
const METAL = '#C9C3CB';
const LINEN = '#F8F2E7';

interface StripGap {
  readonly key: string;
  readonly from: number;
  readonly to: number;
  /** The opening before it, and the one after it; of a width both are the opening itself. */
  readonly after: string | null;
  readonly before: string | null;
}

/** The gaps between corners and openings, and the openings, by what they lie between. */
function gaps({ openings, length }: WallFace): StripGap[] {
  if (openings.length === 0) return [];
  const list = openings.flatMap(({ opening, from, to }, i): StripGap[] => {
    const last = openings[i - 1];
    return [
      { key: `gap-${i}`, from: last?.to ?? 0, to: from, after: last?.opening.id ?? null, before: opening.id },
      { key: `width-${i}`, from, to, after: opening.id, before: opening.id },
    ];
  });
  const last = openings.at(-1)!;
  return [...list, { key: `gap-${openings.length}`, from: last.to, to: length, after: last.opening.id, before: null }];
}

/** Are both ends of a gap where a tape was read to? */
const isReadOver = (readings: readonly GapReading[], { after, before }: StripGap): boolean =>
  [after, before].every(
    (id) =>
      id === null ||
      readings.some(({ a, b }) => [a, b].some((mark) => typeof mark !== 'string' && mark.opening === id)),
  );

/** A gap that was read stands over the tape in full, one that was only placed with the sign of what is rough. */
function Gap({ from, to, text, id, read }: { from: number; to: number; text: string; id: string; read: boolean }) {
  const wide = to - from > text.length * 6.4;
  const opening = id.startsWith('width');
  return (
    <SvgText
      testID={`strip-${id}`}
      x={(from + to) / 2}
      y={opening ? 14 : 44}
      textAnchor="middle"
      fontFamily={read ? FONTS.strong : FONTS.sans}
      fontSize={wide ? 12.5 : 10}
      fill={read ? '#E9C46A' : LINEN}
      opacity={wide || opening ? 1 : 0.85}
    >
      {text}
    </SvgText>
  );
}

/** What is read now: from a mark to a mark, over the tape. */
function Reaching({ from, to, x, colour }: { from: number; to: number; x: (mm: number) => number; colour: string }) {
  const y = TAPE_TOP + TAPE + 7;
  return (
    <G testID="reaching">
      <Path
        d={`M ${x(from)} ${y - 5} v 10 M ${x(from)} ${y} H ${x(to)} M ${x(to)} ${y - 5} v 10`}
        stroke={colour}
        strokeWidth={2.5}
      />
      <Line x1={x(to)} y1={16} x2={x(to)} y2={y} stroke={colour} strokeWidth={1.5} strokeDasharray="3 3" />
    </G>
  );
}

function Standing({
  on,
  x,
  chosen,
  colours,
}: {
  on: OpeningOnFace;
  x: (mm: number) => number;
  chosen: boolean;
  colours: HouseColours;
}) {
  const left = x(on.from);
  const width = x(on.to) - left;
  const window = on.opening.kind === 'window';
  const top = window ? 24 : 20;
  const foot = window ? TAPE_TOP - 8 : TAPE_TOP;
  return (
    <G testID={`strip-${on.opening.kind}`} accessibilityLabel={on.opening.label}>
      <Rect
        x={left}
        y={top}
        width={width}
        height={foot - top}
        fill={chosen ? colours.brass : 'none'}
        fillOpacity={0.35}
        stroke={chosen ? colours.brass : LINEN}
        strokeWidth={chosen ? 2.5 : 1.5}
      />
      {window && (
        <Line x1={left} y1={(top + foot) / 2} x2={left + width} y2={(top + foot) / 2} stroke={LINEN} strokeWidth={1} />
      )}
      <Rect
        x={left}
        y={TAPE_TOP}
        width={width}
        height={TAPE}
        fill={chosen ? colours.deepVelvet : INK}
        fillOpacity={chosen ? 0.35 : 0.16}
      />
      {width > 24 && (
        <SvgText
          x={left + width / 2}
          y={TAPE_TOP + TAPE - 8}
          textAnchor="middle"
          fontFamily={FONTS.strong}
          fontSize={12}
          fill={INK}
        >
          {on.opening.label}
        </SvgText>
      )}
    </G>
  );
}

/** Ticks every decimetre or inch, longer at every half metre or foot; fewer where they would run together. */
function ticks(length: number, units: 'metric' | 'imperial', x: (mm: number) => number): string {
  const [small, long] = units === 'metric' ? [100, 5] : [MM_PER_INCH, 12];
  const every = (x(small) - x(0)) * 1 >= 4 ? 1 : long;
  const parts: string[] = [];
  for (let i = 0; i * small <= length; i += every) {
    const size = i % long === 0 ? TAPE * 0.62 : TAPE * 0.32;
    parts.push(`M ${x(i * small)} ${TAPE_TOP} v ${size}`);
  }
  return parts.join(' ');
}

const styles = StyleSheet.create({ strip: { height: HEIGHT, width: '100%' } });
