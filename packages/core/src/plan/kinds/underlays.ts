import { z } from 'zod';
import type { Id, ReadingUnit } from '../values';
import { MOST_PIXELS, degrees, id, millimetres, nameOf, picturePoint, place, theName, valueRead } from './fields';
import { type Kind, onFloor, together } from './kind';

/** A place on a picture: pixels from its top left corner. */
export interface PicturePoint {
  readonly x: number;
  readonly y: number;
}

/** Two points of a picture, and what is known to be between them in the house. */
export interface KnownDistance {
  readonly a: PicturePoint;
  readonly b: PicturePoint;
  /** mm */
  readonly value: number;
  readonly text: string;
  readonly unit: ReadingUnit;
}

/**
 * How the scale of a picture is known: not at all; by distances marked on it, across and down the picture apart where it is
 * stretched; or because it is a drawing at 1 : `ratio` of which a pixel is `perPixel` mm on paper.
 */
export type Calibration =
  | { readonly kind: 'none' }
  | { readonly kind: 'known'; readonly distances: readonly KnownDistance[]; readonly stretched: boolean }
  | { readonly kind: 'printed'; readonly perPixel: number; readonly ratio: number };

/** A part of a picture, px from its edges inwards. */
export interface Crop {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** How a picture is shown. The three are factors: 1 is as it is. */
export interface Look {
  readonly opacity: number;
  readonly brightness: number;
  readonly contrast: number;
  readonly inverted: boolean;
}

/** A picture, as a plan knows it: its bytes are kept beside the plan under this id, and never change. */
export interface PictureDetails {
  readonly picture: Id;
  /** px */
  readonly width: number;
  readonly height: number;
}

export const pictureDetails = z.object({
  picture: id,
  width: z.int().min(1).max(MOST_PIXELS),
  height: z.int().min(1).max(MOST_PIXELS),
});

/** A reference picture under the plan of a floor. */
export interface Underlay extends PictureDetails {
  readonly id: Id;
  readonly floor: Id;
  readonly name: string;
  readonly calibration: Calibration;
  /** mm on paper to a pixel, where that is known: of a page of a PDF, of a photo flattened by its sheet. */
  readonly paper: number | null;
  /** What taped lengths have shown the scale to be off by, as a factor. */
  readonly correction: number;
  /** Where its middle lies on the sheet, mm; how it is turned, degrees clockwise. */
  readonly at: { readonly x: number; readonly y: number };
  readonly turn: number;
  readonly crop: Crop | null;
  readonly look: Look;
  readonly locked: boolean;
  readonly hidden: boolean;
  /** It is on printed sheets too. */
  readonly prints: boolean;
  /** Those with a higher one lie over those with a lower one. */
  readonly order: number;
}

export const USUAL_LOOK: Look = { opacity: 0.6, brightness: 1, contrast: 1, inverted: false };

const pixels = z.number().min(0).max(MOST_PIXELS);

const calibration = z.discriminatedUnion('kind', [
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

export const underlayKind: Kind<Underlay, object> = {
  one: 'underlay',
  many: 'underlays',
  most: 200,
  schema: z.object({
    id,
    floor: id,
    name: nameOf('The name of an underlay'),
    picture: id,
    width: z.int().min(1).max(MOST_PIXELS),
    height: z.int().min(1).max(MOST_PIXELS),
    calibration,
    paper: z.number().positive().max(1000).nullable(),
    correction: z.number().positive().max(100),
    at: place,
    turn: degrees,
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
  }),
  floorOf: (underlay) => underlay.floor,
  together: [
    theName,
    together('the picture', 'picture', 'width', 'height', 'crop', 'paper'),
    together('the scale', 'calibration', 'correction'),
    together('the place', 'at', 'turn', 'floor'),
    together('the look', 'look'),
    together('the order', 'order'),
  ],
  refers: [onFloor('underlay')],
};
