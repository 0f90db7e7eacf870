import { z } from 'zod';
import type { Id } from '../values';
import { id, nameOf, theName } from './fields';
import { type Kind, together } from './kind';

/** One way the measured house could be: its own loose pieces, and what is altered of the house. */
export interface Option {
  readonly id: Id;
  readonly name: string;
  readonly order: number;
  /** It is the one that is meant to be. */
  readonly chosen: boolean;
}

export const optionKind: Kind<Option, object> = {
  one: 'option',
  many: 'options',
  most: 12,
  apart: true,
  schema: z.object({
    id,
    name: nameOf('The name of an option'),
    order: z.int().min(0).max(1000),
    chosen: z.boolean(),
  }),
  floorOf: () => undefined,
  together: [theName, together('the order', 'order'), together('whether it is chosen', 'chosen')],
  refers: [],
};
