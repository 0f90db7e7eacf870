import { ListBar } from '../later/ListPanel';
import { lent } from '../later/lent';

const { DropMenu, HATCHES, capital, edit, selectFace, useAppDispatch, useAppSelector } = lent();

/** How a wall is drawn by what it is made of. */
export default function WallHatch() {
  const dispatch = useAppDispatch();
  const face = useAppSelector(selectFace);
  if (!face || face.halves[0]!.wall.kind === 'chalk') return null;
  const { hatch: now, floor } = face.halves[0]!.wall;
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
    </ListBar>
  );
}
