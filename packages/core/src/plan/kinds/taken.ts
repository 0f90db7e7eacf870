import { z } from 'zod';
import type { Id } from '../values';
import { id, nameOf, theName } from './fields';
import { type Kind, ON_NO_FLOOR, together } from './kind';
import { type PictureDetails, pictureDetails } from './underlays';

/** A picture that was taken of the house, kept with the job; its bytes beside the plan. */
export interface TakenPicture extends PictureDetails {
  readonly id: Id;
  readonly name: string;
  /** When, ISO 8601. */
  readonly time: string;
}

export const takenKind: Kind<TakenPicture, object> = {
  one: 'picture of the house',
  many: 'pictures of the house',
  most: 500,
  schema: pictureDetails.extend({ id, name: nameOf('The name of a picture'), time: z.string().max(40) }),
  // it shows the house as it was, and nothing of the house follows from it
  floorOf: () => ON_NO_FLOOR,
  together: [theName, together('the picture', 'picture', 'width', 'height', 'time')],
  refers: [],
};
