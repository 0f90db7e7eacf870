import { ROOM_COLOURS, type WallKind } from '@velvet-tape/core';
import { type Command, useAppDispatch, useAppSelector } from '../../../store/store';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { DropMenu } from '../../../ui/DropMenu';
import { loosen, pushPart, stepWall, toNextWall } from '../commands';
import { edit } from '../edit';
import { addOpening } from '../openings/commands';
import { ReadAlong } from '../openings/OpeningActions';
import { planActions } from '../plan-slice';
import { cornersChosen, pin } from '../readings/commands';
import {
  addCorner,
  colourRoom,
  copyRooms,
  keepFlush,
  labelBack,
  setWallKind,
  straighten,
  transform,
} from '../rooms-commands';
import { selectFace, selectRoom, selectSolid } from '../selectors';
import { closeEnd } from '../sketching/commands';
import type { Of } from './chosen-kind';
import { remove } from './kinds';

export function WallActions() {
  const dispatch = useAppDispatch();
  const kind = useAppSelector((state) => selectFace(state)?.halves[0]!.wall.kind);
  const read = useAppSelector((state) => Boolean(selectFace(state)?.reading));
  const curved = useAppSelector((state) => selectFace(state)?.bulge !== 0);
  const neighbours = useAppSelector((state) => state.plan.choices.neighbours);
  const round = useAppSelector((state) => state.plan.choices.round);
  if (!kind) return null;
  const chalk = kind === 'chalk';
  return (
    <>
      {!chalk && (
        <>
          <BarButton icon="door" label="Door" says="Add door" onPress={() => dispatch(addOpening('door'))} />
          <BarButton
            icon="window-closed-variant"
            label="Window"
            says="Add window"
            onPress={() => dispatch(addOpening('window'))}
          />
          <BarButton
            icon="view-grid-plus-outline"
            label="More"
            says="More doors and windows"
            onPress={() => dispatch(planActions.panelShown('tray'))}
          />
          <ReadAlong />
          {!curved && (
            <BarButton
              icon="wall"
              label="Push a part"
              says="Push a part of this wall"
              onPress={() => dispatch(pushPart)}
            />
          )}
        </>
      )}
      <BarIcon icon="chevron-left" says="Wall before" onPress={() => dispatch(stepWall(-1))} />
      <BarIcon icon="chevron-right" says="Next wall" onPress={() => dispatch(stepWall(1))} />
      {read && <BarButton icon="lock-open-variant-outline" label="Loosen" onPress={() => dispatch(loosen)} />}
      <BarButton
        icon={neighbours === 'stretch' ? 'arrow-expand-horizontal' : 'angle-acute'}
        label={neighbours === 'stretch' ? 'Neighbours stretch' : 'Neighbours turn'}
        says={`When it is dragged its neighbours ${neighbours}. Change.`}
        onPress={() => dispatch(planActions.choicesMade({ neighbours: neighbours === 'stretch' ? 'turn' : 'stretch' }))}
      />
      <BarIcon
        icon={round === 'clockwise' ? 'rotate-right' : 'rotate-left'}
        says={`Walls are taped ${round}. Change.`}
        onPress={() =>
          dispatch(planActions.choicesMade({ round: round === 'clockwise' ? 'anticlockwise' : 'clockwise' }))
        }
      />
      <BarButton icon="skip-next-outline" label="Skip" says="Skip this wall" onPress={() => dispatch(toNextWall)} />
      <PinButton />
      <WallMenu kind={kind} curved={curved} />
      <BarIcon icon="delete-outline" says="Remove wall" onPress={() => dispatch(remove)} />
    </>
  );
}

/** What is chosen stays where it is, whatever is read. */
function PinButton() {
  const dispatch = useAppDispatch();
  const face = useAppSelector(selectFace);
  const room = useAppSelector(selectRoom);
  const selection = useAppSelector((state) => state.plan.selection);
  const all = useAppSelector((state) => state.plan.plan?.corners);
  const corners = cornersChosen(room, face, selection.kind === 'corner' ? selection.id : null);
  const pinned = corners.length > 0 && corners.every((id) => all?.[id]?.pinned);
  return (
    <BarButton
      icon={pinned ? 'pin-off-outline' : 'pin-outline'}
      label={pinned ? 'Unpin' : 'Pin'}
      says={pinned ? 'Let it move again' : 'This stays'}
      onPress={() => dispatch(pin(corners, !pinned))}
    />
  );
}

