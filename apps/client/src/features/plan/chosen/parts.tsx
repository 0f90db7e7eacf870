import type { DerivedFloor } from '@velvet-tape/core';
import { type ComponentType, memo, useMemo } from 'react';
import { type RootState, useAppSelector } from '../../../store/store';
import { later, piece } from '../later/later';
import { Quiet } from '../../../ui/Part';
import { SwingControl } from '../openings/SwingControl';
import { OpeningTiles, turns } from '../openings/opening-tiles';
import { ofNotes } from '../notes/notes-room';
import { ofPieces } from '../pieces/pieces-room';
import type { Panel, Selection } from '../plan-state';
import { RoomCard } from '../RoomCard';
import {
  selectBreak,
  selectCorner,
  selectFace,
  selectMoves,
  selectOpening,
  selectRoom,
  selectSlope,
  selectSolid,
  selectStairs,
} from '../selectors';
import type { Paint } from '../overlay/paint';
import { tipOf } from '../tools/grips';
import type { Of } from './chosen-kind';
import { selectGhost } from './kinds';
import { CornerTiles, RoomTiles, SolidTiles, StandsInWall, WallMade } from './tiles';
import { CornerDot, Ends, FaceMark, OpeningMark, RingMark, RoomMark, SlopeMark, SolidMark, StairsMark } from './marks';

interface MarksProps<S> extends Paint {
  chosen: S;
  floor: DerivedFloor;
  /** How far a finger may miss, mm. */
  reach: number;
}

/** One side of a chosen thing: named in view, one tap away. */
export interface Side<S = Selection> {
  /** Null: its figures, with the pad. */
  readonly panel: Panel | null;
  readonly label: string;
  readonly icon: string;
  /** What can be done, as tiles; on a wide screen those of all sides are in view. It knows no figures, so that it is left alone while something is dragged. */
  readonly Tiles?: ComponentType<{ chosen: S }>;
  /** While a figure is typed its tiles give way, so that the plan stays in view. */
  readonly yields?: true;
  /** What stands there instead: of the figures, while none is being typed. */
  readonly Content?: ComponentType;
  /** Where it is not always there. */
  readonly when?: (state: RootState) => boolean;
  /** Reached from another side, and not named beside them. */
  readonly under?: Panel;
}

/** What is seen of one kind of chosen thing. */
interface Parts<S> {
  /** Laid over the plan. */
  readonly Marks?: ComponentType<MarksProps<S>>;
  readonly sides: readonly Side<S>[];
  /** Its wall unrolled stands at the foot. */
  readonly strip?: boolean;
}

/** They come when they are wanted. */
const KindTray = later(() => import('../openings/KindTray'));
const TypePanel = later(() => import('../openings/TypePanel'));
export const UnderlayPanel = later(() => import('../underlay/UnderlayPanel'));
const RoomCeiling = later(() => import('../ceilings/RoomCeiling'));
const SlopeTiles = later(() => import('../ceilings/SlopeTiles'));
const BreakTiles = later(() => import('../ceilings/BreakTiles'));
const StairsChecks = later(() => import('../stairs/StairsChecks'));
const StairsForm = later(() => import('../stairs/StairsForm'));

const NoteTiles = later(() => ofNotes('NoteTiles'));
const RoomLabel = later(() => ofNotes('RoomLabel'));
const WallHatch = later(() => ofNotes('WallHatch'));
const Marked = piece(() => ofNotes('NoteMarks'));
const NoteMarks = (props: MarksProps<Of<'note'>>) => (
  <Quiet>
    <Marked {...props} />
  </Quiet>
);

