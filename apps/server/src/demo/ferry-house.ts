import type { Plan } from '@velvet-tape/core';
import { DemoBuilder } from './builder';

/** The former ticket house of a river ferry, being turned into a small holiday let. All invented. */
export function ferryHouse(): { id: string; plan: Plan } {
  const build = new DemoBuilder(
    {
      name: 'Ferry House',
      address: 'The Old Landing, Heronsgate Quay',
      units: 'metric',
      usual: { externalThickness: 300, internalThickness: 100, partyThickness: 250, ceilingHeight: 2600 },
      north: 20,
    },
    '2026-05-04T09:20:00Z',
  );
  const hall = build.room('Ticket hall', 0, 0, 5100, 4000);
  build.tape(hall, 'top', '5.24');
  build.tape(hall, 'right', '4.065');
  const waiting = build.room('Waiting room', 5240, 0, 9100, 4065);
  build.tape(waiting, 'top', '3.87');
  const kitchen = build.room("Keeper's kitchen", 0, 4065, 3600, 7400);
  build.tape(kitchen, 'bottom', '3.615');
  build.tape(kitchen, 'left', '3.28');
  // between the kitchen and the outer walls of the rooms above and beside it
  const { a: topLeft, b: bottomLeft } = build.face(kitchen, 'right');
  build.room('Net store', topLeft.x, topLeft.y, build.face(waiting, 'right').b.x, bottomLeft.y);
  // sketched, not taped yet
  const quay = build.face(waiting, 'right').b;
  build.room('Porch', quay.x, quay.y - 2600, quay.x + 1900, quay.y - 400);
  build.height(hall, '2.95');
  build.opening('door', hall, 'left', '0.62', { width: '1.01', height: '2.10' });
  build.opening('window', hall, 'top', '0.80', { width: '1.45', height: '1.35', sill: '0.85' });
  build.opening('window', hall, 'top', '0.80', { width: '1.45', height: '1.35', sill: '0.85' }, 'right');
  build.opening('door', waiting, 'left', '0.55', { width: '0.83' });
  build.opening('window', waiting, 'top', '1.10', { width: '1.60', height: '1.35', sill: '0.55' });
  build.opening('door', kitchen, 'top', '2.30', { width: '0.73' });
  build.opening('window', kitchen, 'left', '1.05', { width: '1.20', height: '1.05', sill: '1.05' });
  return { id: 'ferry-house', plan: build.plan };
}
