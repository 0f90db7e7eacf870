import {
  type DerivedFloor,
  type DerivedRoom,
  type Point,
  letteredCorners,
  lineOfReading,
  moved,
  namedDiagonal,
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
import { SUSPECT_SIZE, type SuspectOnPlan, suspectsOnPlan } from './misclosure-words';
import { Dot, type Paint, THIN } from './paint';

/** What is being measured: from what was tapped first to what was tapped second. */
export function ReadingBeingTaken({
  proposal,
  floor,
  ...paint
}: Paint & { proposal: ReadingProposal; floor: DerivedFloor }) {
  const { first, place } = proposal;
  const named = place && namedDiagonal(floor, place);
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
      {named && <Letters room={named.room} {...paint} />}
    </G>
  );
}

/** The letters of a room’s corners, beside them in the room. */
function Letters({ room, colours, px }: Paint & { room: DerivedRoom }) {
  return letteredCorners(room).map(({ letter, at }) => {
    const off = { x: room.label.x - at.x, y: room.label.y - at.y };
    const far = Math.hypot(off.x, off.y) || 1;
    const by = Math.min(BESIDE * px, far / 2) / far;
    return (
      <HaloText
        key={letter}
        id={`corner-${letter}`}
        at={{ x: at.x + off.x * by, y: at.y + off.y * by + 6 * px }}
        text={letter}
        size={18}
        strong
        fill={colours.ink}
        colours={colours}
        px={px}
      />
    );
  });
}

/** From a corner to its letter, px. */
const BESIDE = 30;

/** Readings that contradict others, on the plan: a clay line along each suspect, and by how much it misses. */
export const MisclosureMarks = memo(function MisclosureMarks(paint: Paint) {
  const floor = useAppSelector(selectFloor);
  const dragging = useAppSelector((state) => state.plan.preview !== null);
  const all = useMisclosures(floor);
  if (!floor || dragging) return null;
  return (
    <G>
      {suspectsOnPlan(floor, all, paint.px).map((suspect) => (
        <Suspected key={suspect.reading.id} {...suspect} {...paint} />
      ))}
    </G>
  );
});

function Suspected({ line, at, text, colours, px }: Paint & SuspectOnPlan) {
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
        size={SUSPECT_SIZE}
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
