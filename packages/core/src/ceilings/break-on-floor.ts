import { lastFor } from '../memory';
import { type Ring, constant } from '../geometry';
import type { Break, Id } from '../plan/plan';
import type { Network } from '../walls';
import { type Frame, frameOf, insideRectangle, onSheet, planeInFrame, rectangleIn } from './frame';
import type { Elsewhere, Plane } from './lowest';

/** A dormer, beam, dropped ceiling or step as it lies on a floor. */
export interface BreakOnFloor {
  readonly broken: Break;
  readonly frame: Frame;
  /** From above, clockwise, mm. */
  readonly ring: Ring;
}

const last = lastFor<Break, BreakOnFloor>();

export function breaksOn(
  plan: { breaks: Readonly<Record<Id, Break>> },
  floor: Id,
  network: Network,
): readonly BreakOnFloor[] {
  return Object.values(plan.breaks).flatMap((broken): BreakOnFloor[] => {
    if (broken.floor !== floor) return [];
    const { stand, width, depth } = broken;
    const frame = frameOf(network, stand, width);
    if (!frame) return [];
    const { at, along } = frame;
    return [
      last(broken, [at.x, at.y, along.x, along.y], () => ({
        broken,
        frame,
        ring: rectangleIn(frame, stand, width, depth),
      })),
    ];
  });
}

/** What it does to the ceiling or floor of a room whose floor lies `step` mm over that of its storey. */
export function elsewhereOf({ broken, frame }: BreakOnFloor, step: number): Elsewhere {
  const { id, form, stand, width, depth, height, pitch } = broken;
  const all = { id, inside: insideRectangle(frame, stand, width, depth), raised: [], lowered: null, step: 0 };
  switch (form) {
    case 'dormer':
      return { ...all, raised: dormerPlanes(id, frame, width, height + step, pitch) };
    case 'dropped':
    case 'beam':
      return { ...all, lowered: constant(height + step) };
    case 'step':
      return { ...all, step: height };
  }
}

/** Level, or a gable with its ridge from front to back. */
function dormerPlanes(of: Id, frame: Frame, width: number, height: number, pitch: number): readonly Plane[] {
  if (pitch === 0) return [{ of, height: constant(height) }];
  const rise = Math.tan((pitch * Math.PI) / 180);
  return [-1, 1].map((side) => ({
    of,
    height: planeInFrame({ ...frame, at: onSheet(frame, (side * width) / 2, 0) }, height, 0, -side * rise),
  }));
}
