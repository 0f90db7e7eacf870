import { type Intent, type Plan, applyEdit, deriveFloor } from '@velvet-tape/core';
import * as core from '@velvet-tape/core';
import * as rooms from '@velvet-tape/core/later';
import { come } from '../src/core-later/to-come';
import type { notesTool as NotesTool } from '../src/features/plan/notes/notes-tool';
import type { ToolChoices } from '../src/features/plan/tool-choices';
import { chooseTool } from '../src/features/plan/tools/choose-tool';
import { isTap } from '../src/features/plan/tools/tool';
import { at, shed, workbench } from './workbench';

// what comes later takes the plan on loan: here the part of it that the tool needs
jest.mock('../src/features/plan/later/lent', () => ({
  lent: () => ({ ...jest.requireActual<object>('@velvet-tape/core'), isTap: mockIsTap }),
}));
const mockIsTap = isTap;
come(rooms);
const { notesTool } = require('../src/features/plan/notes/notes-tool') as { notesTool: typeof NotesTool };

type Form = ToolChoices['note']['form'];

/** A shed of 4 × 3 m, inside faces at 0 and 4,000, 0 and 3,000, with the tool of notes in hand. */
function hand(form: Form, plan: Plan = shed()) {
  const { bench, state } = workbench(plan);
  const choose = (note: Partial<ToolChoices['note']>) => {
    state.choices = { ...state.choices, note: { form, sign: 'socket', adding: false, ...note } };
  };
  choose({});
  const tool = notesTool(bench);
  const tap = (x: number, y: number) => {
    tool.down(at(x, y));
    tool.up(at(x, y));
  };
  const drag = (a: readonly [number, number], b: readonly [number, number], free = false) => {
    tool.down(at(...a, free));
    tool.move(at((a[0] + b[0]) / 2, (a[1] + b[1]) / 2, free));
    tool.move(at(...b, free));
    tool.up(at(...b, free));
  };
  const figures = () => {
    const floor = deriveFloor(state.plan, 'ground');
    return rooms
      .dimensionsOn(floor)
      .flatMap(({ dimension, points }) => rooms.laidOut(floor, dimension, points)?.figures ?? [])
      .map(({ length }) => Math.round(length));
  };
  return { bench, state, tool, choose, tap, drag, figures };
}
const dimensions = (plan: Plan) => Object.values(plan.dimensions);
const notes = (plan: Plan) => Object.values(plan.annotations);
const done = (plan: Plan, intent: Intent): Plan => {
  const result = applyEdit(plan, intent, 'made');
  if (!result.ok) throw new Error(result.reason);
  return result.plan;
};

describe('a dimension line', () => {
  test('drawn a little off the faces is caught by them, and square to them', () => {
    const { state, drag, figures } = hand('line');
    drag([60, 1500], [3930, 1580]);
    expect(figures()).toEqual([4000]);
    expect(dimensions(state.plan)[0]).toMatchObject({ form: 'line', row: 0, laid: '' });
    expect(Math.abs(dimensions(state.plan)[0]!.turn!) % 180).toBeCloseTo(0, 6);
    expect(state.selection).toMatchObject({ kind: 'note', of: 'dimensions' });
  });

  test('drawn along a wall from corner to corner stands off it, into the room it was drawn in', () => {
    const { state, drag, figures } = hand('line');
    drag([20, 30], [3980, 20]);
    expect(figures()).toEqual([4000]);
    // its points are the inside corners: it goes along when the wall turns
    expect(dimensions(state.plan)[0]).toMatchObject({ turn: null });
    expect(Math.abs(dimensions(state.plan)[0]!.row)).toBe(1);
    const places = Object.values(state.plan.points).map(({ stand }) => stand.kind);
    expect(places).toEqual(['wall', 'wall']);
  });

  test('with snapping suspended it is where the finger was, and rough', () => {
    const { state, drag, figures } = hand('line');
    drag([1000, 1000], [2000, 1700], true);
    expect(figures()).toEqual([Math.round(Math.hypot(1000, 700))]);
    expect(Object.values(state.plan.points).map(({ stand }) => stand.kind)).toEqual(['free', 'free']);
  });

  test('chosen it is moved sideways in whole centimetres; one of its points to another place; the sheet where nothing is held', () => {
    const { state, drag, figures } = hand('line');
    drag([20, 1500], [3980, 1500]);
    const off = () => dimensions(state.plan)[0]!.off;
    drag([2000, 1500], [2050, 1000]);
    expect(Math.abs(off())).toBe(500);
    const line = () => rooms.drawnDimensions(deriveFloor(state.plan, 'ground'), 125);
    expect([...line().values()][0]!.marks.length).toBeGreaterThan(2);
    // its right end from the face to the corner above it: straight from one to the other
    drag([4000, 1500], [4000, 20]);
    expect(figures()).toEqual([Math.round(Math.hypot(4000, 1500))]);
    expect(state.panned).toBe(0);
    expect(state.previews.length).toBeGreaterThan(1);
  });

  test('goes on to more places while that is asked for', () => {
    const { state, choose, drag, tap, figures } = hand('line');
    drag([20, 1500], [3980, 1500]);
    choose({ adding: true });
    tap(1200, 1200);
    expect(figures()).toEqual([1200, 2800]);
    tap(1200, 2000);
    // there is nothing more to be said by that
    expect(figures()).toEqual([1200, 2800]);
    expect(Object.keys(state.plan.points)).toHaveLength(3);
  });
});

