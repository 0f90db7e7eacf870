import type { DerivedFloor, Point } from '@velvet-tape/core';
import type { PieceOnFloor, Side } from '@velvet-tape/core/pieces';
import type { ReactElement } from 'react';
import { laterRooms } from '../../../core-later/to-come';
import { Circle, G, Path } from '../../../ui/svg';
import type { HouseColours } from '../../../ui/theme';
import { lent } from '../later/lent';
import { clearOf } from './chosen-piece';
import { GetInMarks } from './GetInMarks';
import { TURN_HANDLE, handlesOf } from './holding';
import { chosenOf, standingShown } from './standing';

const { HaloText, THIN, formatLength, pathData, store, useAppSelector } = lent();

interface Props {
  floor: DerivedFloor;
  colours: HouseColours;
  px: number;
  reach: number;
}

/** The chosen pieces in brass; one by itself has handles, and says what is free beside it. */
export default function PieceMarks({ floor, colours, px, reach }: Props): ReactElement | null {
  const chosen = useAppSelector((state) => state.plan.selection);
  const all = useAppSelector(standingShown);
  // its way in is seen better without
  const onItsWay = useAppSelector(({ plan }) => plan.panel === 'in');
  if (chosen.kind !== 'piece') return null;
  const held = chosenOf(all, chosen);
  const [one] = held;
  if (!one) return null;
  return (
    <G testID="chosen-pieces">
      <Path
        d={pathData(
          held.map(({ ring }) => ring),
          true,
        )}
        fill={colours.brass}
        fillOpacity={0.22}
        stroke={colours.brassDeep}
        strokeWidth={2.5}
        {...THIN}
      />
      {held.length === 1 && (
        <>
          <GetInMarks piece={one.piece.id} floor={floor.floor} colours={colours} />
          {!onItsWay && (
            <>
              <Clear one={one} colours={colours} px={px} reach={reach} units={floor.plan.job.units} />
              <Handles one={one} colours={colours} px={px} reach={reach} />
            </>
          )}
        </>
      )}
    </G>
  );
}

function Handles({ one, colours, px, reach }: Omit<Props, 'floor'> & { one: PieceOnFloor }) {
  const { turn, right, left, front } = handlesOf(one, reach);
  const dot = (at: Point, r: number, id: string) => (
    <Circle
      key={id}
      testID={id}
      cx={at.x}
      cy={at.y}
      r={r * px}
      fill={colours.chalk}
      stroke={colours.brassDeep}
      strokeWidth={2 * px}
    />
  );
  return (
    <>
      <Path d={pathData([[front, turn]], false)} fill="none" stroke={colours.brassDeep} strokeWidth={1.5} {...THIN} />
      {[dot(left, 5, 'piece-left'), dot(right, 5, 'piece-right'), dot(front, 5, 'piece-front')]}
      {dot(turn, 9, 'piece-turn')}
    </>
  );
}

/** Farther than this nobody asks, mm. */
const FAR = 6000;

/** Lines to what is beside it, with their lengths. */
function Clear({
  one,
  colours,
  px,
  reach,
  units,
}: {
  one: PieceOnFloor;
  colours: HouseColours;
  px: number;
  reach: number;
  units: 'metric' | 'imperial';
}) {
  const { onSheet } = laterRooms();
  const clear = clearOf(store.getState(), one);
  const { width, depth } = one.piece;
  const from: Record<Side, readonly [Point, Point]> = {
    left: [
      { x: 0, y: depth / 2 },
      { x: -1, y: 0 },
    ],
    right: [
      { x: width, y: depth / 2 },
      { x: 1, y: 0 },
    ],
    back: [
      { x: width * 0.35, y: 0 },
      { x: 0, y: -1 },
    ],
    front: [
      { x: width * 0.35, y: depth },
      { x: 0, y: 1 },
    ],
  };
  return (Object.keys(from) as Side[]).map((side) => {
    const long = clear[side];
    if (long === null || long < 20 * px || long > FAR) return null;
    const [at, d] = from[side];
    const on = (k: number) => onSheet(one.frame, at.x + d.x * k, at.y + d.y * k);
    // not under a handle
    const middle = on(Math.max(long / 2, side === 'front' ? TURN_HANDLE * reach + 20 * px : 28 * px));
    return (
      <G key={side}>
        <Path
          d={pathData([[on(0), on(long)]], false)}
          fill="none"
          stroke={colours.brassDeep}
          strokeWidth={1.5}
          {...THIN}
        />
        <HaloText
          at={{ x: middle.x, y: middle.y + 4 * px }}
          text={formatLength(long, units)}
          size={12}
          strong
          fill={colours.ink}
          colours={colours}
          px={px}
          id={`clear-${side}`}
        />
      </G>
    );
  });
}
