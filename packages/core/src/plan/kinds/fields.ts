import { z } from 'zod';
import { INSTRUMENTS } from '../values';
import { together } from './kind';

/** Longest name or address that is kept; more than this is a paste gone wrong. */
export const LONGEST_NAME = 120;
export const LONGEST_NOTE = 500;

export const id = z
  .string()
  .min(1)
  .max(64)
  .regex(/^[\w.:-]+$/, 'An id has letters, digits and dashes only.')
  .refine((value) => !Object.hasOwn(Object.prototype, value), 'An id can’t be a word that every object knows.');
/** Anything a house can measure: up to a kilometre, mm. */
export const millimetres = z.number().min(0).max(1e6);
export const coordinate = z.number().min(-1e7).max(1e7);
export const place = z.object({ x: coordinate, y: coordinate });
export const degrees = z.number().min(-360).max(360);
export const wallEnd = z.enum(['start', 'end']);
export const wallSide = z.enum(['left', 'right']);
export const note = z.string().max(LONGEST_NOTE);
export const nameOf = (what: string) =>
  z.string().max(LONGEST_NAME, `${what} can have ${LONGEST_NAME} characters at most.`);

/** How a wall or a floor is drawn by what it is made of. */
export const HATCHES = ['masonry', 'concrete', 'insulation', 'timber', 'tiles', 'boards'] as const;
export type Hatch = (typeof HATCHES)[number];

/** The longer side of a picture, px. */
export const MOST_PIXELS = 20_000;
export const picturePoint = z.object({
  x: z.number().min(-MOST_PIXELS).max(MOST_PIXELS),
  y: z.number().min(-MOST_PIXELS).max(MOST_PIXELS),
});

export const valueRead = {
  value: millimetres.positive(),
  text: z.string().max(64),
  unit: z.enum(['m', 'cm', 'mm', 'ft', 'in', 'deg']),
  instrument: z.enum(INSTRUMENTS),
  time: z.string().max(40),
  traced: z
    .object({
      underlay: id,
      span: picturePoint,
      deviation: millimetres.positive(),
    })
    .optional(),
};

export const history = z.array(z.object(valueRead)).max(100).readonly();

export const theName = together('the name', 'name');
export const theNote = together('the note', 'note');
export const theValue = together('the value', ...Object.keys(valueRead), 'history');
