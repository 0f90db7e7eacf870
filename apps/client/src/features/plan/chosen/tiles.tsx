import { ROOM_COLOURS, floorBeside } from '@velvet-tape/core';
import { Text } from 'react-native-paper';
import { type Command, useAppDispatch, useAppSelector } from '../../../store/store';
import { DropMenu } from '../../../ui/DropMenu';
import { Tile, Tiles } from '../../../ui/Tile';
import { useColours } from '../../../ui/theme';
import { capital } from '../../../ui/capital';
import { loosen, pushPart, toNextWall } from '../commands';
import { edit } from '../edit';
import { HowRead } from '../foot/HowRead';
import { addOpening } from '../openings/commands';
import { ReadAlong } from '../openings/opening-tiles';
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
import { standAt } from '../views/stand-at';
import { selectFace, selectRoom, selectSolid } from '../selectors';
import { closeEnd } from '../sketching/commands';
import type { Of } from './chosen-kind';
import { remove } from './kinds';

/** What stands in the chosen wall, and what is read along it. */
export function StandsInWall() {
  const dispatch = useAppDispatch();
  const kind = useAppSelector((state) => selectFace(state)?.halves[0]!.wall.kind);
  if (!kind) return null;
  if (kind === 'chalk') return <None words="A chalk line parts two rooms: nothing stands in it." />;
  return (
    <Tiles>
      <Tile strong icon="door" label="Door" says="Add door" onPress={() => dispatch(addOpening('door'))} />
      <Tile
        strong
        icon="window-closed-variant"
        label="Window"
        says="Add window"
        onPress={() => dispatch(addOpening('window'))}
      />
      <Tile
        icon="view-grid-plus-outline"
        label="More kinds"
        says="More doors and windows"
        onPress={() => dispatch(planActions.panelShown('tray'))}
      />
      <ReadAlong />
    </Tiles>
  );
}

/** What the chosen wall is made of, and how it goes with its neighbours. */
export function WallMade() {
  const dispatch = useAppDispatch();
  const kind = useAppSelector((state) => selectFace(state)?.halves[0]!.wall.kind);
  const read = useAppSelector((state) => Boolean(selectFace(state)?.reading));
  const curved = useAppSelector((state) => selectFace(state)?.bulge !== 0);
  const neighbours = useAppSelector((state) => state.plan.choices.neighbours);
  const round = useAppSelector((state) => state.plan.choices.round);
  if (!kind) return null;
  const chalk = kind === 'chalk';
  const does = (icon: string, label: string, what: Command, says = label) => (
    <Tile key={label} icon={icon} label={label} says={says} onPress={() => dispatch(what)} />
  );
  return (
    <Tiles>
      {(kind === 'party' || chalk) && does('wall', 'Make it a wall', setWallKind('wall'))}
      {kind !== 'party' && !chalk && does('home-group', 'Party wall', setWallKind('party'))}
      {!chalk && does('dots-horizontal', 'Chalk line instead', setWallKind('chalk'))}
      {does('vector-point-plus', 'Add a corner', addCorner)}
      {!curved && !chalk && does('wall', 'Push a part', pushPart, 'Push a part of this wall')}
      {curved && does('vector-line', 'Straighten', straighten)}
      <Tile
        icon="vector-radius"
        label="Bend by radius"
        onPress={() => {
          dispatch(planActions.panelShown(null));
          dispatch(planActions.fieldChosen('radius'));
        }}
      />
      {does('align-horizontal-left', 'Keep flush inside', keepFlush('inside'))}
      {does('align-horizontal-right', 'Keep flush outside', keepFlush('outside'))}
      <PinTile />
      {!chalk && <HowRead tile />}
      <Tile
        icon={neighbours === 'stretch' ? 'arrow-expand-horizontal' : 'angle-acute'}
        label={`Neighbours ${neighbours}`}
        says={`When it is dragged its neighbours ${neighbours}. Change.`}
        onPress={() => dispatch(planActions.choicesMade({ neighbours: neighbours === 'stretch' ? 'turn' : 'stretch' }))}
      />
      <Tile
        icon={round === 'clockwise' ? 'rotate-right' : 'rotate-left'}
        label={`Tape ${round}`}
        says={`Walls are taped ${round}. Change.`}
        onPress={() =>
          dispatch(planActions.choicesMade({ round: round === 'clockwise' ? 'anticlockwise' : 'clockwise' }))
        }
      />
      {does('skip-next-outline', 'Skip', toNextWall, 'Skip this wall')}
      {read && does('lock-open-variant-outline', 'Loosen', loosen)}
      {does('delete-outline', 'Remove wall', remove)}
    </Tiles>
  );
}

function None({ words }: { words: string }) {
  const colours = useColours();
  return <Text style={{ color: colours.inkSoft, padding: 14, fontSize: 15 }}>{words}</Text>;
}

