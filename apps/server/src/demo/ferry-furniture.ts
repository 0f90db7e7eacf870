import type { DemoBuilder } from './builder';

interface Rooms {
  readonly waiting: string;
  readonly linen: string;
  readonly upper: string;
}

/** Ferry House as a holiday let: what is fixed, and two ways to furnish it. All invented. */
export function furnish(build: DemoBuilder, { waiting, linen, upper }: Rooms): { two: string } {
  build.goTo('ground');
  keepersKitchen(build);
  build.put('shower', 7950, 5450, { width: '0.80', depth: '0.80' });
  build.put('wc', 7250, 6250);
  build.put('basin', 7150, 5200);
  build.put('radiator-towel', 8350, 6250, { height: '1.20' });
  build.put('radiator', 4000, 4000, { width: '1.20' });
  build.put('washing-machine', 8800, 4500);
  build.put('shelf-store', 3900, 5600, { width: '1.80' });
  const family = build.addOption('Family of four');
  build.option = family;
  // ticket hall: where one arrives
  build.put('bench-back', 900, 3735, {
    ...{ turn: 180, width: '1.20', name: 'Ticket bench' },
    ...{ note: 'From the old waiting room', price: 0 },
  });
  build.put('coat-rack', 1850, 100, { width: '0.40', price: 45 });
  build.put('rug', 1850, 2150, { turn: 0, width: '2.40', depth: '1.70', price: 210 });
  build.put('armchair', 1000, 2000, { turn: 90, price: 380 });
  build.put('armchair', 2650, 2150, { turn: -75, price: 380 });
  build.put('side-table', 1850, 2050, { turn: 0, price: 60 });
  // waiting room: to sit and to eat
  build.put('sofa-3', 8700, 2600, { price: 890, maker: 'Larkfield', colour: 'water' });
  build.put('rug', 7300, 2600, { turn: 90, width: '2.40', depth: '1.70', price: 210 });
  build.put('coffee-table', 7400, 2600, { turn: 90, price: 140 });
  build.put('dining-set', 7270, 300, { turn: 0, width: '2.24', depth: '1.54', price: 760 });
  build.put('tv-bench', 7000, 3900, { width: '1.60', price: 240 });
  build.put('floor-lamp', 8950, 1100, { turn: 0, price: 85 });
  build.put('plant', 5700, 300, { turn: 0, price: 30 });
  // upstairs
  build.goTo(upper);
  build.put('bed-queen', 1500, 4900, { price: 620 });
  build.put('bedside', 500, 4300, { price: 70 });
  build.put('bedside', 2560, 4300, { price: 70 });
  build.put('wardrobe', 4900, 5600, { width: '1.50', height: '2.00', price: 410 });
  build.put('bunk-bed', 8520, 2990, { turn: 180, price: 390 });
  build.put('drawers', 8900, 900, { width: '0.80', price: 180 });
  build.put('bed-single', 7000, 3000, { price: 260 });
  build.put('shelf-store', 150, 800, { width: '1.20', price: 120 });
  build.goTo('ground');
  const two = (build.option = build.addOption('Two and their work'));
  build.put('desk', 7270, 0, { turn: 0, width: '1.60', price: 310, note: 'With the view of the river' });
  build.put('office-chair', 7270, 800, { turn: 180, price: 190 });
  build.put('sofa-3', 7900, 3560, { turn: 180, price: 890, maker: 'Larkfield', colour: 'moss' });
  build.put('coffee-table-round', 7700, 2500, { turn: 0, price: 130 });
  build.put('bookcase', 9050, 900, { width: '1.20', price: 220 });
  build.put('table-round', 1700, 2500, { turn: 0, width: '1.10', price: 260 });
  for (const [x, y, turn] of [
    [1700, 1750, 0],
    [2450, 2500, 90],
    [1700, 3250, 180],
    [950, 2500, -90],
  ] as const)
    build.put('chair', x, y, { turn, price: 75 });
  build.put('coat-rack', 1850, 100, { width: '0.40', price: 45 });
  build.openUp(two, waiting, 'right', '1.20');
  build.goTo(upper);
  build.put('bed-king', 1500, 4900, { price: 840 });
  build.put('wardrobe-sliding', 4900, 5800, { height: '2.00', price: 690 });
  build.put('desk', 7200, 3800, { width: '1.40', price: 280 });
  build.put('armchair', 900, 1300, { turn: 90, price: 380 });
  build.takeAway(two, linen, 'right');
  build.goTo('ground');
  build.option = family;
  return { two };
}

/** A run of units round the corner of the scullery, sink under the window, hob, fridge with its gap. */
function keepersKitchen(build: DemoBuilder): void {
  build.put('corner-unit', 430, 4570);
  build.put('sink-base', 290, 5520, { width: '1.00' });
  build.put('dishwasher', 290, 6320);
  build.put('base-unit', 1010, 4420, { width: '0.25' });
  build.put('oven', 1440, 4420);
  build.put('base-unit', 1990, 4420, { width: '0.50' });
  build.put('sink-drainer', 290, 5520);
  build.put('hob', 1440, 4420);
  build.put('hood', 1440, 4330);
  build.put('wall-unit', 1990, 4250, { width: '0.50' });
  build.put('fridge-freezer', 860, 7050, { width: '0.54' });
  build.put('table-square', 2150, 6150, { turn: 0, width: '0.80', depth: '0.80' });
}
