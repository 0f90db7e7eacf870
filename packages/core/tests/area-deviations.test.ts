import { AREA_RULES, type AreaRuleName, type Value, diagonalBetween } from '../src';
import { floorAreas, ruleOf } from '../src/areas';
import { House } from './house';
import { dice } from './random-floors';

const read = (mm: number): Value => ({
  ...{ value: mm, text: String(mm), unit: 'mm', instrument: 'tape', time: '2026-11-29T10:00:00Z' },
});

/** Of the standard normal distribution, by Box and Muller. */
const normal = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** All four walls of a room and both diagonals taped, so that nothing is left to assumptions; a slope by three heights. */
function measured(random: (() => number) | null): House {
  const noisy = (mm: number) => (random ? mm + normal(random) * (3 + 0.001 * mm) : mm);
  const house = new House();
  const room = house.box(0, 0, 5000, 4000);
  for (const side of ['top', 'right', 'bottom', 'left'] as const)
    house.tape(house.face(room, side), noisy(side === 'top' || side === 'bottom' ? 5000 : 4000));
  for (const [one, other] of [
    ['top', 'bottom'],
    ['right', 'left'],
  ] as const) {
    const place = diagonalBetween(house.face(room, one), house.face(room, other));
    const across = read(noisy(Math.hypot(5000, 4000)));
    house.do({ kind: 'takeReading', floor: 'ground', stay: [], place, read: across });
  }
  house.do({
    ...{ kind: 'addSlope', floor: 'ground', face: house.face(room, 'bottom').key },
    heights: [
      { up: 0, read: read(noisy(900)) },
      { up: 900, read: read(noisy(1650)) },
      { up: 1800, read: read(noisy(2400)) },
    ],
  });
  return house;
}

const RUNS = 400;
/** Standard deviations from so many runs are off by 1/√(2n), 3.5 %: within three of them of the promise of 5 %. */
const WITHIN = 0.05 + 3 / Math.sqrt(2 * RUNS);

test('the deviation of an area by every rule is what simulation gives: readings with errors, adjusted again and again', () => {
  const random = dice(20_261_129);
  const areas = new Map<AreaRuleName, number[]>(AREA_RULES.map((name) => [name, []]));
  for (let i = 0; i < RUNS; i += 1) {
    const { floor } = measured(random);
    for (const name of AREA_RULES) areas.get(name)!.push(floorAreas(floor, ruleOf(name)).counted);
  }
  const { floor } = measured(null);
  const ratios = AREA_RULES.map((name) => {
    const all = areas.get(name)!;
    const mean = all.reduce((sum, each) => sum + each, 0) / RUNS;
    const spread = Math.sqrt(all.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (RUNS - 1));
    return { name, ratio: floorAreas(floor, ruleOf(name)).deviation! / spread };
  });
  for (const { name, ratio } of ratios)
    expect([name, ratio > 1 - WITHIN && ratio < 1 + WITHIN, ratio]).toEqual([name, true, ratio]);
});

test('nothing read: nothing is said of how sure an area is', () => {
  const house = new House();
  house.box(0, 0, 5000, 4000);
  expect(floorAreas(house.floor, ruleOf('net')).deviation).toBeNull();
});
