import {
  type DerivedFloor,
  type DerivedRoom,
  type OpeningOnFace,
  type WallFace,
  distance,
  middle,
  moved,
  rightOf,
} from '@velvet-tape/core';
import { Circle, G, Path } from 'react-native-svg';
import type { HouseColours } from '../../ui/theme';

const THIN = { vectorEffect: 'non-scaling-stroke' } as const;
const ring = (points: readonly { x: number; y: number }[]) => `M ${points.map((p) => `${p.x} ${p.y}`).join(' L ')} Z`;

interface Props {
  floor: DerivedFloor;
  face: WallFace | null;
  opening: OpeningOnFace | null;
  room: DerivedRoom | null;
  /** The corner of the face that a typed length would move; null when no length is being typed. */
  moves: 'from' | 'to' | null;
  /** The floor as it would be after Enter. */
  ghost: DerivedFloor | null;
  colours: HouseColours;
  /** mm of the house per screen pixel */
  px: number;
}

/** What is laid over the drawing: the selection, the way a wall can be dragged, the ghost of what is typed. */
export function Overlay({ floor, face, opening, room, moves, ghost, colours, px }: Props) {
  return (
    <G>
      {room && !face && (
        <Path d={room.outline.rings.map(ring).join(' ')} fill="none" stroke={colours.brass} strokeWidth={3} {...THIN} />
      )}
      {face && !opening && <FaceMark face={face} colours={colours} px={px} />}
      {face && !opening && moves && !ghost && <Ends face={face} moves={moves} colours={colours} px={px} />}
      {face && opening && <OpeningMark face={face} opening={opening} colours={colours} />}
      {ghost && <Ghost before={floor} after={ghost} colours={colours} px={px} />}
    </G>
  );
}

function depthOf(face: WallFace): number {
  const half = face.halves[0]!;
  return half.left + half.right;
}

function FaceMark({ face, colours, px }: { face: WallFace; colours: HouseColours; px: number }) {
  const inward = rightOf(face.d);
  const outer = -depthOf(face);
  const at = (along: number, off: number) => moved(moved(face.a, face.d, along), inward, off);
  const solid = gapsOf(face).map(({ from, to }) => [at(from, 0), at(to, 0), at(to, outer), at(from, outer)]);
  const grip = moved(middle(face.a, face.b), inward, outer / 2);
  const arrow = (way: 1 | -1) => {
    const tip = moved(grip, inward, way * 17 * px);
    const side = (k: 1 | -1) => moved(moved(grip, inward, way * 11 * px), face.d, k * 5 * px);
    return `M ${side(1).x} ${side(1).y} L ${tip.x} ${tip.y} L ${side(-1).x} ${side(-1).y} Z`;
  };
  return (
    <G>
      <Path d={solid.map(ring).join(' ')} fill={colours.brass} stroke={colours.brassDeep} strokeWidth={1.5} {...THIN} />
      <Circle testID="face-grip" cx={grip.x} cy={grip.y} r={8 * px} fill={colours.deepVelvet} />
      <Path d={`${arrow(1)} ${arrow(-1)}`} fill={colours.deepVelvet} stroke={colours.brass} strokeWidth={1} {...THIN} />
    </G>
  );
}

/** The stretches of a face between its openings. */
function gapsOf(face: WallFace): { from: number; to: number }[] {
  const ends = [0, ...face.openings.flatMap((on) => [on.from, on.to]), face.length];
  return Array.from({ length: ends.length / 2 }, (_, i) => ({ from: ends[2 * i]!, to: ends[2 * i + 1]! }));
}

/** The corner that will move, and the one that stays: a dot and a square. */
function Ends({
  face,
  moves,
  colours,
  px,
}: {
  face: WallFace;
  moves: 'from' | 'to';
  colours: HouseColours;
  px: number;
}) {
  const [free, fixed] = moves === 'to' ? [face.b, face.a] : [face.a, face.b];
  const r = 5.5 * px;
  return (
    <G>
      <Circle
        testID={`moves-${moves}`}
        cx={free.x}
        cy={free.y}
        r={7 * px}
        fill={colours.clay}
        stroke={colours.chalk}
        strokeWidth={2}
        {...THIN}
      />
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

function OpeningMark({ face, opening, colours }: { face: WallFace; opening: OpeningOnFace; colours: HouseColours }) {
  const inward = rightOf(face.d);
  const at = (along: number, off: number) => moved(moved(face.a, face.d, along), inward, off);
  const outer = -depthOf(face);
  const body = [at(opening.from, 0), at(opening.to, 0), at(opening.to, outer), at(opening.from, outer)];
  return (
    <G>
      <Path
        d={`M ${face.a.x} ${face.a.y} L ${face.b.x} ${face.b.y}`}
        stroke={colours.brass}
        strokeWidth={3}
        {...THIN}
      />
      <Path
        testID="chosen-opening"
        d={ring(body)}
        fill={colours.brass}
        fillOpacity={0.45}
        stroke={colours.brassDeep}
        strokeWidth={2.5}
        {...THIN}
      />
    </G>
  );
}

/** Corners that would move, with where to; corners of the room that stay are pinned. */
function Ghost({
  before,
  after,
  colours,
  px,
}: {
  before: DerivedFloor;
  after: DerivedFloor;
  colours: HouseColours;
  px: number;
}) {
  const moves = [...before.network.corners.values()].flatMap((corner) => {
    const to = after.network.corners.get(corner.id);
    return to && distance(corner, to) > 0.5 ? [{ corner, to }] : [];
  });
  return (
    <G testID="ghost">
      {after.rooms.map((room) => (
        <Path
          key={room.room.id}
          d={room.outline.rings.map(ring).join(' ')}
          fill="none"
          stroke={colours.clay}
          strokeWidth={1.6}
          strokeDasharray="7 4"
          {...THIN}
        />
      ))}
      {moves.map(({ corner, to }) => (
        <G key={corner.id}>
          <Path d={`M ${corner.x} ${corner.y} L ${to.x} ${to.y}`} stroke={colours.clay} strokeWidth={2} {...THIN} />
          <Circle
            testID="moving-corner"
            cx={to.x}
            cy={to.y}
            r={7 * px}
            fill={colours.clay}
            stroke={colours.chalk}
            strokeWidth={2}
            {...THIN}
          />
        </G>
      ))}
    </G>
  );
}
