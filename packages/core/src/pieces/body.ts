import { onceFor } from '../memory';
import { type Ring, boxAround } from '../geometry';
import type { Piece } from '../plan/plan';
import { pieceKindOf } from './catalogue';
import type { Line, Part } from './form';

/** The parts of a piece in its own frame, mirrored where it is. What a view in space is made of, too. */
export const partsOf = onceFor((piece: Piece): readonly Part[] => {
  const parts = pieceKindOf(piece.form).form(piece, piece);
  return piece.mirrored ? parts.map((part) => mirrored(part, piece.width)) : parts;
});

function mirrored(part: Part, width: number): Part {
  const flip = <P extends { readonly x: number }>(p: P): P => ({ ...p, x: width - p.x });
  return {
    ...part,
    outline: reversedRing(part.outline.map(flip)),
    ...(part.lines && { lines: part.lines.map((each) => reversedLine(each.map(flip))) }),
    ...(part.face && { face: part.face.map((each) => reversedLine(each.map(flip))) }),
  };
}

/** The bulge of an edge stands at its first point: walked the other way it moves to the other end, and changes its side; mirrored it changes it once more. */
const reversedRing = (ring: Ring): Ring =>
  ring.map((_, i) => {
    const at = ring[(ring.length - i) % ring.length]!;
    const { bulge = 0 } = ring[(2 * ring.length - i - 1) % ring.length]!;
    return { x: at.x, y: at.y, bulge };
  });
const reversedLine = (line: Line): Line =>
  line.map((_, i) => {
    const at = line[line.length - 1 - i]!;
    const { bulge = 0 } = line[line.length - 2 - i] ?? {};
    return { x: at.x, y: at.y, bulge };
  });

/** The parts that are seen from above, the highest last; what lies wholly under a higher box is left out. */
export const seenFromAbove = onceFor((parts: readonly Part[]): readonly Part[] => {
  const drawn = parts.filter(({ plan }) => plan !== 'none').map((part, i) => ({ part, i }));
  drawn.sort((a, b) => a.part.to - b.part.to || a.i - b.i);
  const boxes = drawn.map(({ part }) => boxAround(part.outline)!);
  const covers = (i: number, j: number) => {
    const [over, under] = [drawn[j]!.part, boxes[i]!];
    if (over.stuff === 'glass' || over.outline.length !== 4 || over.outline.some(({ bulge }) => bulge)) return false;
    const box = boxes[j]!;
    return (
      box.minX <= under.minX + 0.5 &&
      box.maxX >= under.maxX - 0.5 &&
      box.minY <= under.minY + 0.5 &&
      box.maxY >= under.maxY - 0.5
    );
  };
  return drawn.filter((_, i) => !drawn.some((__, j) => j > i && covers(i, j))).map(({ part }) => part);
});