const PieceTiles = later(() => ofPieces('PieceTiles'));
const PieceCopies = later(() => ofPieces('PieceCopies'));
const PieceModules = later(() => ofPieces('PieceModules'));
const PieceGetIn = later(() => ofPieces('PieceGetIn'));
const PieceAbout = later(() => ofPieces('PieceAbout'));
const MarkedPiece = piece(() => ofPieces('PieceMarks'));
const PieceMarks = (props: MarksProps<Of<'piece'>>) => (
  <Quiet>
    <MarkedPiece {...props} />
  </Quiet>
);
const isOne = ({ plan: { selection } }: RootState): boolean => selection.kind === 'piece' && selection.ids.length === 1;
const hasModules = ({ plan: { plan, selection } }: RootState): boolean =>
  selection.kind === 'piece' && selection.ids.length === 1 && plan?.pieces[selection.ids[0]!]?.builtIn !== null;

const FIGURES = { panel: null, label: 'Size', icon: 'ruler' } as const;
const TRAY = {
  panel: 'tray',
  label: 'More kinds',
  icon: 'view-grid-plus-outline',
  Content: KindTray,
  under: 'in',
} as const;

const PARTS: { readonly [K in Selection['kind']]: Parts<Of<K>> } = {
  nothing: { sides: [] },
  room: {
    Marks: ChosenRoom,
    sides: [
      { panel: null, label: 'Figures', icon: 'table', Content: RoomCard },
      { panel: 'do', label: 'Arrange', icon: 'cursor-move', Tiles: RoomTiles },
      { panel: 'ceiling', label: 'Ceiling', icon: 'home-roof', Content: RoomCeiling },
      { panel: 'label', label: 'Label', icon: 'format-title', Content: RoomLabel },
    ],
  },
  rooms: { Marks: ChosenRooms, sides: [{ ...FIGURES, Tiles: RoomTiles }] },
  wall: {
    Marks: ChosenWall,
    strip: true,
    sides: [
      FIGURES,
      { panel: 'in', label: 'Stands in it', icon: 'door', Tiles: StandsInWall },
      { panel: 'made', label: 'Made of', icon: 'wall', Tiles: WallMade, Content: WallHatch },
      TRAY,
    ],
  },
  opening: {
    Marks: ChosenOpening,
    strip: true,
    sides: [
      FIGURES,
      { panel: 'do', label: 'Place', icon: 'arrow-left-right', Tiles: OpeningTiles },
      { panel: 'type', label: 'Type', icon: 'shape-outline', Content: TypePanel },
      {
        panel: 'swing',
        label: 'Swing',
        icon: 'door-open',
        Content: SwingControl,
        when: (state) => {
          const opening = selectOpening(state)?.opening;
          return opening !== undefined && turns(opening);
        },
      },
    ],
  },
  corner: { Marks: ChosenCorner, sides: [{ ...FIGURES, Tiles: CornerTiles }] },
  solid: { Marks: ChosenSolid, sides: [{ ...FIGURES, Tiles: SolidTiles }] },
  stairs: {
    Marks: ChosenStairs,
    sides: [
      { ...FIGURES, Tiles: StairsChecks },
      { panel: 'type', label: 'Form', icon: 'stairs', Tiles: StairsForm },
    ],
  },
  slope: { Marks: ChosenSlope, sides: [{ ...FIGURES, label: 'Heights', Tiles: SlopeTiles }] },
  break: { Marks: ChosenBreak, sides: [{ ...FIGURES, Tiles: BreakTiles }] },
  note: { Marks: NoteMarks, sides: [{ ...FIGURES, label: 'Note', icon: 'pencil-ruler', Tiles: NoteTiles }] },
  piece: {
    Marks: PieceMarks,
    sides: [
      { ...FIGURES, Tiles: PieceTiles, yields: true },
      { panel: 'copies', label: 'Copies', icon: 'content-copy', Tiles: PieceCopies },
      { panel: 'made', label: 'Made of', icon: 'table', Content: PieceModules, when: hasModules },
      { panel: 'in', label: 'Gets in?', icon: 'door-open', Content: PieceGetIn, when: isOne },
      { panel: 'about', label: 'About it', icon: 'label-outline', Content: PieceAbout },
    ],
  },
  underlay: { sides: [{ panel: null, label: 'Picture', icon: 'image-outline', Content: UnderlayPanel }] },
};

const partsOf = (selection: Selection): Parts<Selection> => PARTS[selection.kind] as unknown as Parts<Selection>;

