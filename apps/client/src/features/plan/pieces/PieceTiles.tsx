import { View } from 'react-native';
import { laterRooms } from '../../../core-later/to-come';
import { Tile, Tiles } from '../../../ui/Tile';
import { lent } from '../later/lent';
import { Advice } from './Advice';
import { chosenOf, standingNow } from './standing';

const { DropMenu, edit, formatLength, planActions, remove, useAppDispatch, useAppSelector } = lent();

/** What can be done with the chosen pieces: turned, mirrored, copied, put together, taken away. */
export default function PieceTiles() {
  const dispatch = useAppDispatch();
  const chosen = useAppSelector((state) => state.plan.selection);
  const all = useAppSelector(standingNow);
  const { adding } = useAppSelector((state) => state.plan.choices.piece);
  const { units } = useAppSelector((state) => state.plan.plan!.job);
  if (chosen.kind !== 'piece') return null;
  const held = chosenOf(all, chosen);
  const [one] = held;
  if (!one) return null;
  const { turnPiece, usualSizes } = laterRooms();
  const single = held.length === 1;
  const grouped = held.every(({ piece }) => piece.group !== '' && piece.group === one.piece.group);
  const copy = () => {
    const beside = one.piece.width + 50;
    const result = dispatch(
      edit({
        ...{ kind: 'copyPieces', pieces: chosen.ids },
        ...{ dx: one.frame.d.x * beside, dy: one.frame.d.y * beside },
      }),
    );
    if (result.ok && result.made) dispatch(planActions.selected({ kind: 'piece', ids: [result.made] }));
  };
  const sizes = usualSizes(one.kind);
  return (
    <View testID="piece-tiles">
      <Tiles>
        {single && (
          <>
            <Tile
              icon="rotate-right"
              label="Turn"
              says="Turn by a quarter"
              onPress={() => dispatch(edit({ kind: 'placePieces', places: [turnPiece(one, 90)] }))}
            />
            <Tile
              icon="flip-horizontal"
              label="Mirror"
              onPress={() =>
                dispatch(edit({ kind: 'changePiece', piece: one.piece.id, to: { mirrored: !one.piece.mirrored } }))
              }
            />
          </>
        )}
        <Tile icon="content-copy" label="Copy" onPress={copy} />
        {single && sizes.length > 1 && (
          <DropMenu
            tile
            icon="arrow-expand-horizontal"
            label="Usual sizes"
            says="Usual sizes"
            entries={sizes.map((size) => ({
              title: `${formatLength(size.width, units)} × ${formatLength(one.kind.round ? size.width : one.piece.depth, units)}`,
              icon: size.width === one.piece.width ? 'check' : 'blank',
              onPress: () => dispatch(edit({ kind: 'changePiece', piece: one.piece.id, to: { width: size.width } })),
            }))}
          />
        )}
        <Tile
          icon="plus"
          label="And another"
          says="And another: what is tapped is chosen too"
          chosen={adding}
          onPress={() => dispatch(planActions.choicesMade({ piece: { form: null, adding: !adding } }))}
        />
        {held.length > 1 && (
          <Tile
            icon={grouped ? 'call-split' : 'lasso'}
            label={grouped ? 'Ungroup' : 'Group'}
            onPress={() => dispatch(edit({ kind: 'groupPieces', pieces: chosen.ids, together: !grouped }))}
          />
        )}
        {single && (
          <DropMenu
            tile
            icon="layers-outline"
            label="Order"
            says="Which lies over the other"
            entries={[
              {
                title: 'Over the others',
                onPress: () => dispatch(edit({ kind: 'orderPiece', piece: one.piece.id, to: 'front' })),
              },
              {
                title: 'Under the others',
                onPress: () => dispatch(edit({ kind: 'orderPiece', piece: one.piece.id, to: 'back' })),
              },
            ]}
          />
        )}
        <Tile
          icon="delete-outline"
          label="Remove"
          says={single ? 'Remove this piece' : `Remove ${held.length} pieces`}
          onPress={() => dispatch(remove)}
        />
      </Tiles>
      {single && <Advice one={one} />}
    </View>
  );
}
