import { AREA_RULES, type AreaRuleName, diagonalBetween } from '../src';
import { floorAreas, ruleOf } from '../src/areas';
import { attic, read } from './attic';
import type { House } from './house';
import { dice } from './random-floors';

/** Of the standard normal distribution, by Box and Muller. */
const normal = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** All four walls of a room and both diagonals taped, so that nothing is left to assumptions; a slope by three heights. */
function measured(random: (() => number) | null): House {
  const noisy = (mm: number) => (random ? mm + normal(random) * (3 + 0.001 * mm) : mm);
  const { house, room } = attic();
  for (const side of ['top', 'right', 'bottom', 'left'] as const)
    house.tape(house.face(room, side), noisy(side === 'top' || side === 'bottom' ? 5000 : 4000));
  for (const [one, other] of [
    ['top', 'bottom'],
    ['right', 'left'],
  ] as const) {
    const place = diagonalBetween(house.face(room, one), house.face(room, other));
    const across = read(noisy(Math.hypot(5000, 4000)) / 1000);
    house.do({ kind: 'takeReading', floor: 'ground', stay: [], place, read: across });
  }
  house.do({
    ...{ kind: 'addSlope', floor: 'ground', face: house.face(room, 'bottom').key },
    heights: [
      { up: 0, read: read(noisy(900) / 1000) },
      { up: 900, read: read(noisy(1650) / 1000) },
      { up: 1800, read: read(noisy(2400) / 1000) },
    ],
  });
  return house;
}

/** The standard deviation that is said of an area by each rule, over that of so many simulated measurements: readings with errors, adjusted again and again. */
export function deviationRatios(runs: number, seed: number): Record<AreaRuleName, number> {
  const random = dice(seed);
  const areas = new Map<AreaRuleName, number[]>(AREA_RULES.map((name) => [name, []]));
  for (let i = 0; i < runs; i += 1) {
    const { floor } = measured(random);
    for (const name of AREA_RULES) areas.get(name)!.push(floorAreas(floor, ruleOf(name)).counted);
  }
  const { floor } = measured(null);
  const ratios = AREA_RULES.map((name) => {
    const all = areas.get(name)!;
    const mean = all.reduce((sum, each) => sum + each, 0) / runs;
    const spread = Math.sqrt(all.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (runs - 1));
    return [name, floorAreas(floor, ruleOf(name)).deviation! / spread] as const;
  });
  return Object.fromEntries(ratios) as Record<AreaRuleName, number>;
}
