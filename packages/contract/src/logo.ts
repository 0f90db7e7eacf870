import { pictureDetails } from '@velvet-tape/core';
import { z } from 'zod';

/** The logo of a workspace: a picture that new jobs have in the title block of their sheets; null: none. */
export const logoSchema = z.object({ logo: pictureDetails.nullable() }).meta({ id: 'Logo' });
