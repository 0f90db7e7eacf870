import { z } from 'zod';
import type { Id } from '../values';
import { id, millimetres, note, theNote } from './fields';
import { type Kind, onFloor, together } from './kind';
import { type EitherStand, againstWall, eitherStand, movedStand, onItsWall, standsFree } from './stand';

/** Where the ceiling, or the floor, of a part of a room is at another height: raised into a dormer, let down, crossed by a beam; a step in the floor. */
export const BREAK_FORMS = ['dormer', 'dropped', 'beam', 'step'] as const;
export type BreakForm = (typeof BREAK_FORMS)[number];

export interface Break {
  readonly id: Id;
  readonly floor: Id;
  readonly form: BreakForm;
  readonly stand: EitherStand;
  /** Along its wall, and out from it, mm. */
  readonly width: number;
  readonly depth: number;
  /** Of the ceiling there over the floor, of a gabled dormer at its sides; of a step how much the floor there is higher, below it negative. mm. */
  readonly height: number;
  /** Of a dormer with a ridge from front to back, degrees; 0: its ceiling is flat. */
  readonly pitch: number;
  readonly note: string;
}

/** What a new one measures, mm (common practice, no source). */
export const USUAL_BREAK: Record<
  BreakForm,
  { readonly width: number; readonly depth: number; readonly height: number }
> = {
  dormer: { width: 1500, depth: 1800, height: 2200 },
  dropped: { width: 1200, depth: 600, height: 2100 },
  beam: { width: 3000, depth: 200, height: 2200 },
  step: { width: 1500, depth: 1200, height: 150 },
};

export const BREAK_NAMES: Record<BreakForm, string> = {
  dormer: 'dormer',
  dropped: 'dropped ceiling',
  beam: 'beam',
  step: 'step in the floor',
};

export const breakKind: Kind<Break, object> = {
  one: 'dormer, beam or step',
  many: 'dormers, beams and steps',
  most: 500,
  schema: z.object({
    id,
    floor: id,
    form: z.enum(BREAK_FORMS),
    stand: eitherStand,
    width: millimetres.positive(),
    depth: millimetres.positive(),
    height: z.number().min(-1e5).max(1e5),
    pitch: z.number().min(0).max(85),
    note,
  }),
  floorOf: (each) => each.floor,
  together: [
    together('the size', 'form', 'width', 'depth'),
    together('the height', 'height', 'pitch'),
    together('the place', 'stand', 'floor'),
    theNote,
  ],
  refers: [
    onFloor('dormer, beam or step'),
    onItsWall('A dormer, beam or step has lost its wall.', {
      gone: 'refuse',
      refusal: ({ form }) =>
        `That leaves no wall for the ${form === 'dropped' ? 'dropped ceiling' : form} at it. Take it away first.`,
    }),
  ],
  onWalls: {
    of: ({ stand, width }) => (stand.kind === 'wall' ? { ...stand, width } : null),
    at: againstWall,
  },
  at: standsFree,
  moved: movedStand,
};
