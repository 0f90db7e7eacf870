import {
  type DerivedRoom,
  type OpeningOnFace,
  type Point,
  type Ring,
  type SlopeOnFloor,
  type SolidOnFloor,
  type StairOnFloor,
  type WallFace,
  bandAlong,
  headingAt,
  lineAlong,
  moved,
  partOf,
  pointAt,
  rightOf,
} from '@velvet-tape/core';
import { pathData } from '@velvet-tape/formats';
import { Circle, G, Path } from '../../../ui/svg';
import type { HouseColours } from '../../../ui/theme';
import { bendHandle } from '../tools/grips';
import { Dot, type Paint, THIN } from '../overlay/paint';

const depthOf = (face: WallFace): number => Math.max(...face.halves.map((half) => half.left + half.right), 60);

/** The stretches of a face between its openings. */
function gapsOf(face: WallFace): { from: number; to: number }[] {
  const ends = [0, ...face.openings.flatMap((on) => [on.from, on.to]), face.length];
  return Array.from({ length: ends.length / 2 }, (_, i) => ({ from: ends[2 * i]!, to: ends[2 * i + 1]! }));
}

/** The chosen wall in brass, with the handle that moves it, the one that bends it, and its corners. */
export function FaceMark({
  face,
  rooms,
  reach,
  colours,
  px,
}: Paint & { face: WallFace; rooms: readonly DerivedRoom[]; reach: number }) {
  const depth = depthOf(face);
  const bands = gapsOf(face)
    .filter(({ from, to }) => to > from)
    .map(({ from, to }) => bandAlong(partOf(face.course, from, to), depth, 0));
  const middle = face.length / 2;
  const grip = pointAt(face.course, middle, -depth / 2);
  const d = headingAt(face.course, middle);
  const inward = rightOf(d);
  const arrow = (way: 1 | -1) => {
    const tip = moved(grip, inward, way * 17 * px);
    const side = (k: 1 | -1) => moved(moved(grip, inward, way * 11 * px), d, k * 5 * px);
    return `M ${side(1).x} ${side(1).y} L ${tip.x} ${tip.y} L ${side(-1).x} ${side(-1).y} Z`;
  };
  const bend = bendHandle(face, reach, rooms);
  const end = (k: -1 | 1) => moved(moved(bend, d, k * 11 * px), inward, 5 * px);
  const peak = moved(bend, inward, -11 * px);
  return (
    <G>
      <Path d={pathData(bands, true)} fill={colours.brass} stroke={colours.brassDeep} strokeWidth={1.5} {...THIN} />
      <Circle testID="face-grip" cx={grip.x} cy={grip.y} r={8 * px} fill={colours.deepVelvet} />
      <Path d={`${arrow(1)} ${arrow(-1)}`} fill={colours.deepVelvet} stroke={colours.brass} strokeWidth={1} {...THIN} />
      <Dot at={bend} id="bend-grip" r={13} fill={colours.chalk} edge={colours.brassDeep} width={1.5} px={px} />
      <Path
        d={`M ${end(-1).x} ${end(-1).y} Q ${peak.x} ${peak.y} ${end(1).x} ${end(1).y}`}
        fill="none"
        stroke={colours.ink}
        strokeWidth={2.2}
        {...THIN}
      />
    </G>
  );
}

/** The foot of a slope, and the way it rises. */
export function SlopeMark({ on: { frame }, colours, px }: Paint & { on: SlopeOnFloor }) {
  const { at, along, out } = frame;
  const [a, b] = [moved(at, along, -40 * px), moved(at, along, 40 * px)];
  const tip = moved(at, out, 44 * px);
  const barb = (k: 1 | -1) => moved(moved(tip, out, -13 * px), along, k * 8 * px);
  return (
    <Path
      testID="slope-mark"
      d={`M ${a.x} ${a.y} L ${b.x} ${b.y} M ${at.x} ${at.y} L ${tip.x} ${tip.y} M ${barb(1).x} ${barb(1).y} L ${tip.x} ${tip.y} L ${barb(-1).x} ${barb(-1).y}`}
      fill="none"
      stroke={colours.brassDeep}
      strokeWidth={4}
      strokeLinecap="round"
      {...THIN}
    />
  );
}

