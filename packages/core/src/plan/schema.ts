import { z } from 'zod';
import { id, millimetres, nameOf, note } from './kinds/fields';
import { COLLECTIONS, type CollectionName, KINDS } from './kinds';
import { pictureDetails } from './kinds/underlays';
import { labelSays } from './kinds/rooms';
import { AREA_RULES, type Plan, SCHEMA_VERSION, STAIR_RULES } from './plan';

export { LONGEST_NAME, LONGEST_NOTE } from './kinds/fields';
export { openingSpecSchema } from './kinds/opening-types';
export { pieceSpecSchema } from './kinds/pieces';
export { MOST_BULGE } from './kinds/walls';

export const jobDetailsSchema = z.object({
  name: nameOf('A name').trim().min(1, 'Give the job a name.'),
  address: nameOf('An address'),
  units: z.enum(['metric', 'imperial']),
  usual: z.object({
    externalThickness: millimetres.positive(),
    internalThickness: millimetres.positive(),
    partyThickness: millimetres.positive(),
    ceilingHeight: millimetres.positive(),
  }),
  north: z.number().min(-360).max(360),
  place: z
    .object({
      latitude: z.number().min(-90).max(90),
      longitude: z.number().min(-180).max(180),
      zone: z.number().min(-840).max(840),
    })
    .nullable(),
  note,
  stairRule: z.enum(STAIR_RULES),
  areaRule: z.enum(AREA_RULES),
  besideRule: z.enum(AREA_RULES).nullable(),
  listed: z.number().positive().max(1e12).nullable(),
  drawnBy: nameOf('A name'),
  disclaimer: note,
  logo: pictureDetails.nullable(),
  labels: labelSays,
  look: z.string().max(64),
});

const collections = Object.fromEntries(
  COLLECTIONS.map((name) => [name, z.record(id, KINDS[name].schema)]),
) as unknown as {
  [C in CollectionName]: z.ZodType<Plan[C]>;
};

/** What a plan is made of; whether its parts agree is for `planSchema` of the document. */
export const planShape = z.object({ schema: z.literal(SCHEMA_VERSION), job: jobDetailsSchema, ...collections });