function WallMenu({ kind, curved }: { kind: WallKind; curved: boolean }) {
  const dispatch = useAppDispatch();
  const chalk = kind === 'chalk';
  const entry = (title: string, icon: string, what: Command) => ({ title, icon, onPress: () => dispatch(what) });
  return (
    <DropMenu
      icon="dots-horizontal"
      says="More about this wall"
      entries={[
        entry('Add a corner', 'vector-point-plus', addCorner),
        ...(curved ? [entry('Straighten', 'vector-line', straighten)] : []),
        ...(kind === 'party' || chalk ? [entry('Make it a wall', 'wall', setWallKind('wall'))] : []),
        ...(kind !== 'party' && !chalk ? [entry('Party wall', 'home-group', setWallKind('party'))] : []),
        ...(chalk ? [] : [entry('Chalk line instead', 'dots-horizontal', setWallKind('chalk'))]),
        entry('Keep flush inside', 'align-horizontal-left', keepFlush('inside')),
        entry('Keep flush outside', 'align-horizontal-right', keepFlush('outside')),
      ]}
    />
  );
}

/** Of one room, or of several. */
export function RoomActions() {
  const dispatch = useAppDispatch();
  const placed = useAppSelector((state) => Boolean(selectRoom(state)?.room.label));
  const selection = useAppSelector((state) => state.plan.selection);
  const several = selection.kind === 'rooms';
  return (
    <>
      {selection.kind === 'room' && (
        <BarButton
          icon="cursor-move"
          label="Move"
          says="Move this room"
          onPress={() => dispatch(planActions.selected({ kind: 'rooms', ids: [selection.id] }))}
        />
      )}
      <BarButton
        icon="rotate-right"
        label="Turn"
        says="Turn a quarter"
        onPress={() => dispatch(transform({ turn: 90 }))}
      />
      <BarButton icon="flip-horizontal" label="Mirror" onPress={() => dispatch(transform({ mirror: true }))} />
      <BarButton icon="content-copy" label="Copy" onPress={() => dispatch(copyRooms)} />
      {!several && placed && <BarButton icon="label-outline" label="Label back" onPress={() => dispatch(labelBack)} />}
      {!several && <PinButton />}
      {!several && <ColourMenu />}
    </>
  );
}

function ColourMenu() {
  const dispatch = useAppDispatch();
  return (
    <DropMenu
      icon="palette-outline"
      says="Room colour"
      entries={[null, ...ROOM_COLOURS].map((colour) => ({
        title: colour ? colour[0]!.toUpperCase() + colour.slice(1) : 'Plain',
        onPress: () => dispatch(colourRoom(colour)),
      }))}
    />
  );
}

export function CornerActions({ chosen: { id: corner } }: { chosen: Of<'corner'> }) {
  const dispatch = useAppDispatch();
  const open = useAppSelector((state) => state.plan.plan?.walls);
  const ends = Object.values(open ?? {}).filter((wall) => wall.start === corner || wall.end === corner).length;
  return (
    <>
      {ends === 1 && (
        <>
          <BarButton strong label="Close it squared" onPress={() => dispatch(closeEnd(corner, 'squared'))} />
          <BarButton label="Close it straight" onPress={() => dispatch(closeEnd(corner, 'straight'))} />
        </>
      )}
      <PinButton />
      <BarButton icon="delete-outline" label="Take corner away" onPress={() => dispatch(remove)} />
    </>
  );
}

export function SolidActions() {
  const dispatch = useAppDispatch();
  const standing = useAppSelector(selectSolid);
  if (!standing) return null;
  const { id, shape, kind } = standing.solid;
  const other = shape === 'round' ? 'rectangle' : 'round';
  return (
    <>
      {kind !== 'chimney breast' && (
        <BarButton
          icon={other === 'round' ? 'circle-outline' : 'square-outline'}
          label={other === 'round' ? 'Round' : 'Rectangular'}
          onPress={() => dispatch(edit({ kind: 'changeSolid', solid: id, shape: other }))}
        />
      )}
      <BarIcon icon="delete-outline" says={`Remove ${kind}`} onPress={() => dispatch(remove)} />
    </>
  );
}
