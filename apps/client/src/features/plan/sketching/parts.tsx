import { type DerivedFloor, type Point, direction, faceByKey, leftOf, lineAlong, moved } from '@velvet-tape/core';
import { pathData } from '@velvet-tape/formats';
import { type ComponentType, memo } from 'react';
import { Text } from 'react-native-paper';
import { type Command, useAppDispatch, useAppSelector } from '../../../store/store';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { G, Path } from '../../../ui/svg';
import { useColours } from '../../../ui/theme';
import { ReadingBeingTaken } from '../overlay/ReadingMarks';
import { CornerDot } from '../chosen/marks';
import { type Paint, THIN } from '../overlay/paint';
import { later } from '../later/later';
import { planActions } from '../plan-slice';
import { otherDiagonal } from '../readings/commands';
import { boxCorners } from '../tools/shape-tool';
import { MarksActions, MarksEnd } from '../underlay/pieces';
import { WalkMarks } from '../walk/WalkMarks';
import { WalkActions, WalkClose } from '../walk/WalkTurns';
import { PathActions, PathEnd, PathMarks } from './PathParts';
import type { BumpProposal } from './bump';
import { lessStraight, mirrorShape, turnShape } from './commands';
import type { HeightProposal } from './height';
import { dropProposal, keepProposal } from './keep';
import type { LoopProposal } from './loop';
import type { Named, Proposal } from './proposal';
import type { ReadingProposal } from './reading';
import type { RoofProposal } from './roof';
import type { SectionProposal } from './section';
import type { ShapeProposal } from './shape';

type MarksProps<P> = Paint & { proposal: P; floor: DerivedFloor; units: DerivedFloor['plan']['job']['units'] };

/** What is seen of one kind of proposal. */
interface Parts<P> {
  /** Over the plan, which shows it as if it were kept. */
  readonly Marks?: ComponentType<MarksProps<P>>;
  /** What finishes it, beside the figure that is being typed; else Keep. */
  readonly End?: ComponentType<{ proposal: P }>;
  /** What else can be done with it. */
  readonly Actions: ComponentType<{ proposal: P }>;
  /** The choices of its tool stay in view on a phone. */
  readonly options: boolean;
  /** What stands under all that. */
  readonly Below?: ComponentType;
}

const SectionView = later(() => import('../ceilings/SectionView'));
const None = () => null;

const PARTS: { readonly [K in Proposal['kind']]: Parts<Named<K>> } = {
  box: { Actions: Drop, options: true },
  path: { Marks: PathMarks, End: PathEnd, Actions: PathActions, options: false },
  loop: { Marks: LoopMarks, End: LoopEnd, Actions: LoopActions, options: true },
  walk: { Marks: WalkMarks, End: WalkClose, Actions: WalkActions, options: true },
  shape: { Marks: ShapeMarks, Actions: ShapeActions, options: true },
  bump: { Actions: BumpActions, options: true },
  reading: { Marks: ReadingBeingTaken, End: KeepRead, Actions: ReadingActions, options: false },
  height: { Marks: HeightMarks, End: KeepRead, Actions: Drop, options: false },
  roof: { Marks: RoofMarks, Actions: Drop, options: true },
  section: { Marks: SectionMarks, End: None, Actions: Drop, options: false, Below: SectionView },
  // its marks are drawn with the picture
  marks: { End: MarksEnd, Actions: MarksActions, options: false },
};

export const partsOf = (proposal: Proposal): Parts<Proposal> => PARTS[proposal.kind] as unknown as Parts<Proposal>;

/** What finishes what is being drawn, beside the figure that is being typed. */
export const ProposalEnd = memo(function ProposalEnd() {
  const proposal = useAppSelector((state) => state.plan.proposal);
  const dividing = useAppSelector((state) => state.plan.tool === 'divide');
  if (!proposal) return null;
  const End = (!dividing && partsOf(proposal).End) || Keep;
  return <End proposal={proposal} />;
});

/** What else can be done with what is being drawn. */
export function ProposalActions() {
  const proposal = useAppSelector((state) => state.plan.proposal);
  const dividing = useAppSelector((state) => state.plan.tool === 'divide');
  if (!proposal || dividing) return null;
  const { Actions } = partsOf(proposal);
  return <Actions proposal={proposal} />;
}

function Press({ what, ...button }: { what: Command } & Omit<Parameters<typeof BarButton>[0], 'onPress'>) {
  const dispatch = useAppDispatch();
  return <BarButton {...button} onPress={() => dispatch(what)} />;
}

/** What stands under the figures of what is being drawn. */
export function ProposalBelow() {
  const proposal = useAppSelector((state) => state.plan.proposal);
  if (!proposal) return null;
  const { Below } = partsOf(proposal);
  return Below ? <Below /> : null;
}

