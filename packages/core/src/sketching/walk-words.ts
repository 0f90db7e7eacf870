import type { Units } from '../plan/plan';
import { slipOf } from '../trueup';
import { formatLength } from '../units';
import type { WalkEnd } from './walk';

export interface WalkEndSaid {
  readonly words: string;
  /** It misses by so much that a wall should be measured again. */
  readonly again: boolean;
  /** The walls of which each alone could explain it; none when none can, or there is nothing to explain. */
  readonly suspects: readonly number[];
}

/** How a walk ends in plain sentences, as a colleague would say them; `lengths` are those typed for its legs. */
export function walkEndInWords(
  end: WalkEnd,
  lengths: readonly { readonly value: number; readonly text: string }[],
  units: Units,
): WalkEndSaid {
  const long = (mm: number) => formatLength(mm, units);
  switch (end.kind) {
    case 'open':
      return { words: 'A room needs three walls at least.', again: false, suspects: [] };
    case 'one wall missing':
      return {
        words: `One wall is missing: ${long(end.length)} straight back to the beginning. It will be worked out.`,
        again: false,
        suspects: [],
      };
    case 'closes': {
      const { by, dx, dy, perimeter, most, suspects, asATapeDoes } = end.misclosure;
      const small = (mm: number) => (units === 'metric' && mm < 1000 ? `${Math.round(mm)} mm` : long(mm));
      if (asATapeDoes)
        return {
          words: `It closes: ${small(by)} off over ${long(perimeter)}, as a tape does.`,
          again: false,
          suspects: [],
        };
      const ways = [
        Math.abs(dx) >= 1 && `${small(Math.abs(dx))} left to right`,
        Math.abs(dy) >= 1 && `${small(Math.abs(dy))} top to bottom`,
      ].filter(Boolean);
      const misses = `Misses by ${ways.join(' and ')}, 1 in ${Math.round(perimeter / by)}.`;
      const spread = `Spread, no wall changes by more than ${small(most)}.`;
      const judged = suspects.map(({ leg, fits }) => ({ leg, fits, slip: slipOf(lengths[leg]!, fits, 5) }));
      // digits that were swapped, or a point out of place, tell one wall from another; a metre may have been misread on any
      const telling = judged.filter(({ slip }) => slip !== null && slip.kind !== 'misread');
      const likeliest = telling.length > 0 ? telling : judged;
      if (likeliest.length === 0)
        return { words: `${misses} No one wall explains it. ${spread}`, again: true, suspects: [] };
      const named = likeliest.map(({ leg, fits, slip }) => {
        const swapped = slip?.kind === 'digits swapped' ? 'digits swapped? ' : '';
        return `wall ${leg + 1}, ${long(lengths[leg]!.value)}: ${swapped}${long(slip?.value ?? fits)} would close it`;
      });
      const said = `${likeliest.length > 1 ? 'Either ' : ''}${named.join(', or ')}`;
      const alone = `${said}.`;
      return {
        words: `${misses} ${alone[0]!.toUpperCase()}${alone.slice(1)} ${spread}`,
        again: true,
        suspects: likeliest.map(({ leg }) => leg),
      };
    }
  }
}
