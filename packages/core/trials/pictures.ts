import { type KnownDistance, agreementOf } from '../src';
import { dice } from '../tests/random-floors';
import { normal } from '../tests/random-houses';

/** Two or three known distances on a picture that is not stretched, marked to a pixel and stated as by a tape: how often it is said to be. */
export function falseStretches(count: number, seed: number): object {
  const random = dice(seed);
  const table: Record<string, string> = {};
  for (const [name, apart] of [
    ['2°', 2],
    ['10°', 10],
    ['30°', 30],
    ['any', null],
  ] as const) {
    let [said, wanted] = [0, 0];
    for (let i = 0; i < count; i += 1) {
      const k = 4 + 16 * random();
      const first = random() * Math.PI;
      const known = [first, apart === null ? random() * Math.PI : first + (apart * Math.PI) / 180].map(
        (angle): KnownDistance => {
          const length = 150 + 900 * random();
          const mark = (x: number, y: number) => ({ x: x + normal(random), y: y + normal(random) });
          const a = mark(1000, 1000);
          const b = mark(1000 + length * Math.cos(angle), 1000 + length * Math.sin(angle));
          const value = k * length;
          return { a, b, value: value + normal(random) * (3 + 0.001 * value), text: '', unit: 'mm' };
        },
      );
      const agreement = agreementOf(known);
      if (agreement && agreement.stretch !== 0) said += 1;
      if (agreement?.wanted) wanted += 1;
    }
    table[`${name} apart`] =
      `said to be stretched ${((100 * said) / count).toFixed(2)} %, one more distance wanted ${((100 * wanted) / count).toFixed(0)} %`;
  }
  return table;
}