/** What is chosen stays where it is, whatever is read. */
function PinTile() {
  const dispatch = useAppDispatch();
  const face = useAppSelector(selectFace);
  const room = useAppSelector(selectRoom);
  const selection = useAppSelector((state) => state.plan.selection);
  const all = useAppSelector((state) => state.plan.plan?.corners);
  const corners = cornersChosen(room, face, selection.kind === 'corner' ? selection.id : null);
  const pinned = corners.length > 0 && corners.every((id) => all?.[id]?.pinned);
  return (
    <Tile
      icon={pinned ? 'pin-off-outline' : 'pin-outline'}
      label={pinned ? 'Unpin' : 'Pin'}
      says={pinned ? 'Let it move again' : 'This stays'}
      onPress={() => dispatch(pin(corners, !pinned))}
    />
  );
}

/** Of one room, or of several. */
export function RoomTiles() {
  const dispatch = useAppDispatch();
  const placed = useAppSelector((state) => Boolean(selectRoom(state)?.room.label));
  const selection = useAppSelector((state) => state.plan.selection);
  const several = selection.kind === 'rooms';
  return (
    <Tiles>
      {selection.kind === 'room' && (
        <Tile
          icon="cursor-move"
          label="Move"
          says="Move this room"
          onPress={() => dispatch(planActions.selected({ kind: 'rooms', ids: [selection.id] }))}
        />
      )}
      {selection.kind === 'room' && (
        <Tile
          icon="shoe-print"
          label="Step inside"
          says="Step inside this room"
          onPress={() => dispatch(standAt({ room: selection.id }))}
        />
      )}
      <Tile icon="rotate-right" label="Turn" says="Turn a quarter" onPress={() => dispatch(transform({ turn: 90 }))} />
      <Tile icon="flip-horizontal" label="Mirror" onPress={() => dispatch(transform({ mirror: true }))} />
      <Tile icon="content-copy" label="Copy" onPress={() => dispatch(copyRooms)} />
      {!several && placed && <Tile icon="label-outline" label="Label back" onPress={() => dispatch(labelBack)} />}
      {!several && <PinTile />}
      {!several && <ColourTile />}
      {!several && <VoidTile />}
      {!several && <Tile icon="delete-outline" label="Remove room" onPress={() => dispatch(remove)} />}
    </Tiles>
  );
}

/** A room that has no floor of its own, where there is a floor below to see into. */
function VoidTile() {
  const dispatch = useAppDispatch();
  const room = useAppSelector(selectRoom)?.room;
  const plan = useAppSelector((state) => state.plan.plan);
  if (!room || !plan || (!floorBeside(plan, room.floor, 'below') && !room.overVoid)) return null;
  return (
    <Tile
      icon="layers-outline"
      label={room.overVoid ? 'Give it a floor' : 'Open to below'}
      onPress={() => dispatch(edit({ kind: 'openRoom', room: room.id, overVoid: !room.overVoid }))}
    />
  );
}

function ColourTile() {
  const dispatch = useAppDispatch();
  return (
    <DropMenu
      tile
      icon="palette-outline"
      label="Colour"
      says="Room colour"
      entries={[null, ...ROOM_COLOURS].map((colour) => ({
        title: colour ? capital(colour) : 'Plain',
        onPress: () => dispatch(colourRoom(colour)),
      }))}
    />
  );
}

export function CornerTiles({ chosen: { id: corner } }: { chosen: Of<'corner'> }) {
  const dispatch = useAppDispatch();
  const open = useAppSelector((state) => state.plan.plan?.walls);
  const ends = Object.values(open ?? {}).filter((wall) => wall.start === corner || wall.end === corner).length;
  return (
    <Tiles>
      {ends === 1 && (
        <>
          <Tile
            strong
            icon="vector-polyline"
            label="Close it squared"
            onPress={() => dispatch(closeEnd(corner, 'squared'))}
          />
          <Tile icon="vector-line" label="Close it straight" onPress={() => dispatch(closeEnd(corner, 'straight'))} />
        </>
      )}
      <PinTile />
      <Tile icon="delete-outline" label="Take corner away" onPress={() => dispatch(remove)} />
    </Tiles>
  );
}

export function SolidTiles() {
  const dispatch = useAppDispatch();
  const standing = useAppSelector(selectSolid);
  if (!standing) return null;
  const { id, shape, kind } = standing.solid;
  const other = shape === 'round' ? 'rectangle' : 'round';
  return (
    <Tiles>
      {kind !== 'chimney breast' && (
        <Tile
          icon={other === 'round' ? 'circle-outline' : 'square-outline'}
          label={other === 'round' ? 'Round' : 'Rectangular'}
          onPress={() => dispatch(edit({ kind: 'changeSolid', solid: id, shape: other }))}
        />
      )}
      <Tile icon="delete-outline" label="Remove" says={`Remove ${kind}`} onPress={() => dispatch(remove)} />
    </Tiles>
  );
}
