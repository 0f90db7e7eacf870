import Flatbush from 'flatbush';
import { type Ring, boxAround } from '../geometry';
import { onceFor } from '../memory';
import { type LetterBox, boxOf, liesOver, overlap } from './lettering';
import type { Mark, Role, TextMark } from './marks';

/** What is written first: names of rooms, then what was read, then what follows from it. */
const RANK: Partial<Record<Role, number>> = {
  'room.name': 0,
  'room.area': 0,
  'dimension.taped': 1,
  'dimension.scaled': 2,
  'dimension.check': 3,
  'ceiling.text': 4,
  'dimension.workedOut': 4,
  'dimension.rough': 4,
};

/** Does a text lie over something that is built? */
const overOneOf = onceFor((rings: readonly Ring[]): ((box: LetterBox) => boolean) => {
  if (rings.length === 0) return () => false;
  const index = new Flatbush(rings.length);
  for (const ring of rings) {
    const { minX, minY, maxX, maxY } = boxAround(ring)!;
    index.add(minX, minY, maxX, maxY);
  }
  index.finish();
  return (box) => {
    const { at, far } = box;
    return index.search(at.x - far, at.y - far, at.x + far, at.y + far).some((i) => liesOver(box, rings[i]!));
  };
});

/** The figures the plan writes itself; what was written by hand is none of them: they make room for it. */
const figuresOf = onceFor((marks: readonly Mark[]): readonly TextMark[] =>
  marks.filter(
    (mark): mark is TextMark => mark.kind === 'text' && mark.unit !== undefined && !mark.role.startsWith('note.'),
  ),
);

/**
 * Leaves out what would be written over what is built (rings without arcs), under what is laid over the drawing, or over something more important: it comes when it is looked at closer. Marks that belong together
 * are left out together; those that stay are the same.
 */
export function declutter<Part extends { readonly marks: readonly Mark[] }>(
  parts: readonly Part[],
  lettering: number,
  built: readonly Ring[],
  over: readonly LetterBox[] = [],
): readonly Part[] {
  const units = new Map<string, TextMark[]>();
  for (const { marks } of parts) {
    for (const mark of figuresOf(marks)) {
      const texts = units.get(mark.unit!);
      if (texts) texts.push(mark);
      else units.set(mark.unit!, [mark]);
    }
  }
  const rank = (texts: readonly TextMark[]) => RANK[texts[0]!.role] ?? 5;
  const size = (texts: readonly TextMark[]) => Math.max(...texts.map((text) => text.size));
  const inOrder = [...units].sort(([, a], [, b]) => rank(a) - rank(b) || size(b) - size(a));
  const boxes = inOrder.flatMap(([unit, texts]) =>
    texts.map((text) => ({ unit, stays: rank(texts) === 0, ...boxOf(text, lettering) })),
  );
  if (boxes.length === 0) return parts;
  const index = new Flatbush(boxes.length);
  for (const { at, far } of boxes) index.add(at.x - far, at.y - far, at.x + far, at.y + far);
  index.finish();
  const left = new Set<string>();
  const overBuilt = overOneOf(built);
  // in the order of rank: over what stands already nothing is written
  boxes.forEach((box, i) => {
    if (left.has(box.unit)) return;
    const { at, far, unit } = box;
    if (overBuilt(box) || (!box.stays && over.some((each) => overlap(box, each)))) {
      left.add(unit);
      return;
    }
    const near = index.search(at.x - far, at.y - far, at.x + far, at.y + far, (j) => j < i);
    if (near.some((j) => boxes[j]!.unit !== unit && !left.has(boxes[j]!.unit) && overlap(box, boxes[j]!)))
      left.add(unit);
  });
  if (left.size === 0) return parts;
  return parts.map((part) => {
    const marks = part.marks.filter(({ unit }) => unit === undefined || !left.has(unit));
    return marks.length === part.marks.length ? part : { ...part, marks };
  });
}
