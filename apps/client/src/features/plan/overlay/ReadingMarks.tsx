import {
  type DerivedFloor,
  type Misclosure,
  type Point,
  type Reading,
  between,
  direction,
  distance,
  leftOf,
  lineOfReading,
  moved,
  valueInWords,
} from '@velvet-tape/core';
import { pathData } from '@velvet-tape/formats';
import { memo } from 'react';
import { useAppSelector } from '../../../store/store';
import { G, Path } from '../../../ui/svg';
import { useMisclosures } from '../readings/use-misclosures';
import { selectFloor } from '../selectors';
import type { ReadingProposal } from '../sketching/reading';
import { HaloText } from './HaloText';
import { CornerDot } from '../chosen/marks';
import { Dot, type Paint, THIN } from './paint';

/** What is being measured: from what was tapped first to what was tapped second. */
export function ReadingBeingTaken({
  proposal,
  floor,
  ...paint
}: Paint & { proposal: ReadingProposal; floor: DerivedFloor }) {
  const { first, place } = proposal;
  const line = place && lineOfReading(floor.network, place);
  if (!line) return first && <CornerDot at={first.at} id="measured-from" chosen {...paint} />;
  return (
    <G>
      <Path
        testID="measured-line"
        d={pathData([line], false)}
        fill="none"
        stroke={paint.colours.brassDeep}
        strokeWidth={3}
        strokeDasharray="9 5"
        {...THIN}
      />
      <CornerDot at={line[0]} id="measured-from" chosen {...paint} />
      <CornerDot at={line[1]} id="measured-to" chosen {...paint} />
    </G>
  );
}

/** Readings that contradict others, on the plan: a clay line along each suspect, and by how much it misses. */
export const MisclosureMarks = memo(function MisclosureMarks(paint: Paint) {
  const floor = useAppSelector(selectFloor);
  const dragging = useAppSelector((state) => state.plan.preview !== null);
  const all = useMisclosures(floor);
  if (!floor || dragging) return null;
  return (
    <G>
      {all.map((misclosure) =>
        misclosure.suspects
          .slice(0, 2)
          .map(({ reading }) => (
            <Suspected key={reading.id} floor={floor} reading={reading} misclosure={misclosure} {...paint} />
          )),
      )}
    </G>
  );
});

const ASIDE = 0.25;

function Suspected({
  floor,
  reading,
  misclosure,
  colours,
  px,
}: Paint & { floor: DerivedFloor; reading: Reading; misclosure: Misclosure }) {
  const line = lineOfReading(floor.network, reading);
  if (!line) return null;
  // on the wall and off its middle, where no length is written on either side
  const long = distance(...line) > 0;
  const at = long ? moved(between(...line, ASIDE), leftOf(direction(...line)), 3 * px) : line[0];
  const { units } = floor.plan.job;
  const mm = units === 'metric' && reading.kind !== 'angle' && misclosure.by < 1000;
  const text = `± ${mm ? `${Math.round(misclosure.by)} mm` : valueInWords(reading, misclosure.by, units)}?`;
  return (
    <G testID="misclosure">
      <Path
        d={pathData([line], false)}
        fill="none"
        stroke={colours.clay}
        strokeWidth={4}
        strokeDasharray="2 5"
        {...THIN}
      />
      <HaloText
        at={{ x: at.x, y: at.y + 5 * px }}
        text={text}
        size={14}
        strong
        fill={colours.clay}
        colours={colours}
        px={px}
      />
    </G>
  );
}

/** Corners that stay whatever is read: a pin in each. */
export const Pins = memo(function Pins({ floor, colours, px }: Paint & { floor: DerivedFloor }) {
  const pinned = [...floor.network.corners.values()].filter((corner) => corner.pinned);
  return (
    <G>
      {pinned.map((corner) => (
        <Pin key={corner.id} at={corner} colours={colours} px={px} />
      ))}
    </G>
  );
});

function Pin({ at, colours, px }: Paint & { at: Point }) {
  const head = moved(at, { x: 0.5, y: -0.87 }, 15 * px);
  return (
    <G testID="pin">
      <Path d={pathData([[at, head]], false)} stroke={colours.ink} strokeWidth={2.5} {...THIN} />
      <Dot at={head} r={5.5} fill={colours.moss} edge={colours.chalk} width={1.5} px={px} />
    </G>
  );
}
