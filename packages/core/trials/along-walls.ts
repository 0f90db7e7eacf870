import { type GapWay, type WallMark, deviationOf, gapSequence } from '../src';
import { House } from '../tests/house';
import { dice } from '../tests/random-floors';
import { normal } from '../tests/random-houses';

/** Three alike doors in a wall, read along it with noise as a tape has it: how often a door gets a type of its own. */
export function typesByNoise(count: number, seed: number): object {
  const table: Record<string, string> = {};
  for (const way of ['left', 'right', 'gaps'] as const satisfies readonly GapWay[])
    for (const instrument of ['tape', 'laser'] as const) {
      let [made, doors] = [0, 0];
      for (let i = 0; i < count; i += 1) {
        const random = dice(seed + i);
        const house = new House();
        const room = house.box(0, 0, 6000, 3500);
        const face = () => house.face(room, 'top');
        const ids = [600, 2400, 4200].map((offset) =>
          house.do({ kind: 'addOpening', floor: 'ground', opening: 'door', face: face().key, end: 'left', offset })!,
        );
        const stands = new Map(face().openings.map(({ opening, from, to }) => [opening.id, { near: from, far: to }]));
        const at = (mark: WallMark) =>
          mark === 'from' ? 0 : mark === 'to' ? 6000 : stands.get(mark.opening)![mark.jamb];
        for (const { a, b } of gapSequence(ids, way)) {
          const exact = at(b) - at(a);
          const deviation = deviationOf({ kind: 'length', value: exact, instrument, held: false });
          const value = exact + deviation * normal(random);
          const read = { value, text: `${Math.round(value)} mm`, unit: 'mm', instrument, time: '' } as const;
          house.tries({ kind: 'readGap', floor: 'ground', from: face().from, to: face().to, a, b, read });
        }
        doors += ids.length;
        made += new Set(ids.map((id) => house.plan.openings[id]!.type)).size - 1;
      }
      table[`${way}, ${instrument}`] = `${made} types made by noise for ${doors} doors`;
    }
  return table;
}
