import { z } from 'zod';
import { type CollectionName, INSTRUMENTS, OPENING_FORMS, READING_KINDS, ROOM_COLOURS, SCHEMA_VERSION } from './plan';

/** Longest name or address that is kept; more than this is a paste gone wrong. */
export const LONGEST_NAME = 120;
export const LONGEST_NOTE = 500;

const id = z
  .string()
  .min(1)
  .max(64)
  .regex(/^[\w.:-]+$/, 'An id has letters, digits and dashes only.')
  .refine((value) => !Object.hasOwn(Object.prototype, value), 'An id can’t be a word that every object knows.');
/** Anything a house can measure: up to a kilometre, mm. */
const millimetres = z.number().min(0).max(1e6);
/** A wall bends to a little more than a half circle at most. */
export const MOST_BULGE = 1.2;
/** The longer side of a picture, px. */
const MOST_PIXELS = 20_000;
const coordinate = z.number().min(-1e7).max(1e7);
const pixels = z.number().min(0).max(MOST_PIXELS);
const picturePoint = z.object({
  x: z.number().min(-MOST_PIXELS).max(MOST_PIXELS),
  y: z.number().min(-MOST_PIXELS).max(MOST_PIXELS),
});
const name = (what: string) => z.string().max(LONGEST_NAME, `${what} can have ${LONGEST_NAME} characters at most.`);
const collection = <T extends z.ZodType>(entity: T) => z.record(id, entity);

/** More than any house has, and no more than can be worked out while one waits. */
export const MOST: Readonly<Record<CollectionName, number>> = {
  floors: 60,
  corners: 3000,
  walls: 3000,
  types: 500,
  openings: 2000,
  solids: 1000,
  rooms: 1000,
  readings: 6000,
  heights: 3000,
  gaps: 6000,
  underlays: 200,
};

const valueRead = {
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

const history = z.array(z.object(valueRead)).max(100).readonly();

export const jobDetailsSchema = z.object({
  name: name('A name').trim().min(1, 'Give the job a name.'),
  address: name('An address'),
  units: z.enum(['metric', 'imperial']),
  usual: z.object({
    externalThickness: millimetres.positive(),
    internalThickness: millimetres.positive(),
    partyThickness: millimetres.positive(),
    ceilingHeight: millimetres.positive(),
  }),
  north: z.number().min(-360).max(360),
});

/** What openings of one type have in common, read from outside. */
export const openingSpecSchema = z.object({
  form: z.enum(OPENING_FORMS),
  width: millimetres.positive(),
  height: millimetres.positive(),
  sill: millimetres,
  toCeiling: z.boolean(),
  frame: millimetres,
  depth: millimetres.positive().nullable(),
  glazing: z.number().min(0).max(1),
  bars: z.object({ across: z.int().min(0).max(20), upright: z.int().min(0).max(20) }),
  angle: z.number().min(0).max(180),
  material: z.string().max(LONGEST_NOTE),
});

const mark = z.union([z.enum(['from', 'to']), z.object({ opening: id, jamb: z.enum(['near', 'far']) })]);

const calibrationSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('none') }),
  z.object({
    kind: z.literal('known'),
    distances: z
      .array(
        z.object({
          a: picturePoint,
          b: picturePoint,
          value: millimetres.positive(),
          text: valueRead.text,
          unit: valueRead.unit,
        }),
      )
      .min(1)
      .max(50)
      .readonly(),
    stretched: z.boolean(),
  }),
  z.object({
    kind: z.literal('printed'),
    perPixel: z.number().positive().max(1000),
    ratio: z.number().min(1).max(10_000),
  }),
]);

