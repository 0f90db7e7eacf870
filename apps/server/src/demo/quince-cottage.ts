import type { Plan } from '@velvet-tape/core';
import { DemoBuilder } from './builder';

/** One room and a closet, in feet and inches. All invented. */
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
  return { id: 'quince-cottage', plan: build.plan };
}
