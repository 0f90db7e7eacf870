import './whole-core';
import '../core-later/piece';
import { type Drawing, drawAxonometric } from '@velvet-tape/core/axonometric';
import { type Texture, linearOf, ofOption, textureOf } from '@velvet-tape/core/finishes';
import { planOfOption } from '@velvet-tape/core/options';
import { withChange } from '@velvet-tape/core/plan';
import {
  type Mesh,
  type RaisedFloor,
  type RaisedPart,
  type WallPlane,
  type Walkable,
  drawable,
  materialOf,
  patterned,
  raisedHouse,
  walkableOf,
} from '@velvet-tape/core/raised';
import {
  type DayAndTime,
  type Sun,
  type Towards,
  momentOf,
  sunAt,
  sunInWords,
  sunOnFloors,
  towardsSun,
} from '@velvet-tape/core/sun';
import {
  type DerivedFloor,
  type FinishLook,
  type Id,
  type Intent,
  type Plan,
  type PlanChange,
  applyEdit,
  deriveFloor,
} from '@velvet-tape/core';
import { drawingToSvg } from '@velvet-tape/formats/drawing-svg';
import { type OwnPicture, houseAsGltf } from '@velvet-tape/formats/gltf';
import { expose, transfer } from 'comlink';

/** What of a thing is drawn: corners in metres, how each is lit and coloured (linear), where it is on the pattern that lies there, and its edges. */
export interface Drawn {
  readonly positions: Float32Array;
  readonly normals: Float32Array;
  readonly colours: Float32Array;
  readonly places: Float32Array;
  readonly edges: Float32Array;
  /** Which corners are of which surface; what pattern lies on it: null, one colour. */
  readonly surfaces: readonly {
    readonly surface: string;
    readonly from: number;
    readonly count: number;
    readonly pattern: string | null;
  }[];
}

/** A pattern that things name, and what it is on the whole till it is there: it is asked for by its key, or a picture of one’s own by its id. */
export interface Pattern {
  readonly key: string;
  readonly colour: string;
  readonly picture: Id | null;
}

/** A thing of a raised floor: the same stamp is the same drawing. */
export interface ThingToDraw {
  readonly key: string;
  readonly part: RaisedPart;
  readonly rooms: readonly Id[];
  readonly name: string;
  readonly loose: boolean;
  readonly wall: WallPlane | null;
  readonly stamp: string;
}

export interface FloorToDraw extends Omit<RaisedFloor, 'things'> {
  readonly things: readonly ThingToDraw[];
}

export interface HouseToDraw {
  readonly floors: readonly FloorToDraw[];
  readonly walkable: Walkable;
}

/** The house, and what is new of its drawings, by their stamps, and of its patterns: each is sent once. */
export interface Raised {
  readonly house: HouseToDraw;
  readonly drawn: readonly (readonly [string, Drawn])[];
  readonly patterns: readonly Pattern[];
}

/** Where the sun stands, and how much floor it falls on in which rooms, mm². */
export interface SunOverHouse {
  readonly sun: Sun;
  readonly towards: Towards;
  readonly words: string;
  readonly rooms: readonly { readonly room: Id; readonly area: number }[];
}

let plan: Plan | null = null;
const stamps = new WeakMap<Mesh, string>();
let count = 0;
/** What the page has. */
const sent = new Set<string>();

/** Patterns the page knows of. */
const known = new Map<string, FinishLook>();

function stampOf(mesh: Mesh, colours: string): string {
  let stamp = stamps.get(mesh);
  if (stamp === undefined) stamps.set(mesh, (stamp = String((count += 1))));
  return `${stamp} ${colours}`;
}

