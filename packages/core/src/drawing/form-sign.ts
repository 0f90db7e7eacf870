import type { Id, Opening, OpeningSpec, Wall } from '../plan/plan';
import { kindOfForm } from '../plan/plan';
import { networkOf, wallBody } from '../walls';
import type { Mark } from './marks';
import { openingSigns } from './opening-signs';

/** How much wall a sign shows beside the opening, as a share of its width, and how thick the wall is, mm. */
const BESIDE = 0.3;
const THICK = 120;

/**
 * An opening alone in a piece of wall that runs from left to right with the room below it: the sign of its form, for a tray or a
 * choice. `hinge` is the left jamb (`start`) or the right one; `swing` `right` is into the room. The middle of the wall is at 0, 0.
 */
export function formSign(
  spec: OpeningSpec,
  { hinge, swing }: Pick<Opening, 'hinge' | 'swing'> = { hinge: 'start', swing: 'right' },
): readonly Mark[] {
  const half = spec.width * (0.5 + BESIDE);
  const wall: Wall = {
    id: 'wall',
    floor: 'sign',
    start: 'a',
    end: 'b',
    bulge: 0,
    left: THICK / 2,
    right: THICK / 2,
    kind: 'internal',
    typed: true,
    hatch: null,
    tint: null,
  };
  const at = (id: Id, x: number) => ({ id, floor: 'sign', x, y: 0 });
  const network = networkOf({ a: at('a', -half), b: at('b', half) }, [wall]);
  const opening: Opening = {
    ...spec,
    id: 'opening',
    wall: 'wall',
    type: 'type',
    kind: kindOfForm(spec.form),
    number: 1,
    anchor: 'start',
    side: 'right',
    offset: BESIDE * spec.width,
    hinge,
    swing,
    ownSill: null,
    label: '',
    note: '',
  };
  const body: Mark = {
    kind: 'path',
    role: 'wall.cut',
    key: 'wall',
    rings: [wallBody(network, 'wall').ring],
    closed: true,
  };
  return [body, ...openingSigns(network, opening, false)];
}
