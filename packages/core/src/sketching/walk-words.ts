import type { Units } from '../plan/plan';
import { MISCLOSURE, slipOf } from '../trueup';
import { formatLength } from '../units';
import type { WalkEnd } from './walk';

export interface WalkEndSaid {
  readonly words: string;
  /** It misses by so much that a wall should be measured again. */
  readonly again: boolean;
  /** The wall that alone could explain it; null when none can, or there is nothing to explain. */
  readonly suspect: number | null;
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
      return { words: 'A room needs three walls at least.', again: false, suspect: null };
    case 'one wall missing':
      return {
        words: `One wall is missing: ${long(end.length)} straight back to the beginning. It will be worked out.`,
        again: false,
        suspect: null,
      };
    case 'closes': {
      const { by, dx, dy, perimeter, most, suspects } = end.misclosure;
      const small = (mm: number) => (units === 'metric' && mm < 1000 ? `${Math.round(mm)} mm` : long(mm));
      if (by < MISCLOSURE.silent)
        return { words: `It closes: ${small(by)} off over ${long(perimeter)}.`, again: false, suspect: null };
      const ways = [
        Math.abs(dx) >= 1 && `${small(Math.abs(dx))} left to right`,
        Math.abs(dy) >= 1 && `${small(Math.abs(dy))} top to bottom`,
      ].filter(Boolean);
      const misses = `Misses by ${ways.join(' and ')}, 1 in ${Math.round(perimeter / by)}.`;
      const spread = `Spread over all walls, none changes by more than ${small(most)}.`;
      // a slip explains better than chance; then the wall typed last
      const judged = suspects.map(({ leg, fits }) => ({ leg, fits, slip: slipOf(lengths[leg]!, fits, 5) }));
      const worst = judged.find(({ slip }) => slip) ?? judged[0];
      if (!worst)
        return { words: `${misses} No one wall explains it. ${spread}`, again: by > MISCLOSURE.again, suspect: null };
      const { leg, fits, slip } = worst;
      const others = slip ? [] : judged.filter((each) => each !== worst).map((each) => each.leg + 1);
      const or = others.length > 0 ? ` (or wall ${others.join(' or ')})` : '';
      const alone = `Wall ${leg + 1}${or}, ${long(lengths[leg]!.value)}, would close it with ${long(slip?.value ?? fits)}${slip?.kind === 'digits swapped' ? ': digits swapped?' : '.'}`;
      return { words: `${misses} ${alone} ${spread}`, again: by > MISCLOSURE.again, suspect: leg };
    }
  }
}
