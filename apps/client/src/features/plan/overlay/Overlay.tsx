import { type DerivedFloor } from '@velvet-tape/core';
import { G } from '../../../ui/svg';
import type { HouseColours } from '../../../ui/theme';
import { useAppSelector } from '../../../store/store';
import { selectCorner, selectFace, selectGhost, selectOpening, selectRoom, selectSolid } from '../selectors';
import { CheckMarks } from './CheckMarks';
import { GhostMarks } from './GhostMarks';
import { CornerDot, Ends, FaceMark, OpeningMark, RoomMark, SolidMark } from './SelectionMarks';
import { MisclosureMarks, Pins } from './ReadingMarks';
import { tipOf } from '../tools/grips';
import { UnderlayMarks } from '../underlay/MarksOnSheet';
import { SketchMarks } from './SketchMarks';

interface Props {
  floor: DerivedFloor;
  colours: HouseColours;
  /** mm of the house per screen pixel */
  px: number;
  /** How far a finger may miss, mm. */
  reach: number;
}

/** What is laid over the drawing: the selection with its handles, the ghost of what is typed, what is being drawn. */
export function Overlay({ floor, colours, px, reach }: Props) {
  const selection = useAppSelector((state) => state.plan.selection);
  const face = useAppSelector(selectFace);
  const opening = useAppSelector(selectOpening);
  const room = useAppSelector(selectRoom);
  const standing = useAppSelector(selectSolid);
  const after = useAppSelector(selectGhost)?.floor ?? null;
  const moves = useAppSelector((state) => (state.plan.pad.field === 'length' ? state.plan.pad.moves : null));
  const paint = { colours, px };
  const corner = useAppSelector(selectCorner);
  return (
    <G>
      {selection.kind === 'room' && room && <RoomMark room={room} corners {...paint} />}
      {selection.kind === 'rooms' &&
        floor.rooms
          .filter((each) => selection.ids.includes(each.room.id))
          .map((each) => <RoomMark key={each.room.id} room={each} corners={false} {...paint} />)}
      {face && !opening && <FaceMark face={face} reach={reach} {...paint} />}
      {face && !opening && moves && !after && <Ends face={face} moves={moves} {...paint} />}
      {face && opening && <OpeningMark face={face} opening={opening} tip={tipOf(floor, opening.opening)} {...paint} />}
      {standing && <SolidMark standing={standing} colours={colours} />}
      {corner && <CornerDot at={corner} id="chosen-corner" chosen {...paint} />}
      {after && <GhostMarks before={floor} after={after} {...paint} />}
      <CheckMarks {...paint} />
      <MisclosureMarks {...paint} />
      <Pins floor={floor} {...paint} />
      <UnderlayMarks {...paint} />
      <SketchMarks {...paint} floor={floor} />
    </G>
  );
}