/** Its wall unrolled stands at the foot. */
export const hasStrip = (selection: Selection): boolean => partsOf(selection).strip ?? false;

/** The sides of what is chosen that are there, with the one that is looked at. */
export function useSides(): { sides: readonly Side[]; shown: Side | null; strip: boolean } {
  const chosen = useAppSelector((state) => state.plan.selection);
  const panel = useAppSelector((state) => state.plan.panel);
  const there = useAppSelector((state) =>
    partsOf(chosen)
      .sides.map(({ when }) => !when || when(state))
      .join(),
  );
  return useMemo(() => {
    const all = partsOf(chosen).sides;
    const flags = there.split(',');
    const sides = all.filter((_, i) => flags[i] === 'true');
    return {
      sides,
      shown: sides.find((side) => side.panel === panel) ?? sides[0] ?? null,
      strip: partsOf(chosen).strip ?? false,
    };
  }, [chosen, panel, there]);
}

/** The tiles of a side; nothing where it has none. */
export const SideTiles = memo(function SideTiles({ side: { Tiles } }: { side: Side }) {
  const chosen = useAppSelector((state) => state.plan.selection);
  return Tiles ? <Tiles chosen={chosen} /> : null;
});

/** What is chosen, over the plan, with its handles. */
export function ChosenMarks(props: Omit<MarksProps<Selection>, 'chosen'>) {
  const chosen = useAppSelector((state) => state.plan.selection);
  const { Marks } = partsOf(chosen);
  return Marks ? <Marks chosen={chosen} {...props} /> : null;
}

function ChosenRoom(paint: Paint) {
  const room = useAppSelector(selectRoom);
  return room && <RoomMark room={room} corners colours={paint.colours} px={paint.px} />;
}

function ChosenRooms({ chosen, floor, colours, px }: MarksProps<Of<'rooms'>>) {
  return floor.rooms
    .filter(({ room }) => chosen.ids.includes(room.id))
    .map((each) => <RoomMark key={each.room.id} room={each} corners={false} colours={colours} px={px} />);
}

function ChosenWall({ floor, reach, colours, px }: MarksProps<Of<'wall'>>) {
  const face = useAppSelector(selectFace);
  const after = useAppSelector(selectGhost)?.floor;
  const moves = useAppSelector((state) => (state.plan.pad.field === 'length' ? selectMoves(state) : null));
  if (!face) return null;
  return (
    <>
      <FaceMark face={face} rooms={floor.rooms} reach={reach} colours={colours} px={px} />
      {moves && !after && <Ends face={face} moves={moves} colours={colours} px={px} />}
    </>
  );
}

function ChosenOpening({ floor, reach, colours, px }: MarksProps<Of<'opening'>>) {
  const face = useAppSelector(selectFace);
  const opening = useAppSelector(selectOpening);
  if (!face) return null;
  // while it is dragged off its wall the wall is still there
  if (!opening) return <FaceMark face={face} rooms={floor.rooms} reach={reach} colours={colours} px={px} />;
  return <OpeningMark face={face} opening={opening} tip={tipOf(floor, opening.opening)} colours={colours} px={px} />;
}

function ChosenCorner({ colours, px }: Paint) {
  const corner = useAppSelector(selectCorner);
  return corner && <CornerDot at={corner} id="chosen-corner" chosen colours={colours} px={px} />;
}

function ChosenSolid({ colours }: Paint) {
  const standing = useAppSelector(selectSolid);
  return standing && <SolidMark standing={standing} colours={colours} />;
}

function ChosenSlope({ colours, px }: Paint) {
  const on = useAppSelector(selectSlope);
  return on && <SlopeMark on={on} colours={colours} px={px} />;
}

function ChosenBreak({ colours }: Paint) {
  const on = useAppSelector(selectBreak);
  return on && <RingMark ring={on.ring} colours={colours} />;
}

function ChosenStairs({ colours }: Paint) {
  const on = useAppSelector(selectStairs);
  return on && <StairsMark on={on} colours={colours} />;
}
