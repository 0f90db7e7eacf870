import {
  type Mark,
  type Painter,
  STYLES,
  drawFloor,
  lastFor,
  onceFor,
  painted,
  pictureMark,
  runsClockwise,
} from '../src';
import { House } from './house';
import { bringIn, only } from './over-a-picture';

test('once for each object, whatever comes of it', () => {
  let asked = 0;
  const sizeOf = onceFor((list: readonly number[]) => {
    asked += 1;
    return list.length > 0 ? list.length : undefined;
  });
  const [two, none] = [[1, 2], []];
  expect([sizeOf(two), sizeOf(two), sizeOf(none), sizeOf(none)]).toEqual([2, 2, undefined, undefined]);
  expect(asked).toBe(2);
});

test('the last one again while what else it was made from is the very same', () => {
  const last = lastFor<object, object>();
  const [of, part] = [{}, {}];
  const make = () => ({});
  const first = last(of, [part, 1, NaN], make);
  expect(last(of, [part, 1, NaN], make)).toBe(first);
  expect(last({}, [part, 1, NaN], make)).not.toBe(first);
  const other = last(of, [part, 2, NaN], make);
  expect(other).not.toBe(first);
  expect(last(of, [{}, 2, NaN], make)).not.toBe(other);
  expect(last(of, [part, 1], make)).not.toBe(first);
});

describe('one drawing, many painters', () => {
  /** A painter in words: what it was given. */
  const words: Painter<string> = {
    path: ({ role }, { fill, line }) => `path ${role} ${fill ? 'filled' : ''}${line ? 'lined' : ''}`,
    arc: ({ role }, { line }) => `arc ${role} ${line ? 'lined' : ''}`,
    text: ({ text }, style) => `text ${text} ${style.text ? 'lettered' : ''}`,
    picture: ({ picture }) => `picture ${picture}`,
  };

  test('every mark of a drawn floor comes to the painter of its kind, with a style it can be seen by', () => {
    const house = new House();
    const room = house.box(0, 0, 5000, 4000);
    house.box(5100, 0, 9000, 4000);
    const face = house.face(room, 'top');
    house.tape(face, 5000);
    for (const [opening, offset] of [
      ['door', 600],
      ['window', 2500],
    ] as const)
      house.do({ kind: 'addOpening', floor: 'ground', opening, face: face.key, end: 'left', offset });
    const marks = drawFloor(house.floor, { lettering: 100, units: 'metric' });
    expect(new Set(marks.map(({ kind }) => kind))).toEqual(new Set(['path', 'arc', 'text']));
    for (const mark of marks) expect(painted(words, mark)).toMatch(/filled|lined|lettered/);
    expect(marks.every(({ role }) => STYLES[role])).toBe(true);
  });

  test('a picture is a mark with where it lies, px to mm', () => {
    const plan = bringIn(new House().plan, { kind: 'printed', perPixel: 0.1, ratio: 50 });
    const mark = pictureMark(only(plan));
    expect(painted(words, mark)).toBe('picture pic-1');
    // 0.1 mm of paper a pixel at 1:50 is 5 mm; 2000 × 1500 px round the middle of the sheet
    expect(mark.matrix.map((n) => Math.round(n))).toEqual([5, 0, 0, 5, -5000, -3750]);
    expect(mark.shown).toEqual({ left: 0, top: 0, width: 2000, height: 1500 });
  });

  test('an arc runs the short way, clockwise to the eye or not', () => {
    const arc = { kind: 'arc', role: 'door.swing', key: 'a', centre: { x: 0, y: 0 }, radius: 1 } as const;
    const [right, below] = [
      { x: 1, y: 0 },
      { x: 0, y: 1 },
    ];
    expect(runsClockwise({ ...arc, from: right, to: below } satisfies Mark)).toBe(true);
    expect(runsClockwise({ ...arc, from: below, to: right } satisfies Mark)).toBe(false);
  });
});
