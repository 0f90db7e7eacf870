import {
  type Reading,
  Survey,
  criticalValue,
  deviationOf,
  judgedReadings,
  misclosuresOf,
  networkOf,
  trueUp,
  valueOnPlan,
} from '../src';
import { dice, distorted } from '../tests/random-floors';
import { outOfSquare, placesOf, randomHouse, readAll } from '../tests/random-houses';

const SIZES = [1, 2, 3, 5, 8, 12, 20] as const;

/** A house of so many rooms, sketched square, read with noise, and trued up. */
function measured(
  seed: number,
  rooms: number,
  diagonals: number,
  instrument: 'tape' | 'laser',
  degrees = 0,
  slip?: (readings: Reading[]) => void,
) {
  const random = dice(seed);
  const sketch = randomHouse(random, rooms);
  const truth = degrees > 0 ? outOfSquare(sketch, random, degrees) : sketch;
  const places = placesOf(networkOf(sketch.corners, sketch.walls), diagonals);
  const readings = readAll(truth, places, random, instrument);
  slip?.(readings);
  const { corners } = trueUp({ ...sketch, readings });
  const network = networkOf(corners, sketch.walls);
  return { random, truth, network, readings, found: misclosuresOf(network, readings) };
}

/** Clean floors on which something is said, or a reading is to be measured again. */
export function cleanFloors(count: number, seed: number): object {
  const table: Record<string, string> = {};
  for (const instrument of ['tape', 'laser'] as const)
    for (const diagonals of [0, 1, 2])
      for (const degrees of [0, 3]) {
        let [said, again, threw] = [0, 0, 0];
        for (let i = 0; i < count; i += 1) {
          try {
            const { found } = measured(seed + i, SIZES[i % SIZES.length]!, diagonals, instrument, degrees);
            if (found.length > 0) said += 1;
            if (found.some((each) => each.again)) again += 1;
          } catch (error) {
            threw += 1;
            console.log(`seed ${seed + i}:`, error);
          }
        }
        table[`${instrument}, ${diagonals} diagonals${degrees ? `, to ${degrees}° out` : ''}`] =
          `accused ${((100 * again) / count).toFixed(1)} %, said ${((100 * said) / count).toFixed(1)} %, threw ${threw}`;
      }
  return table;
}

/** Houses that lean evenly, read honestly: how many have a reading accused, and how many of the diagonals are set aside. */
export function leaningFloors(count: number, seed: number): object {
  const table: Record<string, string> = {};
  for (const degrees of [0, 0.3, 0.5, 0.8, 1.5, 3])
    for (const diagonals of [0, 1, 2]) {
      let [again, aside] = [0, 0];
      for (let i = 0; i < count; i += 1) {
        const random = dice(seed + i);
        const sketch = randomHouse(random, 1 + (i % 12));
        const t = Math.tan((degrees * Math.PI) / 180) * (random() < 0.5 ? -1 : 1);
        const corners = Object.fromEntries(
          Object.entries(sketch.corners).map(([id, corner]) => [id, { ...corner, x: corner.x + t * corner.y }]),
        );
        const places = placesOf(networkOf(sketch.corners, sketch.walls), diagonals);
        const readings = readAll({ ...sketch, corners }, places, random, 'tape');
        const drawn = i % 2 ? sketch : { ...sketch, ...distorted(sketch, random, 0.15) };
        const fitted = trueUp({ ...drawn, readings });
        const found = misclosuresOf(networkOf(fitted.corners, sketch.walls), readings);
        if (found.some((each) => each.again)) again += 1;
        if (found.some((each) => each.aside)) aside += 1;
      }
      table[`${degrees}°, ${diagonals} diagonals`] =
        `accused ${((100 * again) / count).toFixed(1)} %, set aside ${((100 * aside) / count).toFixed(1)} %`;
    }
  return table;
}

