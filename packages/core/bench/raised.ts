import { type Plan, applyEdit, deriveFloor, newPlan } from '../src';
import { drawable, raisedHouse } from '../src/raised';

/** So many rooms of 3 × 3 m side by side, each with a window or a door. */
function house(across: number, down: number): Plan {
  let plan = newPlan({ name: 'Many rooms' });
  const go = (intent: object) => {
    const done = applyEdit(plan, intent as Parameters<typeof applyEdit>[1], `h${(count += 1)}`);
    if (done.ok) plan = done.plan;
  };
  let count = 0;
  const [w, d] = [3100 * across, 3100 * down];
  go({ kind: 'drawBox', floor: 'ground', a: { x: 0, y: 0 }, b: { x: w, y: d } });
  for (let i = 1; i < across; i += 1)
    go({
      ...{ kind: 'drawPath', floor: 'ground', closed: false },
      points: [
        { x: 3100 * i, y: 0 },
        { x: 3100 * i, y: d },
      ],
    });
  for (let j = 1; j < down; j += 1)
    go({
      ...{ kind: 'drawPath', floor: 'ground', closed: false },
      points: [
        { x: 0, y: 3100 * j },
        { x: w, y: 3100 * j },
      ],
    });
  for (const { faces } of deriveFloor(plan, 'ground').rooms)
    go({ kind: 'addOpening', floor: 'ground', face: faces[0]!.key, end: 'left', offset: 900, opening: 'door' });
  return plan;
}

const once = (work: () => void): number => {
  const start = performance.now();
  work();
  return performance.now() - start;
};

/** What raising a house costs from nothing, as a multiple of deriving its floor in the same run; and again after one door was widened. */
export function raisedBench(): string[] {
  return [
    [4, 3],
    [16, 10],
  ].map(([across, down]) => {
    let plan = house(across!, down!);
    let derived = once(() => deriveFloor(plan, 'ground'));
    const fresh = JSON.parse(JSON.stringify(plan)) as Plan;
    derived = once(() => deriveFloor(fresh, 'ground'));
    const raised = once(() => raisedHouse(fresh));
    const drawn = once(() => raisedHouse(fresh).forEach(({ things }) => things.forEach(({ mesh }) => drawable(mesh))));
    plan = fresh;
    const again: number[] = [];
    for (let i = 0; i < 9; i += 1) {
      const { id } = Object.values(plan.openings)[i]!;
      const done = applyEdit(plan, { kind: 'changeOpening', opening: id, width: 700 + i } as never, `w${i}`);
      if (done.ok) plan = done.plan;
      deriveFloor(plan, 'ground');
      again.push(once(() => raisedHouse(plan)));
    }
    const triangles = raisedHouse(plan).reduce(
      (sum, floor) => sum + floor.things.reduce((n, { mesh }) => n + mesh.triangles.length / 3, 0),
      0,
    );
    const middle = again.sort((a, b) => a - b)[4]!;
    return `raised, ${across! * down!} rooms, ${triangles} triangles: ${raised.toFixed(0)} ms (${(raised / derived).toFixed(1)} × deriving the floor), drawn ${drawn.toFixed(0)} ms; after one door ${middle.toFixed(1)} ms`;
  });
}
