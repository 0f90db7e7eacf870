import type { DerivedFloor } from '@velvet-tape/core';
import { type ComponentType, memo } from 'react';
import { useAppSelector } from '../../../store/store';
import { OpeningActions } from '../openings/OpeningActions';
import type { Selection } from '../plan-state';
import { selectCorner, selectFace, selectOpening, selectRoom, selectSolid } from '../selectors';
import type { Paint } from '../overlay/paint';
import { tipOf } from '../tools/grips';
import { CornerActions, RoomActions, SolidActions, WallActions } from './Actions';
import type { Of } from './chosen-kind';
import { selectGhost } from './kinds';
import { CornerDot, Ends, FaceMark, OpeningMark, RoomMark, SolidMark } from './marks';

interface MarksProps<S> extends Paint {
  chosen: S;
  floor: DerivedFloor;
  /** How far a finger may miss, mm. */
  reach: number;
}

/** What is seen of one kind of chosen thing. */
interface Parts<S> {
  /** Laid over the plan. */
  readonly Marks?: ComponentType<MarksProps<S>>;
  /** What can be done with it. It knows no figures, so that it is left alone while something is dragged. */
  readonly Actions?: ComponentType<{ chosen: S }>;
  /** What stands at the foot of a phone: the tools, the room's card, the strip and the pad, the picture's panel. */
  readonly foot: 'tools' | 'room' | 'strip' | 'picture';
}

const PARTS: { readonly [K in Selection['kind']]: Parts<Of<K>> } = {
  nothing: { foot: 'tools' },
  room: { Marks: ChosenRoom, Actions: RoomActions, foot: 'room' },
  rooms: { Marks: ChosenRooms, Actions: RoomActions, foot: 'room' },
  wall: { Marks: ChosenWall, Actions: WallActions, foot: 'strip' },
  opening: { Marks: ChosenOpening, Actions: OpeningActions, foot: 'strip' },
  corner: { Marks: ChosenCorner, Actions: CornerActions, foot: 'room' },
  solid: { Marks: ChosenSolid, Actions: SolidActions, foot: 'strip' },
  underlay: { foot: 'picture' },
};

const partsOf = (selection: Selection): Parts<Selection> => PARTS[selection.kind] as unknown as Parts<Selection>;

export const footOf = (selection: Selection): Parts<Selection>['foot'] => partsOf(selection).foot;

export const Actions = memo(function Actions() {
  const chosen = useAppSelector((state) => state.plan.selection);
  const { Actions: Own } = partsOf(chosen);
  return Own ? <Own chosen={chosen} /> : null;
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

function ChosenWall({ reach, colours, px }: MarksProps<Of<'wall'>>) {
  const face = useAppSelector(selectFace);
  const after = useAppSelector(selectGhost)?.floor;
  const moves = useAppSelector((state) => (state.plan.pad.field === 'length' ? state.plan.pad.moves : null));
  if (!face) return null;
  return (
    <>
      <FaceMark face={face} reach={reach} colours={colours} px={px} />
      {moves && !after && <Ends face={face} moves={moves} colours={colours} px={px} />}
    </>
  );
}

function ChosenOpening({ floor, reach, colours, px }: MarksProps<Of<'opening'>>) {
  const face = useAppSelector(selectFace);
  const opening = useAppSelector(selectOpening);
  if (!face) return null;
  // while it is dragged off its wall the wall is still there
  if (!opening) return <FaceMark face={face} reach={reach} colours={colours} px={px} />;
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