/** Slips of so many deviations in one reading of a floor with walls and one diagonal a room. */
export function slips(count: number, seed: number): object {
  const table: Record<string, string> = {};
  for (const rooms of SIZES) {
    let [first, silent, named] = [0, 0, 0];
    for (let i = 0; i < count; i += 1) {
      let wrong = '';
      const { found } = measured(seed + 1000 * rooms + i, rooms, 1, 'tape', 0, (readings) => {
        const random = dice(seed + 7 * i + rooms);
        const at = Math.floor(random() * readings.length);
        const by = (10 + 40 * random()) * deviationOf(readings[at]!);
        const sign = random() < 0.5 && readings[at]!.value - by > 200 ? -1 : 1;
        readings[at] = { ...readings[at]!, value: readings[at]!.value + sign * by };
        wrong = readings[at]!.id;
      });
      if (found[0]?.suspects.some(({ reading }) => reading.id === wrong)) first += 1;
      if (found.some(({ suspects }) => suspects.some(({ reading }) => reading.id === wrong))) named += 1;
      if (found.length === 0) silent += 1;
    }
    table[`${rooms} rooms`] =
      `first or tied ${((100 * first) / count).toFixed(1)} %, named ${((100 * named) / count).toFixed(1)} %, silent ${silent}`;
  }
  return table;
}

/** The power of the test in use, for one reading: what it finds in 80 % is its minimal detectable bias, σ·δ₀/√r (Baarda 1968, from memory). */
const U_80 = 0.8416;

/** Slips as large as the minimal detectable bias: found when the reading, or one that can't be told from it, is said. */
export function power(count: number, seed: number): object {
  const table: Record<string, string> = {};
  for (const [rooms, diagonals] of [
    [1, 1],
    [2, 1],
    [5, 1],
    [12, 1],
    [1, 2],
    [5, 2],
  ] as const) {
    let [found, tried] = [0, 0];
    for (let i = 0; i < count; i += 1) {
      const random = dice(seed + 1000 * rooms + i);
      const house = randomHouse(random, rooms);
      const network = networkOf(house.corners, house.walls);
      const places = placesOf(network, diagonals);
      const readings = readAll(house, places, random, 'tape');
      const judged = judgedReadings(network, readings);
      const at = judged[Math.floor(random() * judged.length)]!;
      const bias = (at.deviation * (criticalValue(readings.length) + U_80)) / Math.sqrt(at.control);
      if (at.control < 0.1) continue;
      const wrong = readings.map((each) => (each === at.reading ? { ...each, value: each.value + bias } : each));
      tried += 1;
      const all = judgedReadings(network, wrong).filter(({ w }) => Math.abs(w) > criticalValue(wrong.length));
      if (all.some(({ reading }) => reading.id === at.reading.id)) found += 1;
    }
    table[`${rooms} rooms, ${diagonals} diagonals`] = `${((100 * found) / tried).toFixed(1)} % of ${tried} (wanted 80)`;
  }
  return table;
}

/** Deviations of lengths and areas against what really comes out. */
export function calibration(count: number, seed: number): object {
  const table: Record<string, string> = {};
  for (const degrees of [0, 1, 3])
    for (const diagonals of [1, 2]) {
      const ratios: number[] = [];
      for (let i = 0; i < count; i += 1) {
        const { network, readings, truth } = measured(seed + i, SIZES[i % 5]!, diagonals, 'tape', degrees);
        const survey = new Survey(network, readings);
        const real = networkOf(truth.corners, truth.walls);
        for (const place of placesOf(network, 1)) {
          const deviation = survey.deviation(place);
          if (deviation !== null) ratios.push((valueOnPlan(network, place)! - valueOnPlan(real, place)!) / deviation);
        }
      }
      const sorted = ratios.map(Math.abs).sort((a, b) => a - b);
      // of a normal distribution half lies within 0.6745
      const median = sorted[Math.floor(sorted.length / 2)]! / 0.6745;
      const within = sorted.filter((ratio) => ratio <= 2).length / sorted.length;
      table[`to ${degrees}° out, ${diagonals} diagonals`] =
        `empirical/reported ${median.toFixed(2)} at the median, within 2σ ${(100 * within).toFixed(1)} %`;
    }
  return table;
}
