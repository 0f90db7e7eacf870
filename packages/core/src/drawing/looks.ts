import type { LookName } from '../plan/plan';
import type { Role } from './marks';

/** Parts of a drawing that are shown or left out; what is built always shows. */
const PARTS = {
  names: ['room.name'],
  areas: ['room.area'],
  lengths: ['dimension.rough', 'dimension.taped', 'dimension.scaled', 'dimension.workedOut', 'dimension.tick'],
  checks: ['dimension.check', 'open.end'],
  numbers: ['opening.number'],
  levels: ['level'],
  stairs: ['stair.text'],
  ceilings: ['ceiling.line', 'ceiling.meet', 'ceiling.text'],
} satisfies Record<string, readonly Role[]>;

const HIDDEN: Readonly<Record<LookName, readonly (keyof typeof PARTS)[]>> = {
  'on site': [],
  'for the client': ['lengths', 'checks', 'numbers', 'levels', 'stairs', 'ceilings'],
  'for the builder': ['checks'],
  bare: ['names', 'areas', 'lengths', 'checks', 'numbers', 'levels', 'stairs', 'ceilings'],
};

/** How a look draws a plan: what it leaves out, and whether rooms say their size. */
export const lookOf = (name: LookName): { readonly hides: ReadonlySet<Role>; readonly sizes: boolean } => ({
  hides: new Set(HIDDEN[name].flatMap((part) => PARTS[part])),
  sizes: name === 'for the client',
});
