import { onceFor } from '../../memory';
import { type Ring, flattened, signedArea, union } from '../../geometry';
import { partsOf } from '../body';
import { type PieceOnFloor, onSheet } from '../on-floor';

/** What a piece truly covers of the floor, arcs flattened, clockwise: of a round one its circle, of one that goes round a corner its L. */
export const footprintOf = onceFor((on: PieceOnFloor): readonly Ring[] => {
  const outlines = partsOf(on.piece).map(({ outline }) =>
    flattened(outline.map((p) => ({ ...onSheet(on.frame, p.x, p.y), ...(p.bulge && { bulge: p.bulge }) }))),
  );
  return union(outlines.map((ring) => (signedArea(ring) < 0 ? [...ring].reverse() : ring)));
});

/** One walks under what begins so high, and over what is so low, mm (common practice, no source). */
export const OVER_HEADS = 1900;
const UNDER_FOOT = 60;

/** Does it take floor away from whoever walks? */
export const blocks = ({ kind, bottom, top }: PieceOnFloor): boolean =>
  !kind.passable && bottom < OVER_HEADS && top > UNDER_FOOT;

/** It is pulled out, or pushed aside, by whoever uses what it stands at. */
export const isPushedAside = ({ kind }: Pick<PieceOnFloor, 'kind'>): boolean =>
  kind.group === 'seating' && kind.width[0] <= 620 && kind.back === 'free';
