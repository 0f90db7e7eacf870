import type { EitherStand, Point } from '@velvet-tape/core';
import { laterRooms } from '../../../core-later/to-come';
import type { Bench, Pointer } from '../tools/tool';

const { anchorAt } = laterRooms();

/** In hand in the place of a kind of piece: what an option alters is drawn. */
export const NEW_WALL = 'new wall';
export const NEW_CHALK = 'new chalk line';
export const isNewWall = (form: string | null): boolean => form === NEW_WALL || form === NEW_CHALK;

/** An end stands at a face, or free: at a corner it is along the face of one of its walls. */
function endAt(bench: Bench, p: Point, reach: number): { stand: EitherStand; at: Point } {
  const { stand, at } = anchorAt(bench.floor(), p, reach);
  return { at, stand: stand.kind === 'opening' ? { kind: 'free', x: at.x, y: at.y, turn: 0 } : stand };
}

/** The line being drawn, both ends caught by what is there. */
export function newWallLine(bench: Bench, from: Pointer, to: Pointer) {
  const reach = to.free ? 0 : to.reach;
  const [a, b] = [endAt(bench, from.at, reach), endAt(bench, square(from.at, to.at), reach)];
  return { a, b };
}

/** Drawn a little off level or upright it is level or upright. */
function square(a: Point, b: Point): Point {
  const [dx, dy] = [Math.abs(b.x - a.x), Math.abs(b.y - a.y)];
  if (dy < 0.12 * dx) return { x: b.x, y: a.y };
  return dx < 0.12 * dy ? { x: a.x, y: b.y } : b;
}

/** Keeps the new wall, as thick as inner walls of this house are. False where it was refused. */
export function keepNewWall(bench: Bench, from: Pointer, to: Pointer, form: string): boolean {
  const option = bench.option();
  const { a, b } = newWallLine(bench, from, to);
  if (option === null || Math.hypot(a.at.x - b.at.x, a.at.y - b.at.y) < 100) return false;
  const { job } = bench.floor().plan;
  return bench.commit(
    {
      ...{ kind: 'alterHouse', option, floor: bench.floor().floor, ends: [a.stand, b.stand] },
      altered: { kind: 'wall', thickness: job.usual.internalThickness, chalk: form === NEW_CHALK },
    },
    bench.seed(),
  ).ok;
}