describe('what is tapped', () => {
  test('an angle is a side, the corner, the other side; cancelled half way it is none', () => {
    const { state, tool, tap } = hand('angle');
    tap(2000, 0);
    tap(0, 0);
    expect(tool.busy).toBe(true);
    tool.cancel();
    expect(tool.busy).toBe(false);
    tap(2000, 0);
    tap(0, 0);
    tap(0, 2000);
    const [angle] = [...rooms.drawnDimensions(deriveFloor(state.plan, 'ground'), 125).values()];
    expect(angle!.marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : []))).toEqual(['90.0°']);
  });

  test('a radius needs a curved wall; of one it is the radius of its face', () => {
    const straight = hand('radius');
    straight.tap(0, 1500);
    expect(dimensions(straight.state.plan)).toHaveLength(0);
    const left = deriveFloor(shed(), 'ground').rooms[0]!.faces.find(({ d }) => d.y < -0.9)!;
    const bowed = done(shed(), {
      ...{ kind: 'bendWall', floor: 'ground', face: left.key, by: 'sagitta', value: 500, way: 'out' },
    });
    const { state, tap } = hand('radius', bowed);
    const arc = deriveFloor(bowed, 'ground').rooms[0]!.faces.find(({ course }) => course.arc)!;
    const [x, y] = [core.pointAt(arc.course, arc.length / 2).x, core.pointAt(arc.course, arc.length / 2).y];
    tap(x, y);
    const [radius] = [...rooms.drawnDimensions(deriveFloor(state.plan, 'ground'), 125).values()];
    // chord 3,000 and sagitta 500: r = c²/8s + s/2 = 2,500 (chord and sagitta of a circle)
    expect(radius!.marks.flatMap((mark) => (mark.kind === 'text' ? [mark.text] : []))).toEqual(['R 2.50']);
  });

  test('a level stands where the floor is; dragged it goes', () => {
    const { state, tap, drag } = hand('level');
    tap(1000, 1500);
    expect(dimensions(state.plan)).toMatchObject([{ form: 'level' }]);
    drag([1000, 1500], [2500, 1500]);
    expect(Object.values(state.plan.points)[0]!.stand).toMatchObject({ kind: 'free', x: 2500, y: 1500 });
  });

  test('a text where it is tapped; dragged from what it is about it has a line to it', () => {
    const { state, tap, drag } = hand('text');
    tap(1000, 1500);
    drag([20, 20], [2500, 1000]);
    expect(notes(state.plan)).toMatchObject([
      { form: 'text', at: { x: 1000, y: 1500 }, to: null },
      { form: 'text', at: { x: 2500, y: 1000 }, to: { x: 0, y: 0 } },
    ]);
  });

  test('a sign; arrows and lines are drawn; a tap on one of them chooses it', () => {
    const { state, choose, tap, drag } = hand('sign');
    tap(1000, 1500);
    choose({ form: 'arrow' });
    drag([2000, 1000], [3000, 2000], true);
    choose({ form: 'rule' });
    drag([500, 2500], [1500, 2500], true);
    expect(notes(state.plan).map(({ form }) => form)).toEqual(['sign', 'arrow', 'line']);
    tap(2500, 1500);
    expect(state.selection).toMatchObject({ kind: 'note', id: notes(state.plan)[1]!.id });
    // nothing is under the finger there
    tap(3500, 400);
    expect(state.selection).toEqual({ kind: 'nothing' });
  });
});

