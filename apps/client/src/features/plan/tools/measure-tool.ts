import {
  type DerivedFloor,
  type Place,
  type Point,
  cross,
  distance,
  faceAt,
  faceByKey,
  surfaceContains,
  namedDiagonal,
  nearestAlong,
  pointAt,
  valueOnPlan,
  type HeightReading,
  heightPlace,
  slopeOver,
} from '@velvet-tape/core';
import type { HeightProposal } from '../sketching/height';
import type { Picked, ReadingProposal } from '../sketching/reading';
import { type Bench, type Pointer, type Tool, tapTool } from './tool';

/** Faces that differ by more than this have no distance between them: sin 15°. */
const PARALLEL = 0.26;

/**
 * Measures from what is tapped first to what is tapped second: between two inside corners a diagonal, between two walls the
 * distance across, from a corner to a wall the same; a corner tapped twice is its angle; the middle of a floor, where nothing else is, the height
 * over it. What was read is then typed.
 */
export function measureTool(bench: Bench): Tool {
  const open = (): ReadingProposal | null => {
    const proposal = bench.proposal();
    return proposal?.kind === 'reading' ? proposal : null;
  };
  return tapTool(bench, (pointer) => {
    const floor = bench.floor();
    const picked = pickAt(floor, pointer);
    if (!picked) {
      bench.propose(open() ? null : heightAt(floor, pointer.at));
      return;
    }
    const first = open()?.place ? null : open()?.first;
    const proposal = first && readingFor(floor, placeBetween(floor, first, picked));
    bench.propose(
      proposal ? { ...proposal, first } : { kind: 'reading', first: picked, place: null, now: 0, read: null },
    );
  });
}

/** A reading about to be typed, with what it is on the plan; null where it can't be taken. */
export function readingFor(floor: DerivedFloor, place: Place | null): ReadingProposal | null {
  const now = place && valueOnPlan(floor.network, place);
  if (!place || now === null) return null;
  const named = namedDiagonal(floor, place);
  return {
    ...{ kind: 'reading', first: null, place, now, read: null },
    ...(named && { named: { words: named.words, other: named.other } }),
  };
}

/** The height under the slope over a point of a room's floor, about to be typed; null where there is no floor. */
function heightAt(floor: DerivedFloor, at: Point): HeightProposal | null {
  const room = floor.rooms.find(({ outline }) => surfaceContains(outline.rings, at));
  if (!room) return null;
  const id = room.room.id;
  const slope = slopeOver(room.ceiling, at);
  const near = (each: HeightReading) => {
    const place = heightPlace(floor, each);
    return place && distance(place, at) < 100;
  };
  const before = floor.heights.find((each) => each.room === id && each.slope === slope && near(each));
  const place = before && heightPlace(floor, before);
  return { kind: 'height', room: id, slope, at: place ?? at, now: before?.value ?? null, read: null };
}

/** The inside corner under a finger, else the wall. */
function pickAt(floor: DerivedFloor, { at, reach }: Pointer): Picked | null {
  let best: { picked: Picked; off: number } | null = null;
  for (const room of floor.rooms) {
    for (const face of room.faces) {
      const off = distance(face.a, at);
      if (off > 1.2 * reach || (best && off >= best.off)) continue;
      best = { off, picked: { kind: 'corner', corner: face.from, towards: face.halves[0]!.to, at: face.a } };
    }
  }
  if (best) return best.picked;
  const face = faceAt(floor, at, reach);
  if (!face || face.bulge !== 0) return null;
  const along = Math.min(face.length, Math.max(0, nearestAlong(face.course, at)));
  return { kind: 'face', from: face.from, to: face.to, at: pointAt(face.course, along) };
}

function placeBetween(floor: DerivedFloor, one: Picked, two: Picked): Place | null {
  if (one.kind === 'corner' && two.kind === 'corner') {
    if (one.corner === two.corner && one.towards === two.towards)
      return { kind: 'angle', face: 'inside', from: one.corner, to: one.towards, via: [] };
    const beside = sideBetween(floor, one.corner, two.corner);
    if (beside) return beside;
    return { kind: 'diagonal', face: 'inside', from: one.corner, to: two.corner, via: [one.towards, two.towards] };
  }
  const target = two.kind === 'face' ? two : one.kind === 'face' ? one : null;
  const other = target === two ? one : two;
  const from = other.kind === 'face' ? other : target && faceAlong(floor, other.corner, target);
  if (!target || !from || (from.from === target.from && from.to === target.to)) return null;
  const [a, b] = [faceByKey(floor, `${from.from}>${from.to}`), faceByKey(floor, `${target.from}>${target.to}`)];
  if (!a || !b || Math.abs(cross(a.d, b.d)) > PARALLEL) return null;
  return { kind: 'between', face: 'inside', from: a.from, to: a.to, via: [b.from, b.to] };
}

/** Two corners next to each other have a wall between them, not a diagonal. */
function sideBetween(floor: DerivedFloor, one: string, two: string): Place | null {
  for (const room of floor.rooms) {
    for (const { from, to, bulge } of room.faces) {
      if ((from === one && to === two) || (from === two && to === one))
        return { kind: bulge === 0 ? 'length' : 'chord', face: 'inside', from, to, via: [] };
    }
  }
  return null;
}

/** The wall at a corner that runs along another wall. */
function faceAlong(
  floor: DerivedFloor,
  corner: string,
  along: Picked & { kind: 'face' },
): { from: string; to: string } | null {
  const target = faceByKey(floor, `${along.from}>${along.to}`);
  if (!target) return null;
  const faces = floor.rooms.flatMap((room) => room.faces).filter(({ from, to }) => from === corner || to === corner);
  return (
    faces
      .filter(({ d }) => Math.abs(cross(d, target.d)) < PARALLEL)
      .sort((a, b) => Math.abs(cross(a.d, target.d)) - Math.abs(cross(b.d, target.d)))[0] ?? null
  );
}
