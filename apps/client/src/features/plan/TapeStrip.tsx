import {
  type OpeningOnFace,
  type Point,
  type WallFace,
  MM_PER_INCH,
  agrees,
  formatLength,
  lengthToSay,
  roughly,
} from '@velvet-tape/core';
import { useEffect, useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useStore } from 'react-redux';
import { randomSeed } from '../../store/seed';
import { type RootState, useAppDispatch, useAppSelector } from '../../store/store';
import { listenToPointers } from '../../ui/pointer-listeners';
import { FONTS, type HouseColours, useColours } from '../../ui/theme';
import { edit, preview } from './edit';
import { planActions } from './plan-slice';
import { selectFace, selectOpening } from './selectors';

const HEIGHT = 92;
const TAPE_TOP = 50;
const TAPE = 26;
const SIDE = 14;

/**
 * The selected wall unrolled as a brass tape, left end to right end as seen from inside the room, with its
 * openings standing on it and the gaps between them. Openings are dragged along it.
 */
export function TapeStrip() {
  const face = useAppSelector(selectFace);
  return face && <Strip face={face} />;
}

function Strip({ face }: { face: WallFace }) {
  const opening = useAppSelector(selectOpening);
  const units = useAppSelector((state) => state.plan.plan?.job.units ?? 'metric');
  const [width, setWidth] = useState(360);
  const host = useRef<View>(null);
  const colours = useColours();
  useStripInput(host, width);
  const k = (width - 2 * SIDE) / Math.max(1, face.length);
  const x = (mm: number) => SIDE + mm * k;
  const rough = face.provenance === 'rough';
  const said = agrees(face) ? face.provenance : `${formatLength(face.reading!.value, units)} taped does not fit`;
  return (
    <View
      ref={host}
      testID="tape-strip"
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
          />
        ))}
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
            {`${roughly(rough, formatLength(lengthToSay(face), units, rough ? 'coarse' : 'fine'))} · ${said}`}
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

/** The gaps between corners and openings, by what they lie between. */
function gaps(face: WallFace): { key: string; from: number; to: number }[] {
  if (face.openings.length === 0) return [];
  const list = face.openings.flatMap((on, i) => [
    { key: `gap-${i}`, from: i === 0 ? 0 : face.openings[i - 1]!.to, to: on.from },
    { key: `width-${i}`, from: on.from, to: on.to },
  ]);
  return [...list, { key: `gap-${face.openings.length}`, from: face.openings.at(-1)!.to, to: face.length }];
}

function Gap({ from, to, text, id }: { from: number; to: number; text: string; id: string }) {
  const wide = to - from > text.length * 6.4;
  const opening = id.startsWith('width');
  return (
    <SvgText
      testID={`strip-${id}`}
      x={(from + to) / 2}
      y={opening ? 14 : 44}
      textAnchor="middle"
      fontFamily={FONTS.sans}
      fontSize={wide ? 12.5 : 10}
      fill={LINEN}
      opacity={wide || opening ? 1 : 0.85}
    >
      {text}
    </SvgText>
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
  const door = on.opening.kind === 'door';
  const top = door ? 20 : 24;
  const foot = door ? TAPE_TOP : TAPE_TOP - 8;
  return (
    <G testID={`strip-${on.opening.kind}`} accessibilityLabel={on.opening.kind}>
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
      {!door && (
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

/** Taps choose an opening on the strip, drags move it. */
function useStripInput(host: React.RefObject<View | null>, width: number): void {
  const dispatch = useAppDispatch();
  const store = useStore<RootState>();
  useEffect(() => {
    const element = host.current as unknown as HTMLElement | null;
    if (!element) return;
    let drag: {
      id: string;
      face: WallFace;
      from: Point;
      offset: number;
      width: number;
      seed: string;
      moved: boolean;
    } | null = null;
    const down = (at: Point, event: PointerEvent) => {
      const face = selectFace(store.getState());
      if (!face) return;
      const k = (width - 2 * SIDE) / face.length;
      const mm = (at.x - SIDE) / k;
      const slack = 12 / k;
      const on = face.openings.find((o) => mm >= o.from - slack && mm <= o.to + slack);
      if (!on) {
        dispatch(planActions.selected({ kind: 'wall', face: face.key }));
        return;
      }
      element.setPointerCapture(event.pointerId);
      if (
        store.getState().plan.selection.kind !== 'opening' ||
        selectOpening(store.getState())?.opening.id !== on.opening.id
      ) {
        dispatch(planActions.selected({ kind: 'opening', id: on.opening.id, face: face.key }));
      }
      drag = {
        id: on.opening.id,
        face,
        from: at,
        offset: on.from,
        width: on.to - on.from,
        seed: randomSeed(),
        moved: false,
      };
    };
    const intentAt = (at: Point) => {
      const { face, id, offset, from } = drag!;
      const k = (width - 2 * SIDE) / face.length;
      const most = Math.max(0, face.length - drag!.width);
      const along = Math.min(most, Math.max(0, Math.round((offset + (at.x - from.x) / k) / 10) * 10));
      return {
        kind: 'changeOpening',
        floor: store.getState().plan.floor,
        opening: id,
        place: { face: face.key, end: 'left', offset: along },
      } as const;
    };
    const move = (at: Point) => {
      if (!drag || (!drag.moved && Math.abs(at.x - drag.from.x) < 5)) return;
      drag.moved = true;
      dispatch(preview(intentAt(at), drag.seed));
    };
    const up = (at: Point) => {
      if (drag?.moved) dispatch(edit(intentAt(at), drag.seed));
      drag = null;
    };
    const lost = () => {
      if (drag?.moved) dispatch(preview(null, drag.seed));
      drag = null;
    };
    return listenToPointers(element, { down, move, up, lost });
  }, [dispatch, host, store, width]);
}

const styles = StyleSheet.create({ strip: { height: HEIGHT, width: '100%' } });
