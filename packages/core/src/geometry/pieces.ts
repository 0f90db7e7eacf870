import { onceFor } from '../memory';
import { ringsArea } from './clip';
import { type Ring, flattened, ringContains, signedArea } from './polygon';

/** Rings parted into connected pieces, each its outline followed by what is cut out of it; the largest piece first. Outlines are clockwise, holes anticlockwise. */
export const piecesOf = onceFor((rings: readonly Ring[]): readonly (readonly Ring[])[] => parted(rings));

function parted(rings: readonly Ring[]): readonly (readonly Ring[])[] {
  const outer = rings.filter((ring) => signedArea(ring) > 0);
  if (outer.length === 0) return [];
  if (outer.length === 1)
    return [rings[0] === outer[0] ? rings : [outer[0]!, ...rings.filter((ring) => ring !== outer[0])]];
  const pieces = outer.map((ring) => [ring]);
  for (const hole of rings) {
    if (signedArea(hole) > 0) continue;
    // a hole may touch its outline at a corner: most of its corners decide; of outlines within each other the smallest is its own
    const inside = pieces
      .filter(([ring]) => 2 * flattened(hole).filter((p) => ringContains(ring!, p)).length > flattened(hole).length)
      .sort(([a], [b]) => signedArea(a!) - signedArea(b!));
    inside[0]?.push(hole);
  }
  return pieces.sort((a, b) => ringsArea(b) - ringsArea(a));
}
