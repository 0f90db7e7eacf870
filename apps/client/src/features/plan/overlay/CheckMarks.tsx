import { type DerivedFloor, type Point, openingSpan, pointAt } from '@velvet-tape/core';
import { memo } from 'react';
import { useAppSelector } from '../../../store/store';
import { G, Path } from '../../../ui/svg';
import type { HouseColours } from '../../../ui/theme';
import { useChecks } from '../openings/use-checks';
import { selectFloor } from '../selectors';
import { THIN } from './paint';

/** A clay triangle at every opening that something is wrong with; what it is stands in the list, and at the foot when it is chosen. */
export const CheckMarks = memo(function CheckMarks({ colours, px }: { colours: HouseColours; px: number }) {
  const floor = useAppSelector(selectFloor);
  const checks = useChecks(floor);
  if (!floor) return null;
  const wrong = new Set(checks.filter(({ advice }) => !advice).flatMap(({ openings }) => openings));
  return (
    <G>
      {[...wrong].map((id) => {
        const at = placeOf(floor, id);
        return at && <Warning key={id} at={at} colours={colours} px={px} />;
      })}
    </G>
  );
});

/** On the side of the wall a leaf does not open to. */
function placeOf({ network, openings }: DerivedFloor, id: string): Point | null {
  const opening = openings.find((each) => each.id === id);
  if (!opening || !network.walls.some((wall) => wall.id === opening.wall)) return null;
  const { wall, course } = network.half(opening.wall, true);
  const { from, to } = openingSpan(network, opening);
  return pointAt(course, (from + to) / 2, (wall.right - wall.left) / 2);
}

function Warning({ at: { x, y }, colours, px }: { at: Point; colours: HouseColours; px: number }) {
  const r = 9 * px;
  return (
    <G>
      <Path
        testID="check-mark"
        d={`M ${x} ${y - r} L ${x + r} ${y + 0.75 * r} H ${x - r} Z`}
        fill={colours.clay}
        stroke={colours.chalk}
        strokeWidth={1.5}
        {...THIN}
      />
      <Path
        d={`M ${x} ${y - 0.45 * r} V ${y + 0.15 * r} M ${x} ${y + 0.38 * r} V ${y + 0.5 * r}`}
        stroke={colours.chalk}
        strokeWidth={2}
        {...THIN}
      />
    </G>
  );
}
