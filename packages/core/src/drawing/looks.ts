import {
  LOOKS,
  type LookName,
  type NamedLook,
  type Plan,
  SHOWN_PARTS,
  type Showing,
  type ShownPart,
} from '../plan/plan';
import type { Role } from './marks';

/** The roles of what each part of a plan is drawn with. What has no role of its own is left out by whoever draws it. */
const ROLES = {
  walls: ['wall.cut', 'wall.hatched', 'wall.gone', 'wall.new', 'chalk.line'],
  openings: [
    ...(['opening.gap', 'opening.over', 'opening.pocket', 'opening.frame'] as const),
    ...(['door.leaf', 'door.swing', 'window.frame', 'window.glass'] as const),
  ],
  fixed: ['solid.cut', 'solid.hatch'],
  fitted: [],
  pieces: [],
  'piece numbers': [],
  stairs: [
    ...(['stair.tread', 'stair.hidden', 'stair.line', 'stair.start', 'stair.cut', 'stair.text', 'stair.rail'] as const),
    ...(['void.edge', 'void.cross'] as const),
  ],
  names: ['room.name'],
  areas: ['room.area'],
  lengths: ['dimension.rough', 'dimension.taped', 'dimension.scaled', 'dimension.workedOut', 'dimension.tick'],
  provenance: ['dimension.tick'],
  checks: ['dimension.check', 'open.end'],
  numbers: ['opening.number'],
  levels: ['level'],
  ceilings: ['ceiling.line', 'ceiling.meet', 'ceiling.text'],
  tints: [],
  hatches: ['hatch.line'],
  'finish tints': [],
  'finish patterns': [],
  dimensions: [],
  notes: [],
  pictures: [],
  vantages: [],
} satisfies Record<ShownPart, readonly Role[]>;

type Content = Omit<NamedLook, 'id' | 'name'>;
const look = (off: readonly ShownPart[], more: Partial<Content> = {}): Content => ({
  parts: Object.fromEntries(off.map((part) => [part, 'off' as const])),
  lengths: 'all',
  sizes: false,
  layers: {},
  ...more,
});

/** How floors are finished shows where a client looks at it. */
const FINISHES = ['finish tints', 'finish patterns'] as const;

/** The looks every job has. */
const BUILT_IN: Readonly<Record<LookName, Content>> = {
  'on site': look(['piece numbers', ...FINISHES]),
  'for the client': look(
    ['lengths', 'checks', 'numbers', 'levels', 'ceilings', 'dimensions', 'piece numbers', 'vantages'],
    {
      sizes: true,
    },
  ),
  'for the builder': look(['checks', 'pieces', 'piece numbers', 'vantages', ...FINISHES]),
  bare: look([
    ...(['names', 'areas', 'lengths', 'checks', 'numbers', 'levels', 'ceilings', 'dimensions', 'notes'] as const),
    ...(['pieces', 'piece numbers', 'vantages', ...FINISHES] as const),
  ]),
};

/** A look as it is kept, by its name or its id; one that is gone is as on site. */
export function lookContent({ looks }: Pick<Plan, 'looks'>, which: string): Content {
  const own = Object.hasOwn(looks, which) ? looks[which] : undefined;
  return own ?? BUILT_IN[LOOKS.find((name) => name === which) ?? 'on site'];
}

export const lookName = ({ looks }: Pick<Plan, 'looks'>, which: string): string =>
  (Object.hasOwn(looks, which) ? looks[which]!.name : LOOKS.find((name) => name === which)) ?? 'on site';

/** How a look has a plan drawn. */
export interface LookDrawn {
  readonly hides: ReadonlySet<Role>;
  /** Parts that are left out as a whole. */
  readonly without: ReadonlySet<ShownPart>;
  /** Layers of notes that are. */
  readonly withoutLayers: ReadonlySet<string>;
  readonly sizes: boolean;
}

export const isShown = (content: Pick<Content, 'parts'>, part: ShownPart): Showing => content.parts[part] ?? 'on';

export function lookOf(plan: Pick<Plan, 'looks'>, which: string): LookDrawn {
  const content = lookContent(plan, which);
  const without = SHOWN_PARTS.filter((part) => isShown(content, part) === 'off');
  return {
    hides: new Set<Role>([
      ...without.flatMap((part): readonly Role[] => ROLES[part]),
      ...(content.lengths === 'taped' ? UNTAPED : []),
    ]),
    without: new Set(without),
    withoutLayers: new Set(Object.entries(content.layers).flatMap(([name, is]) => (is === 'off' ? [name] : []))),
    sizes: content.sizes,
  };
}

const UNTAPED: readonly Role[] = ['dimension.rough', 'dimension.scaled', 'dimension.workedOut'];

/** What no finger can have hold of: what is locked, and what is not seen. */
export const outOfReach = (plan: Pick<Plan, 'looks'>, which: string): ReadonlySet<ShownPart> => {
  const content = lookContent(plan, which);
  return new Set(SHOWN_PARTS.filter((part) => isShown(content, part) !== 'on'));
};
