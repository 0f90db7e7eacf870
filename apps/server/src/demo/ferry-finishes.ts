import type { DemoBuilder } from './builder';

interface Rooms {
  readonly hall: string;
  readonly waiting: string;
  readonly kitchen: string;
  readonly cooking: string;
  readonly store: string;
  readonly wash: string;
  readonly vault: string;
  readonly landing: string;
  readonly river: string;
  readonly garden: string;
  readonly linen: string;
}

/** How Ferry House is to look: the same in both ways to furnish it, but for the waiting room. All invented. */
export function dress(build: DemoBuilder, rooms: Rooms, two: string): void {
  const before = build.option;
  build.option = null;
  build.dress(null, 'face', 'Folded Linen');
  build.dress(null, 'ceiling', 'Slack Water');
  build.dress(null, 'outside', 'Tallow Candle');
  build.dress(null, 'roof', 'Wet Slate');
  build.dress(null, 'floor', 'Deck pine');
  build.dress(null, 'frame', 'Salt Cellar');
  build.dress(null, 'leaf', 'Boat Shed');
  build.dress(null, 'stairs', 'Rope Walk');
  build.trim(null, 'skirting', 'ogee', '0.145', '0.02');
  build.trim(null, 'board', 'rounded', '0.03', '0.04');
  build.dress(null, 'skirting', 'Salt Cellar');
  build.goTo('ground');
  build.dress(rooms.hall, 'face', 'Sage Tin');
  build.dress(rooms.hall, 'floor', 'Harbour slate');
  build.trim(rooms.hall, 'cornice', 'cove', '0.10', '0.10');
  build.dress(rooms.waiting, 'face', 'Wash House');
  build.dressWall(rooms.waiting, 'right', 'River sprig');
  build.dress(rooms.waiting, 'floor', 'Oak herringbone');
  build.trim(rooms.waiting, 'cornice', 'ogee', '0.09', '0.09');
  for (const room of [rooms.kitchen, rooms.cooking]) {
    build.dress(room, 'face', 'Bread Flour');
    build.dress(room, 'floor', 'Quarry tile', { turn: 45, start: 'middle' });
  }
  build.dress(rooms.wash, 'face', 'White wall tile');
  build.dress(rooms.wash, 'floor', 'Water mosaic');
  build.trim(rooms.wash, 'skirting', 'none', '0.10', '0.02');
  build.dress(rooms.store, 'floor', 'Poured concrete');
  build.dress(rooms.vault, 'floor', 'Poured concrete');
  build.dress(rooms.vault, 'face', 'Driftline');
  build.dress(rooms.river, 'face', 'Plaster Pink');
  build.dress(rooms.garden, 'face', 'Mint Imperial');
  build.dress(rooms.garden, 'floor', 'Sand carpet');
  build.dress(rooms.linen, 'face', 'Biscuit');
  build.option = two;
  build.dress(rooms.waiting, 'face', 'Ferry Deep');
  build.option = before;
}
