import { type Intent, type Plan, applyEdit } from '@velvet-tape/core';
import * as rooms from '@velvet-tape/core/later';
import { raisedHouse } from '@velvet-tape/core/raised';
import { come } from '../src/core-later/to-come';
import type * as Subjects from '../src/features/plan/views/finishes/subject';
import type { HouseToDraw } from '../src/workers/raise.worker';
import { shed } from './workbench';

come(rooms);
const subjects = require('../src/features/plan/views/finishes/subject') as typeof Subjects;
const { LISTED, onOf, scopeInWords, scopesOf, subjectInWords } = subjects;

const raised = (plan: Plan) =>
  ({ floors: raisedHouse(plan), walkable: { floors: [], footings: [] } }) as unknown as HouseToDraw;
const house = raised(shed());
/** Every surface of the shed, by its word. */
const surfaces = [...new Set(house.floors.flatMap(({ things }) => things.flatMap((thing) => surfacesOf(thing))))];
function surfacesOf(thing: object): string[] {
  return (thing as { mesh: { surfaces: { surface: string }[] } }).mesh.surfaces.map(({ surface }) => surface);
}
const of = (kind: string) => surfaces.find((each) => each.startsWith(`${kind} `))!;
const room = Object.keys(shed().rooms)[0]!;

test('a wall is finished by itself, with all walls of its room, or of the house: the least first, each with its words', () => {
  const face = of('face');
  expect(scopesOf(face).map(({ what }) => what)).toEqual(['wall', 'room', 'house']);
  expect(scopesOf(face).map(scopeInWords)).toEqual(['This wall', 'Walls of the room', 'All walls']);
  const said = (['wall', 'room', 'house'] as const).map((scope) =>
    subjectInWords({ surface: face, scope }, shed(), house),
  );
  const named = shed().rooms[room]!.name || 'unnamed room';
  expect(said).toEqual([`Wall, ${named}`, `Walls, ${named}`, 'All walls']);
});

test('a scope that a surface does not have is its own least; what cannot be finished has none', () => {
  expect(onOf({ surface: of('floor'), scope: 'wall' })).toMatchObject({ what: 'room', part: 'floor' });
  expect(onOf({ surface: 'cut', scope: 'house' })).toBeNull();
  expect(onOf({ surface: 'glass w1', scope: 'house' })).toBeNull();
});

test('whatever is tapped has a heading and words for each scope, and is laid on where the words say', () => {
  let tried = 0;
  for (const surface of surfaces)
    for (const on of scopesOf(surface)) {
      const subject = { surface, scope: on.what };
      expect(onOf(subject)).toEqual(on);
      expect(scopeInWords(on)).toMatch(/^[A-Z][a-z ]+$/);
      expect(subjectInWords(subject, shed(), house)).not.toMatch(/undefined|Surface/);
      const intent = {
        kind: 'layFinish',
        on: [on],
        along: false,
        look: rooms.painted('#5C8068', 'Moss'),
        option: null,
      };
      const result = applyEdit(shed(), intent as Intent, 'laid');
      expect(result.ok).toBe(true);
      if (!result.ok) continue;
      expect(rooms.finishLookOf(surface, result.plan)?.name).toBe('Moss');
      tried += 1;
    }
  expect(tried).toBeGreaterThan(10);
});

test('what is chosen by name can be laid on, for a room and for the house', () => {
  for (const [title, make] of LISTED) {
    const subject = make(room);
    const on = onOf(subject);
    expect([title, on?.what]).toEqual([title, subject.scope]);
    const intent = { kind: 'layFinish', on: [on], along: false, look: rooms.painted('#5C8068', 'Moss'), option: null };
    expect(applyEdit(shed(), intent as Intent, 'laid').ok).toBe(true);
  }
});
