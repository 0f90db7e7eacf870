import * as fc from 'fast-check';
import { type Plan, deriveFloor, problemsOf, ringsArea } from '../src';
import { anchorAt } from '../src/notes';
import { houseOfOption } from '../src/options';
import { House } from './house';

/** Three rooms in a row, each 3 to 6 m wide, 4 m deep. */
export function row(widths: readonly number[]): House {
  const house = new House();
  let x = 0;
  for (const width of widths) {
    house.box(x, 0, x + width, 4000);
    x += width + 100;
  }
  return house;
}

/** Areas of its rooms, mm², the smallest first. */
export const rooms = (plan: Plan) =>
  deriveFloor(plan, 'ground')
    .rooms.map(({ outline }) => Math.round(ringsArea(outline.rings)))
    .sort((a, b) => a - b);

export const innerWalls = (house: House) => Object.values(house.plan.walls).filter(({ kind }) => kind === 'internal');

/** Rooms so wide; which wall, or part of one, is taken or drawn where; a wall of the last taped so much longer, mm. */
export const anyHouse = fc.record({
  widths: fc.array(fc.integer({ min: 3000, max: 6000 }), { minLength: 2, maxLength: 4 }),
  pick: fc.nat(),
  by: fc.integer({ min: -400, max: 400 }),
  at: fc.integer({ min: 600, max: 2400 }),
  takesAway: fc.boolean(),
});
type AnyHouse = typeof anyHouse extends fc.Arbitrary<infer H> ? H : never;

/** Altered on the house as it was and taped again, against the house taped again and altered anew: what could not be done, how far areas are apart, mm² (infinite where rooms are more or fewer), and whether the plan is sound. */
export function retaped({ widths, pick, by, at, takesAway }: AnyHouse): {
  undone: number;
  off: number;
  sound: boolean;
} {
  const house = row(widths);
  const option = house.do({ kind: 'addOption', like: null })!;
  const alter = (on: House) => {
    if (takesAway) {
      const inner = innerWalls(on);
      const wall = inner[pick % inner.length]!;
      on.do({ kind: 'alterHouse', option, floor: 'ground', altered: { kind: 'wall gone', wall: wall.id } });
      return;
    }
    // along the first room’s walls, so far from its left corner
    const ends = (['top', 'bottom'] as const).map((side) => {
      const face = on.face(Object.keys(on.plan.rooms)[0]!, side);
      const from = side === 'top' ? at : face.length - at;
      const p = { x: face.a.x + face.d.x * from, y: face.a.y + face.d.y * from };
      return anchorAt(on.floor, p, 5).stand;
    }) as never;
    const altered = { kind: 'wall', thickness: 100, chalk: pick % 3 === 0 } as const;
    on.do({ kind: 'alterHouse', option, floor: 'ground', ends, altered });
  };
  const measured = new House(house.plan, 500);
  alter(house);
  for (const each of [house, measured]) {
    const face = each.face(Object.keys(each.plan.rooms)[widths.length - 1]!, 'top');
    each.tape(face, face.length + by);
  }
  const anew = new House(measured.plan, 900);
  alter(anew);
  const [one, two] = [house, anew].map((each) => houseOfOption(each.plan, option));
  const [a, b] = [rooms(one!.plan), rooms(two!.plan)];
  const off = a.length === b.length ? Math.max(0, ...a.map((area, i) => Math.abs(area - b[i]!))) : Infinity;
  return { undone: one!.undone.length, off, sound: problemsOf(one!.plan).length === 0 };
}
