import type { FinishLook } from '@velvet-tape/core';
import { BarButton } from '../../../../ui/BarButton';
import { lent } from '../../later/lent';
import { Bar, TYPED } from '../bars/Bar';
import { useLengths } from '../use-lengths';

const { DropMenu, Written, BONDS, MOTIFS, SHEENS, STARTS, capital, decimals } = lent();

/** How what is laid is made and laid: what each stuff has of it. Lengths as they are typed, angles in degrees. */
export function LookForm({ look, change }: { look: FinishLook; change(to: Partial<FinishLook>): boolean }) {
  const { written, typed, say } = useLengths();
  const { stuff } = look;
  const units =
    stuff === 'tiles' || stuff === 'boards' || stuff === 'parquet' || stuff === 'stone' || stuff === 'concrete';
  // a picture is not stretched: with one of its sizes goes the other
  const sized = (field: 'along' | 'across' | 'joint', mm: number): Partial<FinishLook> =>
    stuff === 'picture'
      ? { along: (look.along * mm) / look[field], across: (look.across * mm) / look[field] }
      : { [field]: mm };
  const length = (label: string, field: 'along' | 'across' | 'joint') => (
    <Written
      style={TYPED}
      key={`${field} ${look[field]}`}
      label={label}
      value={written(look[field])}
      keep={(text) => {
        // only joints can be of no width
        if (field === 'joint' && /^0+([.,]0*)?\s*(mm|cm|m)?$/.test(text.trim())) return change({ joint: 0 });
        return typed(text, (mm) => change(sized(field, mm)));
      }}
    />
  );
  const colour = (label: string, field: 'colour' | 'second') => (
    <Written
      style={TYPED}
      key={`${field} ${look[field]}`}
      label={label}
      value={look[field]}
      keep={(text) => {
        const digits = text.trim().replace(/^#?/, '#').toUpperCase();
        if (!/^#[0-9A-F]{6}$/.test(digits)) return say('Type a colour as six digits, like #A9B79B.');
        return change({ [field]: digits, ...(field === 'colour' && stuff === 'paint' ? { name: digits } : {}) });
      }}
    />
  );
  const choice = <V extends string>(
    label: string,
    all: readonly V[],
    field: 'bond' | 'motif' | 'start' | 'sheen',
    short = label,
  ) => (
    <DropMenu
      icon="menu-down"
      label={`${short}: ${look[field]}`}
      says={`${label}. Change.`}
      entries={all.map((each) => ({
        title: capital(each),
        icon: look[field] === each ? 'check' : 'blank',
        onPress: () => change({ [field]: each }),
      }))}
    />
  );
  return (
    <Bar>
      {colour('Colour', 'colour')}
      {(units || stuff === 'wallpaper') && colour(units ? 'Joints' : 'Print', 'second')}
      {units && length('Length', 'along')}
      {units && length('Width', 'across')}
      {units && length('Joint', 'joint')}
      {stuff === 'wallpaper' && length('Width', 'along')}
      {stuff === 'wallpaper' && length('Repeat', 'across')}
      {stuff === 'picture' && length('True width', 'along')}
      {stuff === 'picture' && length('True height', 'across')}
      {units && choice('Bond', BONDS, 'bond')}
      {stuff === 'wallpaper' && choice('Print', MOTIFS, 'motif')}
      {stuff === 'paint' && choice('Sheen', SHEENS, 'sheen')}
      {stuff !== 'paint' && stuff !== 'carpet' && choice('Where the first one lies', STARTS, 'start', 'From')}
      {units && (
        <BarButton
          label="Diagonal"
          chosen={look.turn % 90 !== 0}
          onPress={() => change({ turn: look.turn % 90 === 0 ? 45 : 0 })}
        />
      )}
      {stuff !== 'paint' && stuff !== 'carpet' && (
        <Written
          style={TYPED}
          key={`turn ${look.turn}`}
          label="Turned, °"
          value={decimals(look.turn, 1).replace(/[.,]0$/, '')}
          keep={(text) => {
            const turn = Number(text.trim().replace(',', '.').replace(/°$/, '').replace('−', '-'));
            if (text.trim() === '' || !Number.isFinite(turn)) return say('Type degrees, like 45.');
            return change({ turn: turn % 360 });
          }}
        />
      )}
    </Bar>
  );
}
