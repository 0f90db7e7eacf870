import type { StairChange, StairForm, StairTurn } from '@velvet-tape/core';
import { Tile, Tiles } from '../../../ui/Tile';
import { lent } from '../later/lent';

const { edit, remove, selectStairs, useAppDispatch, useAppSelector } = lent();

const FORMS: readonly (readonly [label: string, icon: string, form: StairForm, angle: number | null])[] = [
  ['Straight', 'stairs', 'stairs', null],
  ['Quarter turn', 'arrow-right-top', 'stairs', 90],
  ['Half turn', 'undo-variant', 'stairs', 180],
  ['Spiral', 'rotate-right', 'spiral', null],
  ['Ladder', 'ladder', 'ladder', null],
  ['Hatch', 'square-outline', 'hatch', null],
  ['Ramp', 'slope-uphill', 'ramp', null],
];
const RAILS = { both: 'left', left: 'right', right: 'none', none: 'both' } as const;
const RAIL_WORDS = { both: 'Rails both sides', left: 'Rail left', right: 'Rail right', none: 'No rail' } as const;
const OPENINGS = { 'as stairs': 'square', square: 'none', none: 'as stairs' } as const;
const OPENING_WORDS = { 'as stairs': 'Open as they are', square: 'Open square', none: 'Floor closed' } as const;

/** The form of the chosen stairs: how they turn, what their treads and rails are, how the floor above is open. */
export default function StairsForm() {
  const dispatch = useAppDispatch();
  const on = useAppSelector(selectStairs);
  if (!on) return null;
  const { stair } = on;
  const { form, turns, side, open, rail, opening, turn } = stair;
  const change = (fields: StairChange) => () =>
    dispatch(edit({ kind: 'changeStairs', stair: stair.id, change: fields }));
  const last = turns.at(-1);
  const by = last?.by ?? 'landing';
  const sign = last && last.angle < 0 ? -1 : 1;
  const turned: readonly StairTurn[] = turns.map((each) => ({ ...each, angle: -each.angle }));
  const isForm = (name: StairForm, angle: number | null) =>
    form === name &&
    (name !== 'stairs' ||
      (angle === null ? turns.length === 0 : turns.length === 1 && Math.abs(last!.angle) === angle));
  const winding = by === 'winders';
  return (
    <Tiles>
      {FORMS.map(([label, icon, name, angle]) => (
        <Tile
          key={label}
          icon={icon}
          label={label}
          chosen={isForm(name, angle)}
          onPress={change({ form: name, turns: angle === null ? [] : [{ after: null, angle: sign * angle, by }] })}
        />
      ))}
      {(turns.length > 0 || form === 'spiral') && (
        <Tile
          icon="flip-horizontal"
          label="Other hand"
          says="They turn the other way"
          onPress={change({ turns: turned, side: side === 'left' ? 'right' : 'left' })}
        />
      )}
      {form === 'stairs' && turns.length > 0 && (
        <Tile
          icon={winding ? 'square-outline' : 'angle-acute'}
          label={winding ? 'Landings' : 'Winders'}
          onPress={change({ turns: turns.map((each) => ({ ...each, by: winding ? 'landing' : 'winders' })) })}
        />
      )}
      {form === 'stairs' && turns.length < 6 && (
        <Tile
          icon="vector-polyline"
          label="One more turn"
          onPress={change({ turns: [...turns, { after: null, angle: sign * 90, by }] })}
        />
      )}
      <Tile icon="rotate-right" label="Turn" says="Turn a quarter" onPress={change({ turn: (turn + 90) % 360 })} />
      {form !== 'hatch' && form !== 'ramp' && (
        <>
          <Tile
            icon="view-sequential-outline"
            label={open ? 'Open risers' : 'Closed risers'}
            says={`The risers are ${open ? 'open' : 'closed'}. Change.`}
            onPress={change({ open: !open })}
          />
          <Tile
            icon="minus"
            label={RAIL_WORDS[rail]}
            says={`${RAIL_WORDS[rail]}. Change.`}
            onPress={change({ rail: RAILS[rail] })}
          />
        </>
      )}
      {form !== 'ramp' && (
        <Tile
          icon="crop-free"
          label={OPENING_WORDS[opening.shape]}
          says={`The floor above: ${OPENING_WORDS[opening.shape]}. Change.`}
          onPress={change({ opening: { shape: OPENINGS[opening.shape] } })}
        />
      )}
      {opening.from !== null && (
        <Tile icon="restart" label="Open by headroom" onPress={change({ opening: { from: null } })} />
      )}
      {(stair.risers ?? stair.going ?? stair.rise) !== null && (
        <Tile
          icon="restart"
          label="Usual steps"
          says="Risers and going as is usual for the height again"
          onPress={change({ risers: null, going: null, rise: null })}
        />
      )}
      <Tile icon="delete-outline" label="Remove" says="Remove stairs" onPress={() => dispatch(remove)} />
    </Tiles>
  );
}