function Drop() {
  const dispatch = useAppDispatch();
  return <BarIcon icon="close" says="Drop it" onPress={() => dispatch(dropProposal)} />;
}

function Keep() {
  const dispatch = useAppDispatch();
  return <BarButton strong icon="check" label="Keep" onPress={() => dispatch(keepProposal)} />;
}

function KeepRead({ proposal }: { proposal: ReadingProposal | HeightProposal }) {
  return proposal.read ? <Keep /> : null;
}
function LoopEnd({ proposal }: { proposal: LoopProposal }) {
  return proposal.drawing ? null : <Keep />;
}

function LoopActions({ proposal }: { proposal: LoopProposal }) {
  if (proposal.drawing) return null;
  return (
    <>
      <Press label={proposal.straightness === 'straight' ? 'Less straight' : 'Straighter'} what={lessStraight} />
      <Press icon="restart" label="Again" what={dropProposal} />
    </>
  );
}

function LoopMarks({ proposal, colours }: MarksProps<LoopProposal>) {
  return (
    <Path
      testID="stroke"
      d={pathData([proposal.stroke], false)}
      fill="none"
      stroke={colours.brassDeep}
      strokeWidth={proposal.drawing ? 4 : 1.5}
      strokeLinecap="round"
      strokeLinejoin="round"
      strokeOpacity={proposal.drawing ? 1 : 0.55}
      {...THIN}
    />
  );
}

function ShapeActions() {
  return (
    <>
      <Press icon="rotate-right" label="Turn" what={turnShape} />
      <Press icon="flip-horizontal" label="Mirror" what={mirrorShape} />
      <Drop />
    </>
  );
}

function ShapeMarks({ proposal, colours, px }: MarksProps<ShapeProposal>) {
  return (
    <G>
      {boxCorners(proposal).map((at, i) => (
        <CornerDot key={i} at={at} id="shape-corner" colours={colours} px={px} chosen />
      ))}
    </G>
  );
}

function BumpActions({ proposal }: { proposal: BumpProposal }) {
  const dispatch = useAppDispatch();
  const out = proposal.depth >= 0;
  return (
    <>
      {proposal.shape !== 'breast' && (
        <BarButton
          icon="swap-vertical"
          label={out ? 'Out' : 'In'}
          says={`It goes ${out ? 'out of' : 'into'} the room. Swap.`}
          onPress={() => dispatch(planActions.proposed({ ...proposal, depth: -proposal.depth }))}
        />
      )}
      <Drop />
    </>
  );
}

function ReadingActions({ proposal }: { proposal: ReadingProposal }) {
  const colours = useColours();
  return (
    <>
      {!proposal.place && <Text style={{ color: colours.ink, fontSize: 16 }}>Now tap the second corner or wall.</Text>}
      {proposal.named && (
        <Press
          icon="swap-horizontal"
          label={proposal.named.other.words}
          says={`Read the other diagonal, ${proposal.named.other.words}`}
          what={otherDiagonal}
        />
      )}
      <Drop />
    </>
  );
}

/** The wall of the eaves. */
function RoofMarks({ proposal, floor, colours }: MarksProps<RoofProposal>) {
  const face = faceByKey(floor, proposal.face);
  if (!face) return null;
  return (
    <Path
      d={pathData([lineAlong(face.course, 0)], false)}
      fill="none"
      stroke={colours.brassDeep}
      strokeWidth={6}
      {...THIN}
    />
  );
}

/** The line that is cut along, with the way one looks at its ends. */
function SectionMarks({ proposal: { a, b }, colours, px }: MarksProps<SectionProposal>) {
  const d = direction(a, b);
  const look = leftOf(d);
  const arrow = (p: Point) => {
    const tip = moved(p, look, 16 * px);
    const barb = (k: number) => moved(moved(p, look, 9 * px), d, k * 5 * px);
    return `M ${p.x} ${p.y} L ${tip.x} ${tip.y} M ${barb(-1).x} ${barb(-1).y} L ${tip.x} ${tip.y} L ${barb(1).x} ${barb(1).y}`;
  };
  return (
    <Path
      testID="section-line"
      d={`M ${a.x} ${a.y} L ${b.x} ${b.y} ${arrow(a)} ${arrow(b)}`}
      fill="none"
      stroke={colours.clay}
      strokeWidth={2.5}
      {...THIN}
    />
  );
}

function HeightMarks({ proposal, colours, px }: MarksProps<HeightProposal>) {
  return <CornerDot at={proposal.at} id="height-point" colours={colours} px={px} chosen />;
}
