import {
  type KnownDistance,
  type Point,
  type Underlay,
  formatLength,
  middle,
  outlineOf,
  toHouse,
} from '@velvet-tape/core';
import { pathData } from '@velvet-tape/formats';
import { useAppSelector } from '../../../store/store';
import { Circle, G, Path } from '../../../ui/svg';
import { HaloText } from '../overlay/HaloText';
import { selectProposal } from '../selectors';
import { type MarksProposal, markOnSheet } from './marks';
import { selectSeen, selectUnderlay } from './selectors';
import { type Paint, THIN } from '../overlay/paint';

/** What is laid over a picture while it is worked on: its outline, the marks, and walls that were found. */
export function UnderlayMarks(paint: Paint) {
  const underlay = useAppSelector(selectUnderlay);
  const proposal = useAppSelector(selectProposal);
  const plan = useAppSelector((state) => state.plan.plan);
  const marked = proposal?.kind === 'marks' ? plan?.underlays[proposal.underlay] : undefined;
  const around = marked ?? underlay;
  return (
    <G>
      {around && <Outline underlay={around} {...paint} />}
      <SeenWalls {...paint} />
      {proposal?.kind === 'marks' && marked && <Marks proposal={proposal} underlay={marked} {...paint} />}
    </G>
  );
}

const Outline = ({ underlay, colours }: Paint & { underlay: Underlay }) => (
  <Path
    testID="underlay-outline"
    d={pathData([outlineOf(underlay)], true)}
    fill="none"
    stroke={colours.brassDeep}
    strokeWidth={2}
    strokeDasharray={underlay.locked ? '2 6' : '10 5'}
    {...THIN}
  />
);

function Marks({ proposal, underlay, ...paint }: Paint & { proposal: MarksProposal; underlay: Underlay }) {
  const points = proposal.marks.map((_, i) => markOnSheet(proposal, underlay, i));
  const joins =
    proposal.task === 'place'
      ? [points.slice(0, 2), points.slice(2, 4)]
      : proposal.task === 'crop' && points.length === 2
        ? [box(proposal, underlay)]
        : [points];
  return (
    <G>
      {proposal.distances.map((known, i) => (
        <Known key={i} known={known} underlay={underlay} {...paint} />
      ))}
      {joins
        .filter((line) => line.length > 1)
        .map((line, i) => (
          <Path
            key={i}
            d={pathData([line], line.length > 3)}
            fill="none"
            stroke={paint.colours.clay}
            strokeWidth={2}
            strokeDasharray="7 4"
            {...THIN}
          />
        ))}
      {points.map((at, i) => (
        <Cross key={i} at={at} id={`mark-${i + 1}`} chosen={i === proposal.chosen} {...paint} />
      ))}
    </G>
  );
}

function box({ marks: [a, b] }: MarksProposal, underlay: Underlay): Point[] {
  return [a!, { x: b!.x, y: a!.y }, b!, { x: a!.x, y: b!.y }].map((p) => toHouse(underlay, p));
}

/** A distance that is known already, with what it is said to be. */
function Known({ known, underlay, colours, px }: Paint & { known: KnownDistance; underlay: Underlay }) {
  const units = useAppSelector((state) => state.plan.plan?.job.units ?? 'metric');
  const [a, b] = [toHouse(underlay, known.a), toHouse(underlay, known.b)];
  const at = middle(a, b);
  return (
    <G>
      <Path d={pathData([[a, b]], false)} fill="none" stroke={colours.moss} strokeWidth={2.5} {...THIN} />
      <HaloText
        at={{ x: at.x, y: at.y - 8 * px }}
        text={formatLength(known.value, units)}
        size={14}
        strong
        fill={colours.moss}
        colours={colours}
        px={px}
      />
    </G>
  );
}

/** A mark: its middle stays free, so that what is under it can be seen. */
function Cross({ at, id, chosen, colours, px }: Paint & { at: Point; id: string; chosen: boolean }) {
  const [gap, arm, r] = [4 * px, 15 * px, 10 * px];
  const arms = [
    [1, 0],
    [-1, 0],
    [0, 1],
    [0, -1],
  ].map(([x, y]) => [
    { x: at.x + x! * gap, y: at.y + y! * gap },
    { x: at.x + x! * arm, y: at.y + y! * arm },
  ]);
  return (
    <G testID={id}>
      <Circle
        cx={at.x}
        cy={at.y}
        r={r}
        fill="none"
        stroke={colours.chalk}
        strokeWidth={5}
        strokeOpacity={0.8}
        {...THIN}
      />
      <Circle cx={at.x} cy={at.y} r={r} fill="none" stroke={colours.clay} strokeWidth={chosen ? 3 : 1.5} {...THIN} />
      <Path d={pathData(arms, false)} fill="none" stroke={colours.clay} strokeWidth={2} {...THIN} />
    </G>
  );
}

/** Walls that were found and not taken: as thick as they were seen, with their openings left free. */
function SeenWalls({ colours }: Paint) {
  const seen = useAppSelector(selectSeen);
  if (!seen) return null;
  return (
    <G testID="seen-walls">
      {seen.walls.map(({ a, b, thickness, gaps }, i) => {
        const length = Math.hypot(b.x - a.x, b.y - a.y);
        const at = (along: number): Point => ({
          x: a.x + ((b.x - a.x) * along) / length,
          y: a.y + ((b.y - a.y) * along) / length,
        });
        const ends = [0, ...gaps.flatMap(({ from, to }) => [from, to]), length];
        const pieces = ends.flatMap((end, k) => (k % 2 === 0 ? [[at(end), at(ends[k + 1]!)]] : []));
        return (
          <G key={i}>
            <Path
              d={pathData(pieces, false)}
              fill="none"
              stroke={colours.moss}
              strokeOpacity={0.45}
              strokeWidth={thickness}
            />
            <Path
              d={pathData([[a, b]], false)}
              fill="none"
              stroke={colours.moss}
              strokeWidth={2}
              strokeDasharray="6 4"
              {...THIN}
            />
          </G>
        );
      })}
    </G>
  );
}
