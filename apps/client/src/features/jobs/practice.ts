import {
  type Intent,
  type Plan,
  applyEdit,
  deriveFloor,
  diagonalBetween,
  newPlan,
  parseLength,
} from '@velvet-tape/core';
import { newOnDevice } from '../../sync/device';
import { keepTruth } from '../../meter/truth';
import { syncEngine } from '../plan/session';

/** The practice house as it stands, drawn to its true sizes, and as someone has read it so far: one figure has two digits swapped. All invented. */
export function practiceHouse(): { truth: Plan; plan: Plan } {
  let plan = newPlan({ name: 'Practice house', address: 'Nowhere in particular', units: 'metric' });
  let steps = 0;
  const done = (intent: Intent): string => {
    steps += 1;
    const result = applyEdit(plan, intent, `practice${steps}`);
    if (!result.ok) throw new Error(`The practice house can’t be built: ${result.reason}`);
    plan = result.plan;
    return result.made ?? '';
  };
  const room = (name: string, x1: number, y1: number, x2: number, y2: number): string => {
    const made = done({ kind: 'drawBox', floor: 'ground', a: { x: x1, y: y1 }, b: { x: x2, y: y2 } });
    done({ kind: 'nameRoom', room: made, name });
    return made;
  };
  const parlour = room('Parlour', 0, 0, 4320, 3150);
  room('Pantry', 4430, 0, 6280, 3150);
  const truth = plan;
  const faces = () => deriveFloor(plan, 'ground').rooms.find((each) => each.room.id === parlour)!.faces;
  const read = (text: string) => {
    const length = parseLength(text, 'm');
    if (!length.ok) throw new Error(length.reason);
    return { value: length.mm, text, unit: length.unit, instrument: 'tape', time: new Date().toISOString() } as const;
  };
  // clockwise from the top; the third is 4.32 m
  for (const [i, text] of ['4.32', '3.15', '4.23'].entries()) {
    const { from, to } = faces()[i]!;
    done({ kind: 'tapeLength', floor: 'ground', from, to, moves: 'to', ...read(text) });
  }
  // both diagonals: the room is square, so it was the tape
  for (const corner of [0, 1]) {
    const [one, two] = [faces()[corner]!, faces()[corner + 2]!];
    const place = diagonalBetween(one, two);
    done({ kind: 'takeReading', floor: 'ground', place, read: read('5.346'), stay: [one.from] });
  }
  return { truth, plan };
}

/** A house to try things on: the laser meter measures it as it stands, and one reading has slipped. */
export async function startPractice(): Promise<string> {
  const { truth, plan } = practiceHouse();
  const id = await newOnDevice(plan);
  keepTruth(id, truth);
  syncEngine().wrote(id);
  return id;
}