describe('a chosen note', () => {
  const sign = () => {
    const made = hand('sign');
    made.tap(1000, 1500);
    return made;
  };

  test('is moved by itself, turned and sized by its handle', () => {
    const { state, drag } = sign();
    drag([1000, 1500], [1500, 1700]);
    expect(notes(state.plan)[0]).toMatchObject({ at: { x: 1500, y: 1700 }, turn: 0, size: 2.5 });
    const handle = rooms.turnHandle(notes(state.plan)[0]!, 125)!;
    const away = handle.x - 1500;
    // straight down, twice as far: a quarter turned, twice as large
    drag([handle.x, handle.y], [1510, 1700 + 2 * away]);
    expect(notes(state.plan)[0]).toMatchObject({ at: { x: 1500, y: 1700 }, turn: 90, size: 5 });
  });

  test('an arrow by one of its ends, or as it is', () => {
    const { state, drag } = hand('arrow');
    drag([1000, 1000], [2000, 1000], true);
    drag([2000, 1000], [2000, 1800]);
    expect(notes(state.plan)[0]).toMatchObject({ at: { x: 1000, y: 1000 }, to: { x: 2000, y: 1800 } });
    drag([1000, 1000], [800, 1000]);
    expect(notes(state.plan)[0]).toMatchObject({ at: { x: 800, y: 1000 }, to: { x: 2000, y: 1800 } });
    drag([1400, 1400], [1500, 1500]);
    expect(notes(state.plan)[0]).toMatchObject({ at: { x: 900, y: 1100 }, to: { x: 2100, y: 1900 } });
  });

  test('a text goes, and what it points at stays', () => {
    const { state, drag } = hand('text');
    drag([20, 20], [2500, 1000]);
    drag([2500, 1000], [2700, 1300]);
    expect(notes(state.plan)[0]).toMatchObject({ at: { x: 2700, y: 1300 }, to: { x: 0, y: 0 } });
  });
});

describe('what is locked', () => {
  const locked = (plan: Plan, parts: object, layers: Record<string, 'locked'> = {}) => {
    const made = applyEdit(plan, { kind: 'addLook', name: 'Locked', like: 'on site' }, 'look');
    if (!made.ok) throw new Error(made.reason);
    return done(made.plan, { kind: 'changeLook', look: made.made!, to: { parts, layers } });
  };

  test('no finger has hold of: notes as a whole, or those of a layer', () => {
    const plan = done(shed(), {
      ...{ kind: 'addAnnotation', floor: 'ground', form: 'sign', at: { x: 1000, y: 1500 } },
      ...{ sign: 'socket', layer: 'Electrics' },
    });
    for (const held of [locked(plan, { notes: 'locked' }), locked(plan, {}, { Electrics: 'locked' })]) {
      const { state, tap } = hand('line', held);
      tap(1000, 1500);
      expect(state.selection).toEqual({ kind: 'nothing' });
    }
    const { state, tap } = hand('line', plan);
    tap(1000, 1500);
    expect(state.selection).toMatchObject({ kind: 'note' });
  });

  test('a wall is passed over, and neither it nor a corner of its room is dragged', () => {
    const { bench, state } = workbench(locked(shed(), { walls: 'locked' }));
    const tool = chooseTool(bench);
    tool.down(at(30, 1500));
    tool.up(at(30, 1500));
    expect(state.selection).toMatchObject({ kind: 'room' });
    tool.down(at(0, 0));
    tool.move(at(300, 300));
    tool.up(at(300, 300));
    expect(state.committed).toEqual([]);
    expect(state.panned).not.toBe(0);
  });
});