const raising = {
  /** The plan as it is; what is changed of it later comes as changes, so that what did not change is not made again. */
  open: (now: Plan): void => {
    plan = now;
  },

  change: (change: PlanChange): void => {
    if (plan) plan = withChange(plan, change);
  },

  /** As an option has the house; null: as it was measured. `doing`: as what is being done would leave it. */
  raise: (option: Id | null, doing: { readonly intent: Intent; readonly seed: string } | null): Raised => {
    if (!plan) throw new Error('There is no plan to raise.');
    const done = doing && applyEdit(plan, doing.intent, doing.seed);
    const shown = optionOf(done?.ok ? done.plan : plan, option);
    const buffers: ArrayBufferLike[] = [];
    const drawn: [string, Drawn][] = [];
    const patterns: Pattern[] = [];
    const floors = raisedHouse(shown).map((floor): FloorToDraw => ({
      ...floor,
      things: floor.things.map(({ mesh, ...thing }): ThingToDraw => {
        const colours = mesh.surfaces.map(({ surface }) => materialOf(surface, shown).key).join();
        const stamp = stampOf(mesh, colours);
        if (!sent.has(stamp)) {
          sent.add(stamp);
          const made = drawnOf(mesh, shown, deriveFloor(shown, floor.floor), patterns);
          const { positions, normals, colours: inks, places, edges } = made;
          buffers.push(...[positions, normals, inks, places, edges].map(({ buffer }) => buffer));
          drawn.push([stamp, made]);
        }
        return { ...thing, stamp };
      }),
    }));
    return transfer({ house: { floors, walkable: walkableOf(shown) }, drawn, patterns }, buffers as ArrayBuffer[]);
  },

  /** The sun over the house at a time of the year; null where nobody said where the house is. */
  sun: (option: Id | null, time: DayAndTime): SunOverHouse | null => {
    if (!plan?.job.place) return null;
    const shown = optionOf(plan, option);
    const { place, north } = plan.job;
    const sun = sunAt(momentOf(time, place), place);
    const towards = towardsSun(sun, north);
    const rooms = Object.keys(shown.floors).flatMap((floor) =>
      sunOnFloors(deriveFloor(shown, floor), towards).map(({ room, area }) => ({ room, area })),
    );
    return { sun, towards, words: sunInWords(sun), rooms };
  },

  /** A pattern as a picture that repeats itself: made when it is asked for, so that the house stands there before. */
  pattern: (key: string): Texture | null => {
    const look = known.get(key);
    const texture = look ? textureOf(look) : null;
    return texture && transfer(texture, [texture.data.buffer]);
  },

  /** The house, or a floor, as lines, as SVG at 1 : 50. */
  lines: (option: Id | null, drawing: Drawing): string => {
    if (!plan) throw new Error('There is no plan to draw.');
    return drawingToSvg(drawAxonometric(optionOf(plan, option), drawing), { scale: 50, title: plan.job.name });
  },

  /** `pictures`: those of one’s own that surfaces are finished with. */
  gltf: async (option: Id | null, pictures: ReadonlyMap<Id, Blob>): Promise<Uint8Array> => {
    if (!plan) throw new Error('There is no plan to raise.');
    const own = new Map<Id, OwnPicture>();
    for (const [id, blob] of pictures) {
      const type = blob.type === 'image/png' ? 'image/png' : 'image/jpeg';
      own.set(id, { bytes: new Uint8Array(await blob.arrayBuffer()), type });
    }
    const bytes = await houseAsGltf(optionOf(plan, option), undefined, own);
    return transfer(bytes, [bytes.buffer as ArrayBuffer]);
  },
};

/** The same plan as last time while neither changed. */
let last: { readonly plan: Plan; readonly option: Id | null; readonly shown: Plan } | null = null;
function optionOf(plan: Plan, option: Id | null): Plan {
  if (last?.plan === plan && last.option === option) return last.shown;
  last = { plan, option, shown: option === null ? measuredOnly(plan) : planOfOption(plan, option) };
  return last.shown;
}

/** A house as it was measured has nothing that belongs to an option. */
const measuredOnly = (plan: Plan): Plan => ({
  ...plan,
  pieces: ofOption(plan.pieces, null),
  finishes: ofOption(plan.finishes, null),
  trims: ofOption(plan.trims, null),
});

function drawnOf(mesh: Mesh, plan: Plan, floor: DerivedFloor, patterns: Pattern[]): Drawn {
  const made = drawable(mesh);
  const { positions, normals, edges } = made;
  const { places, materials } = patterned(made, floor, plan);
  const colours = new Float32Array(positions.length);
  const surfaces = made.surfaces.map((each, k) => {
    const { key, colour, look } = materials[k]!;
    // a pattern has its colours of its own
    const ink = look ? WHITE : linearOf(colour);
    for (let i = each.from; i < each.from + each.count; i += 1) colours.set(ink, 3 * i);
    if (look && !known.has(key)) {
      known.set(key, look);
      patterns.push({ key, colour, picture: look.picture });
    }
    return { ...each, pattern: look ? key : null };
  });
  // what is given away is a copy: the drawing itself is remembered
  return { positions: positions.slice(), normals: normals.slice(), colours, places, edges: edges.slice(), surfaces };
}

const WHITE = [1, 1, 1] as const;

export type Raising = typeof raising;

expose(raising);
