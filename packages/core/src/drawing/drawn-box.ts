import { type Box, type Point, boxAround, ringsBox } from '../geometry';
import { boxOf } from './lettering';
import type { Mark } from './marks';

/** Round all that is drawn, leaves that open outwards and what is written beside the house too, mm of the house; null when nothing is. */
export function drawnBox(marks: readonly Mark[], lettering: number): Box | null {
  return boxAround(marks.flatMap((mark): Point[] => reaches(mark, lettering)));
}

function reaches(mark: Mark, lettering: number): Point[] {
  switch (mark.kind) {
    case 'path': {
      const box = ringsBox(mark.rings);
      return box ? cornersOf(box) : [];
    }
    case 'arc': {
      const { centre, radius, from, to } = mark;
      const middle = { x: (from.x + to.x) / 2 - centre.x, y: (from.y + to.y) / 2 - centre.y };
      const far = Math.hypot(middle.x, middle.y);
      return far === 0
        ? [from, to]
        : [from, to, { x: centre.x + (middle.x * radius) / far, y: centre.y + (middle.y * radius) / far }];
    }
    case 'text': {
      const { at, d, long, high } = boxOf(mark, lettering);
      const x = Math.abs(d.x) * long + Math.abs(d.y) * high;
      const y = Math.abs(d.y) * long + Math.abs(d.x) * high;
      return cornersOf({ minX: at.x - x, minY: at.y - y, maxX: at.x + x, maxY: at.y + y });
    }
    case 'picture':
      return [];
  }
}

const cornersOf = ({ minX, minY, maxX, maxY }: Box): Point[] => [
  { x: minX, y: minY },
  { x: maxX, y: maxY },
];