const underlaySchema = z.object({
  id,
  floor: id,
  name: name('The name of an underlay'),
  picture: id,
  width: z.int().min(1).max(MOST_PIXELS),
  height: z.int().min(1).max(MOST_PIXELS),
  calibration: calibrationSchema,
  paper: z.number().positive().max(1000).nullable(),
  correction: z.number().positive().max(100),
  at: z.object({ x: coordinate, y: coordinate }),
  turn: z.number().min(-360).max(360),
  crop: z.object({ left: pixels, top: pixels, right: pixels, bottom: pixels }).nullable(),
  look: z.object({
    opacity: z.number().min(0.05).max(1),
    brightness: z.number().min(0.2).max(3),
    contrast: z.number().min(0.2).max(5),
    inverted: z.boolean(),
  }),
  locked: z.boolean(),
  hidden: z.boolean(),
  prints: z.boolean(),
  order: z.int().min(0).max(10_000),
});

/** What a plan is made of; whether its parts agree is for `planSchema` of the document. */
export const planShape = z.object({
  schema: z.literal(SCHEMA_VERSION),
  job: jobDetailsSchema,
  floors: collection(z.object({ id, name: name('A floor name'), level: z.int() })),
  corners: collection(z.object({ id, floor: id, x: coordinate, y: coordinate, pinned: z.boolean().optional() })),
  walls: collection(
    z.object({
      id,
      floor: id,
      start: id,
      end: id,
      bulge: z.number().min(-MOST_BULGE).max(MOST_BULGE),
      left: millimetres,
      right: millimetres,
      kind: z.enum(['external', 'internal', 'party', 'chalk']),
      typed: z.boolean(),
    }),
  ),
  types: collection(openingSpecSchema.extend({ id, name: name('The name of a type') })),
  openings: collection(
    z.object({
      id,
      wall: id,
      type: id,
      number: z.int().min(1).max(9999),
      anchor: z.enum(['start', 'end']),
      side: z.enum(['left', 'right']),
      offset: coordinate,
      hinge: z.enum(['start', 'end']),
      swing: z.enum(['left', 'right']),
      ownSill: millimetres.nullable(),
      note: z.string().max(LONGEST_NOTE),
    }),
  ),
  solids: collection(
    z.object({
      id,
      floor: id,
      kind: z.enum(['column', 'pier', 'chimney breast']),
      shape: z.enum(['rectangle', 'round']),
      width: millimetres.positive(),
      depth: millimetres.positive(),
      stand: z.discriminatedUnion('kind', [
        z.object({ kind: z.literal('free'), x: coordinate, y: coordinate, turn: z.number().min(-360).max(360) }),
        z.object({
          kind: z.literal('wall'),
          wall: id,
          anchor: z.enum(['start', 'end']),
          side: z.enum(['left', 'right']),
          offset: coordinate,
        }),
      ]),
    }),
  ),
  rooms: collection(
    z.object({
      id,
      floor: id,
      name: name('A room name'),
      ceilingHeight: millimetres.positive().nullable(),
      at: z.object({ x: coordinate, y: coordinate }),
      label: z.object({ x: coordinate, y: coordinate }).nullable(),
      colour: z.enum(ROOM_COLOURS).nullable(),
    }),
  ),
  readings: collection(
    z.object({
      id,
      floor: id,
      kind: z.enum(READING_KINDS),
      face: z.enum(['inside', 'outside', 'centre']),
      from: id,
      to: id,
      via: z.array(id).max(2).readonly(),
      ...valueRead,
      note: z.string().max(LONGEST_NOTE),
      held: z.boolean(),
      spread: z.boolean(),
      history,
    }),
  ),
  heights: collection(
    z.object({
      id,
      floor: id,
      room: id,
      at: z.object({ x: coordinate, y: coordinate }).nullable(),
      ...valueRead,
      note: z.string().max(LONGEST_NOTE),
      history,
    }),
  ),
  gaps: collection(
    z.object({
      id,
      floor: id,
      from: id,
      to: id,
      a: mark,
      b: mark,
      ...valueRead,
      note: z.string().max(LONGEST_NOTE),
      history,
    }),
  ),
  underlays: collection(underlaySchema),
});
