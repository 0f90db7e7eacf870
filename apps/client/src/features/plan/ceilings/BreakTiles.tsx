import { Tile, Tiles } from '../../../ui/Tile';
import { lent } from '../later/lent';

const { edit, remove, selectBreak, useAppDispatch, useAppSelector } = lent();

/** Pitches a gabled dormer usually has, degrees; 0: flat. */
const PITCHES = [0, 25, 40] as const;

/** What can be done with a dormer, beam, dropped ceiling or step. */
export default function BreakTiles() {
  const dispatch = useAppDispatch();
  const on = useAppSelector(selectBreak);
  if (!on) return null;
  const { id, form, height, pitch, stand } = on.broken;
  const change = (fields: object) => () => dispatch(edit({ kind: 'changeBreak', broken: id, ...fields }));
  return (
    <Tiles>
      {form === 'dormer' &&
        PITCHES.map((each) => (
          <Tile
            key={each}
            icon={each === 0 ? 'minus' : 'home-roof'}
            label={each === 0 ? 'Flat' : `Gabled ${each}°`}
            chosen={pitch === each}
            onPress={change({ pitch: each })}
          />
        ))}
      {form === 'step' && (
        <Tile
          icon="swap-vertical"
          label={height > 0 ? 'Down instead' : 'Up instead'}
          onPress={change({ height: -height })}
        />
      )}
      {stand.kind === 'free' && (
        <Tile
          icon="rotate-right"
          label="Turn"
          says="Turn a quarter"
          onPress={change({ turn: (stand.turn + 90) % 360 })}
        />
      )}
      <Tile icon="delete-outline" label="Remove" says={`Remove this ${form}`} onPress={() => dispatch(remove)} />
    </Tiles>
  );
}
