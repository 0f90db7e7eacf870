import { ROOF_FORMS, type RoofForm, type WallFace, faceAt, isOuter, surfaceContains } from '@velvet-tape/core';
import { type Bench, type Pointer, type Tool, tapTool } from './tool';

/** A wall as far from a finger as this share of its reach is still meant. */
const FAR = 3;

/** Slopes and roofs rise from the wall that is tapped; dormers, beams and steps go where they are put down. */
export function ceilingTool(bench: Bench): Tool {
  return tapTool(bench, (pointer) => {
    const { ceiling } = bench.choices();
    const floor = bench.floor().floor;
    if (isRoof(ceiling)) {
      const face = faceUnder(bench, pointer) ?? outerFace(bench, pointer);
      if (face)
        bench.propose({
          ...{ kind: 'roof', form: ceiling, face: face.key, eaves: null, ridge: null, pitch: null, ridgeAt: null },
          ...{ lowTo: null, lowPitch: 70 },
        });
      return;
    }
    if (ceiling === 'slope') {
      const face = faceMeant(bench, pointer);
      const { made } = face ? bench.commit({ kind: 'addSlope', floor, face: face.key }, bench.seed()) : { made: null };
      if (made) choose(bench, { kind: 'slope', id: made });
      return;
    }
    const at = { x: Math.round(pointer.at.x), y: Math.round(pointer.at.y) };
    const { made } = bench.commit({ kind: 'addBreak', floor, form: ceiling, at }, bench.seed());
    if (made) choose(bench, { kind: 'break', id: made });
  });
}

function choose(bench: Bench, selection: Parameters<Bench['select']>[0]): void {
  bench.handOver('choose');
  bench.select(selection);
}

const isRoof = (ceiling: string): ceiling is RoofForm => (ROOF_FORMS as readonly string[]).includes(ceiling);

/** The wall under the finger. */
function faceUnder(bench: Bench, { at, reach }: Pointer): WallFace | null {
  const floor = bench.floor();
  const room = floor.rooms.find(({ outline }) => surfaceContains(outline.rings, at));
  const near = faceAt(floor, at, FAR * reach);
  return !room || near?.room === room.room.id ? near : null;
}

/** The wall under the finger; in a room its nearest one. */
function faceMeant(bench: Bench, pointer: Pointer): WallFace | null {
  const floor = bench.floor();
  const room = floor.rooms.find(({ outline }) => surfaceContains(outline.rings, pointer.at));
  return (
    faceUnder(bench, pointer) ?? (room ? faceAt({ ...floor, rooms: [room], free: [] }, pointer.at, Infinity) : null)
  );
}

/** Tapped in the middle of a floor a roof rises from the nearest outer wall: it spans all rooms. */
function outerFace(bench: Bench, { at }: Pointer): WallFace | null {
  const floor = bench.floor();
  if (!floor.rooms.some(({ outline }) => surfaceContains(outline.rings, at))) return null;
  const outer = floor.rooms.flatMap((room) => {
    const faces = room.faces.filter(({ bulge, halves }) => bulge === 0 && halves.every(({ wall }) => isOuter(wall)));
    return faces.length > 0 ? [{ ...room, faces }] : [];
  });
  return faceAt({ ...floor, rooms: outer, free: [] }, at, Infinity);
}
