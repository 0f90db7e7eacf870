import { type Plan, type Underlay, applyEdit, newPlan, toHouse } from '@velvet-tape/core';
import { checkFile } from '../src/pictures/check';
import { statedScale } from '../src/pictures/pdf';
import { underlayTool } from '../src/features/plan/tools/underlay-tool';
import { type MarksProposal, newMarks, sidesOf, withDistance } from '../src/features/plan/underlay/marks';
import { tracedIntent } from '../src/features/plan/underlay/trace';
import { markWords, scaleWords } from '../src/features/plan/underlay/words';
import { at, workbench } from './workbench';

// the tests have no loader for what comes later
jest.mock('../src/pictures/sizes', () => ({ sizeReader: async () => jest.requireActual('image-size') }));

/** A plan over a picture of 1000 × 500 px that is 10 m wide, its middle at (5000, 2500). */
function overPicture(): { plan: Plan; underlay: Underlay } {
  const result = applyEdit(
    newPlan({ name: 'Shed' }),
    {
      kind: 'addUnderlay',
      floor: 'ground',
      picture: { picture: 'p1', width: 1000, height: 500 },
      name: 'Sketch',
      at: { x: 5000, y: 2500 },
    },
    'u',
  );
  if (!result.ok) throw new Error(result.reason);
  return { plan: result.plan, underlay: Object.values(result.plan.underlays)[0]! };
}

const marks = (bench: ReturnType<typeof workbench>['state']) => bench.proposal as MarksProposal;
const metres = (value: number, text: string) => ({ value, text, unit: 'm' as const });

describe('the underlay tool', () => {
  test('a tap chooses the picture under it, a drag of the chosen one moves it, of anything else the sheet', () => {
    const { plan, underlay } = overPicture();
    const { bench, state } = workbench(plan);
    const tool = underlayTool(bench);
    tool.down(at(5000, 2500));
    tool.move(at(6000, 2500));
    tool.up(at(6000, 2500));
    expect(state.panned).toBeGreaterThan(0);
    expect(state.committed).toEqual([]);
    tool.down(at(5000, 2500));
    tool.up(at(5000, 2500));
    expect(state.selection).toEqual({ kind: 'underlay', id: underlay.id });
    tool.down(at(5000, 2500));
    tool.move(at(6000, 2600));
    tool.up(at(6000, 2600));
    expect(state.plan.underlays[underlay.id]!.at).toEqual({ x: 6000, y: 2600 });
    tool.down(at(90_000, 0));
    tool.up(at(90_000, 0));
    expect(state.selection).toEqual({ kind: 'nothing' });
  });

  test('a locked picture stays where it is', () => {
    const { plan, underlay } = overPicture();
    const locked = { ...plan, underlays: { [underlay.id]: { ...underlay, locked: true } } };
    const { bench, state } = workbench(locked);
    state.selection = { kind: 'underlay', id: underlay.id };
    const tool = underlayTool(bench);
    tool.down(at(5000, 2500));
    tool.move(at(6000, 2500));
    tool.up(at(6000, 2500));
    expect(state.committed).toEqual([]);
  });

  test('marks are set where the finger ends, moved when it begins on one, and no more than are wanted', () => {
    const { plan, underlay } = overPicture();
    const { bench, state } = workbench(plan);
    state.proposal = newMarks('scale', underlay);
    const tool = underlayTool(bench);
    for (const [from, to] of [
      [at(1000, 1000), at(1200, 1000)],
      [at(7000, 1000), at(7000, 1000)],
    ] as const) {
      tool.down(from);
      tool.move(to);
      tool.up(to);
    }
    expect(marks(state).marks).toHaveLength(2);
    expect(marks(state).marks[0]!.x).toBeCloseTo(120, 6);
    tool.down(at(7050, 1050));
    tool.move(at(8000, 1000));
    tool.up(at(8000, 1000));
    expect(marks(state).marks[1]!.x).toBeCloseTo(800, 6);
    // a third is not wanted: the finger moves the sheet
    tool.down(at(4000, 4000));
    tool.move(at(5000, 4000));
    tool.up(at(5000, 4000));
    expect(marks(state).marks).toHaveLength(2);
    expect(state.panned).toBeGreaterThan(0);
  });

  test('a second finger takes back the mark that was being set', () => {
    const { plan, underlay } = overPicture();
    const { bench, state } = workbench(plan);
    state.proposal = newMarks('scale', underlay);
    const tool = underlayTool(bench);
    tool.down(at(1000, 1000));
    expect(tool.busy).toBe(true);
    tool.cancel();
    expect(marks(state).marks).toEqual([]);
    expect(tool.busy).toBe(false);
  });
});

