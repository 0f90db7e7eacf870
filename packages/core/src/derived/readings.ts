import { distance } from '../geometry';
import type { Reading } from '../plan/plan';
import { type Provenance, SILENT } from '../trueup';
import type { Fineness } from '../units';
import type { DerivedFloor, DerivedRoom, WallFace } from './derive-floor';

/** The room a reading was taken in; null where it was taken outside of rooms. */
export function roomOfReading(floor: DerivedFloor, { from, to }: Pick<Reading, 'from' | 'to'>): DerivedRoom | null {
  const along = floor.rooms.find(({ faces }) => faces.some((face) => face.from === from && face.to === to));
  if (along) return along;
  // of two rooms that have both corners the inner one is meant, which is the smaller
  const both = floor.rooms.filter(({ faces }) => {
    const corners = new Set(faces.flatMap((face) => face.halves.flatMap((half) => [half.from, half.to])));
    return corners.has(from) && corners.has(to);
  });
  return both.sort((a, b) => a.measures.area - b.measures.area)[0] ?? null;
}

/** Was the length of a wall read, on whichever face and with whatever instrument? */
export const isRead = ({ readings }: DerivedFloor, { from, to }: Pick<WallFace, 'from' | 'to'>): boolean =>
  readings.some((r) => (r.kind === 'length' || r.kind === 'chord') && r.from === from && r.to === to);

/** Does what was read along a face agree with the plan, as far as is silent? True where nothing was read. */
export const agrees = (face: WallFace): boolean =>
  !face.reading || Math.abs(face.reading.value - acrossOf(face)) < SILENT;

/** A reading that is met to this is the length, mm. */
const MET = 0.05;

/** The length to write at a face (of a curved one straight across), mm: what was fitted. A reading that is met is said as it was read, without what rounding leaves. */
export const lengthToSay = (face: WallFace): number => {
  const across = acrossOf(face);
  return face.reading && Math.abs(face.reading.value - across) < MET ? face.reading.value : across;
};

/** How finely a length is said: one that nobody read in the house not to the millimetre. */
export const finenessOf = (provenance: Provenance): Fineness =>
  provenance === 'rough' || provenance === 'scaled' ? 'coarse' : 'fine';

const acrossOf = (face: WallFace): number => (face.bulge === 0 ? face.length : distance(face.a, face.b));
