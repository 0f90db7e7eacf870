import type { Point } from '@velvet-tape/core';
import { laterRooms } from '../../../core-later/to-come';
import type { Bench, Pointer } from '../tools/tool';
import { on } from './holding';
import { KEPT, pieceInHand, putDown } from './in-hand';
import { isNewWall, keepNewWall, newWallLine } from './new-wall';

const { betweenPoints, onSheet, usualModules, wallNear } = laterRooms();

/** What is drawn from one end to the other, and not put down by a tap. */
export interface Drawn {
  /** What is shown of it meanwhile. */
  outline(to: Pointer): readonly Point[];
  /** False where it was refused, or is nothing yet. */
  keep(to: Pointer): boolean;
}

/** What is in hand as something that is drawn from there on that way: a new wall anywhere, what is built in along a wall. Null where it is not. */
export function drawnFrom(bench: Bench, form: string | null, from: Pointer, to: Pointer): Drawn | null {
  if (form === null) return null;
  if (isNewWall(form))
    return {
      outline: (to) => {
        const { a, b } = newWallLine(bench, from, to);
        return [a.at, b.at];
      },
      keep: (to) => keepNewWall(bench, from, to, form),
    };
  return builtInFrom(bench, form, from, to);
}

function builtInFrom(bench: Bench, form: string, from: Pointer, towards: Pointer): Drawn | null {
  const { kind, piece } = pieceInHand(form);
  const { modules } = kind;
  const floor = bench.floor();
  const face = modules ? wallNear(floor, from.at, towards.at, from.reach) : null;
  if (!face || !modules) return null;
  const others = on(bench);
  const along = (to: Pointer) => {
    const how = { reach: to.free ? 0 : to.reach, others };
    return betweenPoints(floor, face, piece, [from.at, to.at], how);
  };
  return {
    outline: (to) => {
      const ends = along(to)?.ends;
      if (!ends) return [];
      const frame = { at: ends[0], d: face.d };
      const { width } = along(to)!;
      return [ends[0], ends[1], onSheet(frame, width, piece.depth), onSheet(frame, 0, piece.depth)];
    },
    keep: (to) => {
      const found = along(to);
      if (!found) return false;
      const { width, stand } = found;
      // one that was kept has its own parts
      const builtIn = form.startsWith(KEPT) ? piece.builtIn : usualModules(width, modules);
      return putDown(bench, form, { ...piece, width, stand, builtIn });
    },
  };
}