/** An outline that is chosen. */
export function RingMark({ ring, colours }: { ring: Ring; colours: HouseColours }) {
  return (
    <Path
      d={pathData([ring], true)}
      fill={colours.brass}
      fillOpacity={0.25}
      stroke={colours.brassDeep}
      strokeWidth={3}
      {...THIN}
    />
  );
}

/** The corner that will move, and the one that stays: a dot and a square. */
export function Ends({ face, moves, colours, px }: Paint & { face: WallFace; moves: 'from' | 'to' }) {
  const [free, fixed] = moves === 'to' ? [face.b, face.a] : [face.a, face.b];
  const r = 5.5 * px;
  return (
    <G>
      <Dot at={free} id={`moves-${moves}`} r={7} fill={colours.clay} edge={colours.chalk} px={px} />
      <Path
        d={`M ${fixed.x - r} ${fixed.y - r} h ${2 * r} v ${2 * r} h ${-2 * r} Z`}
        fill={colours.moss}
        stroke={colours.chalk}
        strokeWidth={2}
        {...THIN}
      />
    </G>
  );
}

export function OpeningMark({
  face,
  opening,
  tip,
  colours,
  px,
}: Paint & {
  face: WallFace;
  opening: OpeningOnFace;
  /** Where the edge of its leaf is, to be dragged by. */
  tip: Point | null;
}) {
  const body = bandAlong(partOf(face.course, opening.from, opening.to), depthOf(face), 0);
  return (
    <G>
      <Path
        d={pathData([lineAlong(face.course, 0)], false)}
        fill="none"
        stroke={colours.brass}
        strokeWidth={3}
        {...THIN}
      />
      <Path
        testID="chosen-opening"
        d={pathData([body], true)}
        fill={colours.brass}
        fillOpacity={0.45}
        stroke={colours.brassDeep}
        strokeWidth={2.5}
        {...THIN}
      />
      {tip && <Dot at={tip} id="leaf-grip" r={9} fill={colours.chalk} edge={colours.brassDeep} width={2.5} px={px} />}
    </G>
  );
}

/** A chosen room: its outline, and its corners to drag. */
export function RoomMark({ room, colours, px, corners }: Paint & { room: DerivedRoom; corners: boolean }) {
  const at = new Map(room.faces.flatMap((face) => face.halves.map((half) => [half.from, half.course.a] as const)));
  return (
    <G>
      <Path d={pathData(room.outline.rings, true)} fill="none" stroke={colours.brass} strokeWidth={3} {...THIN} />
      {corners &&
        [...at].map(([id, point]) => <CornerDot key={id} at={point} id="room-corner" colours={colours} px={px} />)}
    </G>
  );
}

export function CornerDot({
  at,
  id,
  colours,
  px,
  chosen = false,
}: Paint & { at: { x: number; y: number }; id: string; chosen?: boolean }) {
  return (
    <Dot
      at={at}
      id={id}
      r={chosen ? 9 : 6}
      fill={chosen ? colours.brass : colours.chalk}
      edge={colours.brassDeep}
      px={px}
    />
  );
}

export const SolidMark = ({ standing, colours }: { standing: SolidOnFloor; colours: HouseColours }) => (
  <Chosen id="chosen-solid" rings={[standing.ring]} opacity={0.5} colours={colours} />
);

/** Stairs; from above what is seen of them. */
export const StairsMark = ({ on, colours }: { on: StairOnFloor; colours: HouseColours }) => (
  <Chosen id="chosen-stairs" rings={on.fromAbove ? on.opening : on.outline} opacity={0.3} colours={colours} />
);

interface ChosenProps {
  id: string;
  rings: readonly Ring[];
  opacity: number;
  colours: HouseColours;
}

const Chosen = ({ id, rings, opacity, colours }: ChosenProps) => (
  <Path
    testID={id}
    d={pathData(rings, true)}
    fill={colours.brass}
    fillOpacity={opacity}
    stroke={colours.brassDeep}
    strokeWidth={2.5}
    {...THIN}
  />
);
