import type { Plan } from '@velvet-tape/core';
import { DemoBuilder } from './builder';

/** One room and a closet, in feet and inches; four ways to sew in it. All invented. */
export function quinceCottage(): { id: string; plan: Plan } {
  const build = new DemoBuilder(
    { name: 'Quince Cottage sewing room', address: '3 Orchard Steps, Little Marrow', units: 'imperial' },
    '2026-05-11T14:05:00Z',
  );
  const sewing = build.room('Sewing room', 0, 0, 3700, 3000);
  build.tape(sewing, 'top', `12' 6"`);
  build.tape(sewing, 'right', `9' 8 1/2"`);
  const closet = build.room('Closet', 3810, 0, 4900, 2100);
  build.tape(closet, 'top', `3' 4 3/4"`);
  build.opening('hinged door', sewing, 'bottom', `1' 3"`, { width: `2' 8"` });
  build.opening('sash window', sewing, 'top', `4' 0"`, { width: `4' 6"`, height: `4' 0"`, sill: `2' 10"` });
  const closetDoor = build.opening('hinged door', closet, 'left', `1' 0"`, { width: `2' 4"` });
  build.flip(closetDoor, 'swing');
  fourOptions(build, sewing);
  return { id: 'quince-cottage', plan: build.plan };
}

/** The same room with built-ins along one wall or another; in the last the closet is part of it. */
function fourOptions(build: DemoBuilder, sewing: string): void {
  const under = (build.option = build.addOption('Under the window'));
  build.put('built-in-desk', 1900, 350, { width: `12' 0"`, price: 640, maker: 'To measure' });
  build.put('office-chair', 1900, 1150, { turn: 180, price: 145 });
  build.put('bookcase', 150, 1900, { width: `2' 11"`, price: 90 });
  build.put('rug', 1900, 2100, { turn: 0, width: `5' 0"`, depth: `3' 0"`, price: 80 });
  const doors = (build.option = build.addOption('Wall of doors'));
  build.put('built-in', 300, 1480, {
    width: `9' 8"`,
    depth: `1' 11"`,
    height: `7' 10"`,
    price: 1480,
    maker: 'To measure',
  });
  build.put('sewing-table', 1900, 320, { width: `4' 6"`, price: 310 });
  build.put('chair', 1900, 1000, { turn: 180, price: 55 });
  build.option = build.addOption('Cutting in the middle');
  build.put('cutting-table', 2000, 1750, { width: `4' 0"`, depth: `2' 0"`, turn: 0, price: 480 });
  build.put('sewing-table', 1900, 320, { width: `4' 0"`, price: 290 });
  build.put('built-in-shelves', 150, 1480, { width: `9' 8"`, price: 520, maker: 'To measure' });
  build.put('stool', 1900, 900, { turn: 0, price: 35 });
  const open = (build.option = build.addOption('With the closet', under));
  build.takeAway(open, sewing, 'right');
  build.put('built-in-low', 4441, 229, { turn: 0, width: `3' 4"`, depth: `1' 6"`, price: 380, maker: 'To measure' });
  build.option = doors;
}
