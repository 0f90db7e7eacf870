import { edit } from '../edit';
import { type Point, cross, dot, lineMeeting, moved, rightOf } from '../../geometry';
import { type Draft, Refusal } from '../../plan/draft';
import type { Id } from '../../plan/plan';
import { networkBefore } from '../../rooms';
import { type HalfWall, type Network, STRAIGHT } from '../../walls';
import { requireFace } from '../require';
import { settle } from '../settle';

export interface KeepFlush {
  readonly kind: 'keepFlush';
  readonly floor: Id;
  readonly face: string;
  readonly side: 'inside' | 'outside';
}

/**
 * Where walls of different thickness stand in one line, one face is kept flush: the line of all of them is laid on that
 * face of the chosen wall, and every one stands with its whole thickness behind it.
 */
export function keepFlush(draft: Draft, { floor, face: key, side }: KeepFlush): void {
  const face = requireFace(draft, floor, key);
  if (face.bulge !== 0) throw new Refusal('Only straight walls can be kept flush.');
  const network = networkBefore(draft, floor);
  const chain = inLineWith(network, face.halves);
  if (chain.length === face.halves.length) throw new Refusal('No other wall goes on in line with this one.');
  const chosen = face.halves[0]!;
  const off = side === 'inside' ? chosen.right : -chosen.left;
  const { d } = chosen;
  const shift = moved({ x: 0, y: 0 }, rightOf(d), off);
  const mine = new Set(chain.map((half) => half.wall.id));
  for (const id of new Set(chain.flatMap((half) => [half.from, half.to]))) {
    draft.moveCorner(id, slid(network, id, mine, shift, d));
  }
  for (const { wall, forward, left, right } of chain) {
    const thickness = left + right;
    const onRight = (side === 'inside') !== forward;
    draft.put('walls', { ...wall, left: onRight ? 0 : thickness, right: onRight ? thickness : 0 });
  }
  const touched = network.walls.filter((wall) =>
    chain.some(({ from, to }) => [from, to].includes(wall.start) || [from, to].includes(wall.end)),
  );
  settle(draft, floor, { changed: touched.map((wall) => wall.id), adjust: { stay: [face.from] }, keepRooms: true });
}

/** The walls given, and all that go on from them in one line at either end, whatever their thickness. */
function inLineWith(network: Network, halves: readonly HalfWall[]): HalfWall[] {
  const chain = [...halves];
  for (let next = ahead(network, chain.at(-1)!); next && !has(chain, next); next = ahead(network, chain.at(-1)!))
    chain.push(next);
  for (let last = behind(network, chain[0]!); last && !has(chain, last); last = behind(network, chain[0]!))
    chain.unshift(last);
  return chain;
}

const has = (chain: readonly HalfWall[], half: HalfWall) => chain.some(({ wall }) => wall.id === half.wall.id);
const alike = (half: HalfWall, d: Point) =>
  half.bulge === 0 && dot(half.d, d) > 0 && Math.abs(cross(half.d, d)) < STRAIGHT;

const ahead = (network: Network, half: HalfWall): HalfWall | undefined =>
  network.stars.get(half.to)!.around.find((next) => next.wall.kind !== 'chalk' && alike(next, half.d));

function behind(network: Network, half: HalfWall): HalfWall | undefined {
  const back = network.half(half.wall.id, !half.forward);
  const next = ahead(network, back);
  return next && network.half(next.wall.id, !next.forward);
}

/** A corner of the line after the line was shifted: along the wall that crosses there, if one does. */
function slid(network: Network, id: Id, mine: ReadonlySet<Id>, shift: Point, d: Point): Point {
  const { corner, around } = network.stars.get(id)!;
  const to = { x: corner.x + shift.x, y: corner.y + shift.y };
  const rail = around
    .filter((half) => !mine.has(half.wall.id) && half.bulge === 0 && Math.abs(cross(half.d, d)) > 0.2)
    .sort((a, b) => Math.abs(cross(b.d, d)) - Math.abs(cross(a.d, d)))[0];
  return (rail && lineMeeting(corner, moved(corner, rail.d, 1000), to, moved(to, d, 1000))) ?? to;
}

export const flushEdits = {
  keepFlush: edit<KeepFlush>('keep flush', keepFlush),
};
