import { z } from 'zod';
import { coordinate, id, millimetres, theNote, wallEnd, wallSide } from '../src/plan/kinds/fields';
import { type Kind, type Stand, together } from '../src/plan/kinds/kind';

/* A kind of thing that only the tests know: “How to add a kind of thing” in docs/architecture.md, followed to the letter. */

/** A coat hook on a wall. */
export interface Hook extends Stand {
  readonly id: string;
  readonly reach: number;
  readonly note: string;
}

export const hookKind: Kind<Hook, { readonly walls: Readonly<Record<string, { readonly floor: string }>> }> = {
  one: 'coat hook',
  many: 'coat hooks',
  most: 300,
  schema: z.object({
    id,
    wall: id,
    anchor: wallEnd,
    side: wallSide,
    offset: coordinate,
    reach: millimetres.positive(),
    note: z.string().max(500),
  }),
  floorOf: ({ wall }, { walls }) => walls[wall]?.floor,
  together: [together('the place', 'wall', 'anchor', 'side', 'offset'), together('the reach', 'reach'), theNote],
  refers: [
    {
      to: 'walls',
      ids: ({ wall }) => [wall],
      with: (hook, other) => ({ ...hook, wall: other(hook.wall) }),
      lost: () => 'A coat hook has lost its wall.',
      gone: 'drop',
    },
  ],
  onWalls: {
    of: (hook) => ({ ...hook, width: 0 }),
    at: (hook, stand) => ({ ...hook, ...stand }),
  },
  moved: (hook) => hook,
};
