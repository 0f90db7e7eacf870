import './whole-core';
import '../core-later/piece';
import type { Id, Plan, PlanChange } from '@velvet-tape/core';
import { planOfOption } from '@velvet-tape/core/options';
import { withChange } from '@velvet-tape/core/plan';
import {
  type Mesh,
  type RaisedFloor,
  type RaisedPart,
  type WallPlane,
  type Walkable,
  drawable,
  linearOf,
  materialOf,
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
import { deriveFloor } from '@velvet-tape/core';
import { houseAsGltf } from '@velvet-tape/formats/gltf';
import { expose, transfer } from 'comlink';

/** What of a thing is drawn: corners in metres, how each is lit and coloured (linear), and its edges. */
export interface Drawn {
  readonly positions: Float32Array;
  readonly normals: Float32Array;
  readonly colours: Float32Array;
  readonly edges: Float32Array;
}

/** A thing of a raised floor. `drawn` comes once: the same stamp is the same drawing. */
export interface ThingToDraw {
  readonly key: string;
  readonly part: RaisedPart;
  readonly rooms: readonly Id[];
  readonly loose: boolean;
  readonly wall: WallPlane | null;
  readonly stamp: string;
  readonly drawn: Drawn | null;
}

export interface FloorToDraw extends Omit<RaisedFloor, 'things'> {
  readonly things: readonly ThingToDraw[];
}

export interface HouseToDraw {
  readonly floors: readonly FloorToDraw[];
  readonly walkable: Walkable;
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

  /** As an option has the house; null: as it was measured. */
  raise: (option: Id | null): HouseToDraw => {
    if (!plan) throw new Error('There is no plan to raise.');
    const shown = optionOf(plan, option);
    const buffers: ArrayBufferLike[] = [];
    const floors = raisedHouse(shown).map((floor): FloorToDraw => ({
      ...floor,
      things: floor.things.map(({ mesh, name: _, ...thing }): ThingToDraw => {
        const colours = mesh.surfaces.map(({ surface }) => materialOf(surface, shown.pieces).colour).join();
        const stamp = stampOf(mesh, colours);
        if (sent.has(stamp)) return { ...thing, stamp, drawn: null };
        sent.add(stamp);
        const drawn = drawnOf(mesh, shown);
        buffers.push(drawn.positions.buffer, drawn.normals.buffer, drawn.colours.buffer, drawn.edges.buffer);
        return { ...thing, stamp, drawn };
      }),
    }));
    return transfer({ floors, walkable: walkableOf(shown) }, buffers as ArrayBuffer[]);
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

  gltf: async (option: Id | null): Promise<Uint8Array> => {
    if (!plan) throw new Error('There is no plan to raise.');
    const bytes = await houseAsGltf(optionOf(plan, option));
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

/** Of a house as it was measured no option’s pieces stand in it. */
const measuredOnly = (plan: Plan): Plan =>
  Object.values(plan.pieces).every(({ option }) => option === '')
    ? plan
    : { ...plan, pieces: Object.fromEntries(Object.entries(plan.pieces).filter(([, { option }]) => option === '')) };

function drawnOf(mesh: Mesh, plan: Plan): Drawn {
  const { positions, normals, edges, surfaces } = drawable(mesh);
  const colours = new Float32Array(positions.length);
  for (const { surface, from, count } of surfaces) {
    const colour = linearOf(materialOf(surface, plan.pieces).colour);
    for (let i = from; i < from + count; i += 1) colours.set(colour, 3 * i);
  }
  // what is given away is a copy: the drawing itself is remembered
  return { positions: positions.slice(), normals: normals.slice(), colours, edges: edges.slice() };
}

export type Raising = typeof raising;

expose(raising);
