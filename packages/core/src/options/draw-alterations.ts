import type { DerivedFloor } from '../derived';
import { deriveFloor } from '../derived';
import type { DrawingPart } from '../drawing/draw-floor';
import { hatch } from '../drawing/hatch';
import type { Mark } from '../drawing/marks';
import { drawOpening } from '../drawing/openings';
import { onceFor } from '../memory';
import type { Id, Plan } from '../plan/plan';
import { wallBody } from '../walls';
import { houseOfOption } from './with-option';

/** Between the lines of what is new, mm. */
const HATCH = 60;

/** What an option alters, over the measured plan as builders draw it: taken away dashed, new hatched; new openings in the wall. */
export function drawAlterations(
  plan: Plan,
  measured: DerivedFloor,
  option: Id,
  lettering: number,
): readonly DrawingPart[] {
  const own = Object.values(plan.alterations).filter((each) => each.option === option && each.floor === measured.floor);
  if (own.length === 0) return [];
  const house = houseOfOption(plan, option);
  const floor = deriveFloor(house.plan, measured.floor);
  const gone = own.flatMap(({ altered }): Mark[] => {
    if (altered.kind === 'wall gone') {
      const body = measured.bodies.find(({ wall }) => wall.id === altered.wall);
      const chalk = measured.chalk.find(({ id }) => id === altered.wall);
      const rings = body ? [body.ring] : chalk ? [wallBody(measured.network, chalk.id).ring] : [];
      return [path('wall.gone', `gone ${altered.wall}`, rings)];
    }
    if (altered.kind !== 'opening gone') return [];
    const opening = measured.openings.find(({ id }) => id === altered.opening);
    const body = opening && measured.bodies.find(({ wall }) => wall.id === opening.wall);
    // the wall is closed where it was
    return opening && body ? closedUp(measured, altered.opening) : [];
  });
  const fresh = floor.bodies
    .filter(({ wall }) => house.fresh.has(wall.id))
    .flatMap((body): Mark[] => [
      path('wall.new', `new ${body.wall.id}`, [body.ring]),
      lines(`new hatch ${body.wall.id}`, hatchOf(body)),
    ]);
  const chalk = floor.chalk
    .filter(({ id }) => house.fresh.has(id))
    .map(({ id }): Mark => {
      const { a, b } = floor.network.half(id, true).course;
      return { kind: 'path', role: 'chalk.line', key: `new ${id}`, rings: [[a, b]], closed: false };
    });
  const openings = floor.openings
    .filter(({ id }) => !measured.openings.some((each) => each.id === id))
    .map((opening) => ({
      key: `new opening ${opening.id}`,
      apart: false,
      marks: drawOpening(floor.network, opening, { lettering, units: plan.job.units }, null),
    }));
  return [{ key: 'alterations', apart: false, marks: [...gone, ...fresh, ...chalk] }, ...openings];
}

/** The doors and windows of the measured house that are not there in an option: closed, or gone with their wall. */
export function goneOpenings(plan: Pick<Plan, 'alterations' | 'openings'>, option: Id | null): ReadonlySet<Id> {
  const own = Object.values(plan.alterations).flatMap((each) => (each.option === option ? [each.altered] : []));
  const walls = new Set(own.flatMap((altered) => (altered.kind === 'wall gone' ? [altered.wall] : [])));
  return new Set([
    ...own.flatMap((altered) => (altered.kind === 'opening gone' ? [altered.opening] : [])),
    ...Object.values(plan.openings).flatMap(({ id, wall }) => (walls.has(wall) ? [id] : [])),
  ]);
}

/** A drawing of the measured floor without them. */
export function withoutGone(
  parts: readonly DrawingPart[],
  plan: Pick<Plan, 'alterations' | 'openings'>,
  option: Id | null,
): readonly DrawingPart[] {
  const gone = goneOpenings(plan, option);
  if (gone.size === 0) return parts;
  const keys = new Set([...gone].flatMap((id) => [`opening ${id}`, `number ${id}`]));
  return parts.map((part) =>
    keys.has(part.key)
      ? { ...part, marks: [] }
      : { ...part, marks: part.marks.filter(({ key, unit }) => !keys.has(unit ?? key)) },
  );
}

const path = (role: Mark['role'], key: string, rings: readonly (readonly { x: number; y: number }[])[]): Mark => ({
  kind: 'path',
  role,
  key,
  rings,
  closed: true,
});
const lines = (key: string, rings: readonly (readonly { x: number; y: number }[])[]): Mark => ({
  kind: 'path',
  role: 'solid.hatch',
  key,
  rings,
  closed: false,
});

const hatchOf = onceFor(({ ring }: DerivedFloor['bodies'][number]) => hatch(ring, HATCH));

/** A piece of new wall where an opening was. */
function closedUp({ network, openings }: DerivedFloor, id: Id): Mark[] {
  const opening = openings.find((each) => each.id === id)!;
  const gap = drawOpening(network, opening, { lettering: 100, units: 'metric' }, null).find(
    ({ role }) => role === 'opening.gap',
  );
  if (gap?.kind !== 'path') return [];
  return [
    path('wall.new', `closed ${id}`, gap.rings),
    lines(
      `closed hatch ${id}`,
      gap.rings.flatMap((ring) => hatch(ring, HATCH)),
    ),
  ];
}
