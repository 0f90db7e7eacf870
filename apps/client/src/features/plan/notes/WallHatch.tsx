import { ListBar } from '../later/ListPanel';
import { lent } from '../later/lent';

const { DropMenu, HATCHES, ROOM_COLOURS, capital, edit, selectFace, useAppDispatch, useAppSelector } = lent();

/** How a wall is drawn by what it is made of. */
export default function WallHatch() {
  const dispatch = useAppDispatch();
  const face = useAppSelector(selectFace);
  if (!face || face.halves[0]!.wall.kind === 'chalk') return null;
  const { hatch: now, tint, floor } = face.halves[0]!.wall;
  return (
    <ListBar>
      <DropMenu
        icon="texture-box"
        label={now ? `Drawn as ${now}` : 'Drawn filled'}
        says={`Wall drawn as: ${now ?? 'filled'}`}
        entries={[null, ...HATCHES].map((hatch) => ({
          title: hatch ? capital(hatch) : 'Filled',
          icon: hatch === now ? 'check' : 'blank',
          onPress: () => dispatch(edit({ kind: 'hatch', floor, of: { face: face.key }, hatch })),
        }))}
      />
      <DropMenu
        icon="palette-outline"
        label={tint ? capital(tint) : 'No tint'}
        says={`Tint of the wall: ${tint ?? 'none'}`}
        entries={[null, ...ROOM_COLOURS].map((each) => ({
          title: each ? capital(each) : 'None',
          icon: each === tint ? 'check' : 'blank',
          onPress: () => dispatch(edit({ kind: 'tintWalls', floor, face: face.key, tint: each })),
        }))}
      />
    </ListBar>
  );
}
