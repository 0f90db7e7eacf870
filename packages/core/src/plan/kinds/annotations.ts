import { z } from 'zod';
import type { Id } from '../values';
import { LETTERING_ON_PAPER } from './dimensions';
import { LONGEST_NAME, LONGEST_NOTE, degrees, id, place } from './fields';
import { type Kind, onFloor, together } from './kind';

/** What is written or drawn on the plan besides what is built: a text, with a leader where it points at something; an arrow, a line; a sign. */
export const ANNOTATION_FORMS = ['text', 'arrow', 'line', 'sign'] as const;
export type AnnotationForm = (typeof ANNOTATION_FORMS)[number];

/** Signs by what they are for. */
export const SIGNS = {
  plan: ['north', 'entrance', 'up', 'level', 'section'],
  electrics: [
    'socket',
    'double socket',
    'switch',
    'ceiling light',
    'wall light',
    'fuse board',
    'data point',
    'smoke alarm',
  ],
  heating: ['radiator', 'thermostat', 'boiler', 'gas meter'],
  water: ['cold water', 'hot water', 'stop valve', 'floor drain', 'water meter'],
} as const;
export type SignName = (typeof SIGNS)[keyof typeof SIGNS][number];
const SIGN_NAMES = Object.values(SIGNS).flat() as [SignName, ...SignName[]];

export interface Annotation {
  readonly id: Id;
  readonly floor: Id;
  readonly form: AnnotationForm;
  /** The middle of a text or a sign; where an arrow or a line begins. */
  readonly at: { readonly x: number; readonly y: number };
  /** Where a leader, an arrow or a line ends; null: a text without a leader, a sign. */
  readonly to: { readonly x: number; readonly y: number } | null;
  /** Of a text or a sign, degrees clockwise. */
  readonly turn: number;
  /** Height of its letters on paper, mm; of a sign half its height. */
  readonly size: number;
  readonly text: string;
  readonly sign: SignName | null;
  /** The layer it was put on; empty: none of its own. */
  readonly layer: string;
}

export const annotationKind: Kind<Annotation, object> = {
  one: 'note',
  many: 'notes',
  most: 2000,
  schema: z.object({
    id,
    floor: id,
    form: z.enum(ANNOTATION_FORMS),
    at: place,
    to: place.nullable(),
    turn: degrees,
    size: z.number().min(LETTERING_ON_PAPER.least).max(LETTERING_ON_PAPER.most),
    text: z.string().max(LONGEST_NOTE),
    sign: z.enum(SIGN_NAMES).nullable(),
    layer: z.string().max(LONGEST_NAME),
  }),
  floorOf: ({ floor }) => floor,
  together: [
    together('the place', 'floor', 'at', 'to', 'turn'),
    together('what it is', 'form', 'sign'),
    together('the text', 'text'),
    together('the size', 'size'),
    together('the layer', 'layer'),
  ],
  refers: [onFloor('note')],
  unsound: ({ form, to, sign }) => {
    if ((form === 'arrow' || form === 'line') && !to) return 'An arrow or a line has no end.';
    return form === 'sign' && !sign ? 'A sign has lost what it is of.' : null;
  },
  at: ({ at }) => at,
  moved: (annotation, { to, turn, mirror }) => ({
    ...annotation,
    at: to(annotation.at),
    to: annotation.to && to(annotation.to),
    turn: ((mirror ? -annotation.turn : annotation.turn) + turn) % 360,
  }),
};