describe('what is said', () => {
  const { underlay } = overPicture();
  const scaled = (value: number, text: string) =>
    withDistance({
      ...newMarks('scale', underlay),
      marks: [
        { x: 0, y: 0 },
        { x: 500, y: 0 },
      ],
      typed: metres(value, text),
    });

  test('what a scale means before it holds, and what was likelier meant', () => {
    expect(scaleWords(scaled(5000, '5'), underlay, 'metric')).toMatchObject({
      means: 'This makes the picture 10.00 m wide.',
      likely: null,
    });
    expect(scaleWords(scaled(500_000, '500'), underlay, 'metric')!.likely).toEqual({ by: 0.01, width: '10.00 m' });
  });

  test('distances that do not agree, and the one that is off', () => {
    const two = withDistance({
      ...scaled(5000, '5'),
      marks: [
        { x: 0, y: 0 },
        { x: 0, y: 400 },
      ],
      typed: metres(4400, '4.4'),
    });
    const words = scaleWords(two, underlay, 'metric')!;
    expect(words.agree).toMatch(/^They do not agree: the (first|second) is off by \d\.\d %\.$/);
    expect(words.stretch).toContain('The picture looks stretched: 10.0 % too low');
    expect(scaleWords({ ...two, stretched: true }, underlay, 'metric')!.agree).toBe('2 distances agree to 0.0 %.');
  });

  test('what is to be marked next', () => {
    expect(markWords(newMarks('flatten', underlay))).toContain('its top left first');
    expect(markWords({ ...newMarks('place', underlay), marks: [{ x: 1, y: 1 }] })).toBe(
      'Now the same point on the plan.',
    );
  });

  test('sides of paper, and sides that are typed', () => {
    const flat = newMarks('flatten', underlay);
    expect(sidesOf({ ...flat, sides: 'A3 upright' })).toEqual({ width: 297, height: 420, paper: true });
    expect(sidesOf({ ...flat, sides: 'typed' })).toBeNull();
    expect(sidesOf({ ...flat, sides: 'typed', width: metres(4200, '4.2'), depth: metres(3100, '3.1') })).toEqual({
      width: 4200,
      height: 3100,
      paper: false,
    });
  });
});

test('the scale that is written on a page: one, in any of the ways it is written; none where there are several', () => {
  expect(statedScale('Ground floor M 1:50, all in cm')).toBe(50);
  expect(statedScale('SCALE 1 : 100 @ A3')).toBe(100);
  expect(statedScale('1:50 and details 1:5')).toBeNull();
  expect(statedScale('Opened 11:30 to 1:2')).toBeNull();
  expect(statedScale('no scale')).toBeNull();
});

test('files that are no pictures are told by what is in them', async () => {
  const file = (bytes: number[]) => {
    const data = new Uint8Array(bytes);
    // jsdom’s blobs have no arrayBuffer
    return { size: data.length, slice: () => ({ arrayBuffer: () => Promise.resolve(data.buffer) }) } as unknown as Blob;
  };
  await expect(checkFile(file([]))).rejects.toThrow('empty');
  await expect(checkFile(file([77, 105, 108, 107]))).rejects.toThrow('not a picture');
  await expect(checkFile(file([...'%PDF-1.4 '].map((c) => c.charCodeAt(0))))).resolves.toBe('pdf');
  // a PNG that says it is 10 000 × 10 000
  const png = [137, 80, 78, 71, 13, 10, 26, 10, 0, 0, 0, 13, 73, 72, 68, 82, 0, 0, 39, 16, 0, 0, 39, 16, 8, 2, 0, 0, 0];
  await expect(checkFile(file(png))).rejects.toThrow('100 million pixels');
});

test('what is drawn over a picture of known scale is traced, beside it and before it has one it is not', () => {
  const { underlay } = overPicture();
  const inside = { kind: 'drawBox', floor: 'ground', a: { x: 1000, y: 1000 }, b: { x: 4000, y: 3000 } } as const;
  const traced = { line: 'inner', underlay, seen: null } as const;
  expect(tracedIntent(inside, traced)).toMatchObject({ traced: { underlay: underlay.id, line: 'inner' } });
  const far = toHouse(underlay, { x: 1200, y: 100 });
  expect(tracedIntent({ ...inside, b: far }, traced)).not.toHaveProperty('traced');
  expect(tracedIntent(inside, null)).toBe(inside);
  expect(tracedIntent({ kind: 'nameRoom', room: 'r', name: 'Hall' }, traced)).not.toHaveProperty('traced');
});
