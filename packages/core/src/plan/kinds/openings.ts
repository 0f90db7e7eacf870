import { capital } from '../../words';
import { lastFor } from '../../memory';
import { z } from 'zod';
import { type Collection, type Id, type WallSide, otherEnd, otherSide } from '../values';
import { coordinate, id, millimetres, note, theNote, wallEnd, wallSide } from './fields';
import { type Floor, floorMark } from './floors';
import { type Kind, together } from './kind';
import { type OpeningKind, type OpeningSpec, type OpeningType, kindOfForm } from './opening-types';
import type { Wall } from './walls';

/** An opening as it is kept: where it is, and which type it is of. */
export interface PlacedOpening {
  readonly id: Id;
  readonly wall: Id;
  readonly type: Id;
  /** Among the doors, the windows, or the plain openings, of its floor; it keeps its number whatever becomes of the others. */
  readonly number: number;
  /** The end of the wall, and the side, whose corner the distance is taped from. */
  readonly anchor: 'start' | 'end';
  readonly side: WallSide;
  /** From that inside corner to the nearer jamb, mm, as it was read: where the wall has become too short it stands as near as it can. */
  readonly offset: number;
  /** The jamb that carries the hinges, and the side a leaf opens to. */
  readonly hinge: 'start' | 'end';
  readonly swing: WallSide;
  /** Its own height of the sill over the floor, mm; null: that of its type. */
  readonly ownSill: number | null;
  readonly note: string;
}

/** An opening with what its type says of it. */
export interface Opening extends PlacedOpening, OpeningSpec {
  readonly kind: OpeningKind;
  /** What it is called on the plan and in the schedule: D1, W2, O1; in a house of several floors D0.1, with its level. */
  readonly label: string;
}

/** What of a plan openings are made up of. */
export interface WithOpenings {
  readonly openings: Collection<PlacedOpening>;
  readonly types: Collection<OpeningType>;
  readonly walls: Collection<Wall>;
  readonly floors: Collection<Floor>;
}

/** “a door”, “an opening”. */
export const withArticle = (kind: OpeningKind): string => (kind === 'opening' ? 'an opening' : `a ${kind}`);

const LETTER: Record<OpeningKind, string> = { door: 'D', window: 'W', opening: 'O' };

const lastOpening = lastFor<PlacedOpening, Opening>();

/** The opening with what its type and its floor say; the same one as last time while nothing changed. Throws when the plan has no such type. */
export function openingOf({ types, walls, floors }: Omit<WithOpenings, 'openings'>, placed: PlacedOpening): Opening {
  const type = types[placed.type];
  if (!type) throw new Error(`Opening ${placed.id} has lost its type.`);
  const kind = kindOfForm(type.form);
  const label = `${LETTER[kind]}${floorMark({ floors }, walls[placed.wall]?.floor)}${placed.number}`;
  return lastOpening(placed, [type, label], () => {
    const { id: _, name: __, ...spec } = type;
    return { ...spec, ...placed, sill: placed.ownSill ?? type.sill, kind, label };
  });
}

/** Only what is kept of an opening; what its type says stays in the type. */
export const placedOpening = ({
  id,
  wall,
  type,
  number,
  anchor,
  side,
  offset,
  hinge,
  swing,
  ownSill,
  note,
}: PlacedOpening): PlacedOpening => ({ id, wall, type, number, anchor, side, offset, hinge, swing, ownSill, note });

/** The openings of one floor, with what their types say. */
export const openingsOn = (plan: WithOpenings, floor: Id): Opening[] =>
  Object.values(plan.openings)
    .filter(({ wall }) => plan.walls[wall]?.floor === floor)
    .map((placed) => openingOf(plan, placed));

/** The number of the next door, window or plain opening of a floor: one more than the highest there is. */
export const nextNumber = (plan: WithOpenings, floor: Id, kind: OpeningKind): number =>
  1 + openingsOn(plan, floor).reduce((most, each) => (each.kind === kind ? Math.max(most, each.number) : most), 0);

const kindOf = (types: Collection<OpeningType>, { type }: PlacedOpening): OpeningKind => {
  const known = Object.hasOwn(types, type) ? types[type] : undefined;
  return known ? kindOfForm(known.form) : 'opening';
};

export const openingKind: Kind<PlacedOpening, WithOpenings> = {
  one: 'opening',
  many: 'doors and windows',
  most: 2000,
  schema: z.object({
    id,
    wall: id,
    type: id,
    number: z.int().min(1).max(9999),
    anchor: wallEnd,
    side: wallSide,
    offset: coordinate,
    hinge: wallEnd,
    swing: wallSide,
    ownSill: millimetres.nullable(),
    note,
  }),
  floorOf: ({ wall }, { walls }) => walls[wall]?.floor,
  together: [
    together('the place', 'wall', 'anchor', 'side', 'offset', 'hinge', 'swing'),
    together('the type', 'type'),
    together('the sill', 'ownSill'),
    theNote,
  ],
  refers: [
    {
      to: 'types',
      ids: ({ type }) => [type],
      with: (opening, other) => ({ ...opening, type: other(opening.type) }),
      lost: () => 'A door or window has lost its type.',
      gone: 'restore',
    },
    {
      to: 'walls',
      ids: ({ wall }) => [wall],
      with: (opening, other) => ({ ...opening, wall: other(opening.wall) }),
      lost: (opening, { types }) => `${capital(withArticle(kindOf(types, opening)))} has lost its wall.`,
      gone: 'refuse',
      refusal: (opening, { types }) => {
        const kind = kindOf(types, opening);
        return `That leaves no wall for the ${kind}. Move the ${kind} first.`;
      },
    },
  ],
  kept: placedOpening,
  onWalls: {
    of: (opening, plan) => openingOf(plan, opening),
    at: (opening, stand) => ({ ...opening, ...stand }),
    turned: (opening, { ends, sides }) => ({
      ...opening,
      hinge: ends ? otherEnd(opening.hinge) : opening.hinge,
      swing: sides ? otherSide(opening.swing) : opening.swing,
    }),
    uncut: (opening, { types }) => {
      const kind = kindOf(types, opening);
      return `A wall can't end in ${withArticle(kind)}. Move the ${kind} first.`;
    },
  },
  moved: (opening) => opening,
  copied: (opening, plan) => {
    const floor = plan.walls[opening.wall]!.floor;
    return { ...opening, number: nextNumber(plan, floor, kindOf(plan.types, opening)) };
  },
};
