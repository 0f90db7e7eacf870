import { type Plan, applyEdit, boxOf, deriveFloor, dot, flattened, overlap } from '../src';
import { dimensionsOn, drawnDimensions, headingOf, laidOut, offBy } from '../src/notes';

interface Said {
  /** What is not as it is promised. */
  readonly faults: string[];
  readonly strings: number;
  readonly figures: number;
  /** Figures there is no room for. */
  readonly left: number;
}

/** Strings laid round a house and in its rooms, held against what is promised of them. `lettering` mm of the house. */
export function stringFaults(plan: Plan, lettering: number): Said {
  const faults: string[] = [];
  let now = plan;
  for (const room of [null, ...Object.keys(plan.rooms)]) {
    const result = applyEdit(now, { kind: 'layStrings', floor: 'ground', room }, `strings.${room ?? ''}`);
    if (result.ok) now = result.plan;
    else if (result.fault) faults.push(result.fault);
  }
  const derived = deriveFloor(now, 'ground');
  const all = dimensionsOn(derived).flatMap(({ dimension, points }) => laidOut(derived, dimension, points) ?? []);
  const sumOf = ({ figures }: (typeof all)[number]) => figures.reduce((sum, { length }) => sum + length, 0);
  const sides = new Map<number, number>();
  for (const laid of all) {
    const { dimension, figures } = laid;
    if (figures.some(({ length }) => !(length > 0))) faults.push('a figure is none');
    // rounded each by itself they are off by half a step each at most
    if (Math.abs(offBy(laid, now.job.units)) > figures.length) faults.push('rounded figures are far from the whole');
    if (dimension.laid !== 'round') continue;
    const sum = sumOf(laid);
    const first = sides.get(dimension.turn!) ?? sum;
    sides.set(dimension.turn!, first);
    if (Math.abs(sum - first) > 1e-3) faults.push(`strings of a side are ${sum} and ${first}`);
    // apart from how strings are laid: the reach of all wall bodies along the side
    const reach = derived.bodies.flatMap(({ ring }) => flattened(ring).map((p) => dot(headingOf(dimension.turn!), p)));
    if (sum > Math.max(...reach) - Math.min(...reach) + 0.5) faults.push('a string is longer than the house');
  }
  const said = { strings: all.length, figures: 0, left: 0 };
  const boxes = [...drawnDimensions(derived, lettering).values()].flatMap(({ marks, left }) => {
    said.left += left;
    return marks.flatMap((mark) => (mark.kind === 'text' ? [mark] : []));
  });
  said.figures = boxes.length;
  // read from the foot or the right of the sheet (ISO 129-1)
  if (boxes.some(({ turn }) => turn <= -100 || turn > 80)) faults.push('a figure stands on its head');
  const laid = boxes.map((mark) => boxOf(mark, lettering));
  laid.forEach((box, i) => {
    if (laid.slice(i + 1).some((other) => overlap(box, other))) faults.push('two figures lie over each other');
  });
  return { faults, ...said };
}
