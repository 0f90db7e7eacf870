import { planActions, planReducer } from '../src/features/plan/plan-slice';
import { initial } from '../src/features/plan/plan-state';
import { entryUnit, nextEntryUnit } from '../src/features/plan/entry-unit';
import { typedBehind, withKey } from '../src/features/plan/foot/keys';
import { newPath, withCorner } from '../src/features/plan/sketching/path';
import { withTyped } from '../src/features/plan/sketching/proposal';
import { viewActions, viewReducer } from '../src/features/plan/view-slice';
import { toScreen } from '../src/features/plan/viewport';

describe('the sheet goes to what is worked on', () => {
  const begun = viewReducer(undefined, viewActions.resized({ width: 390, height: 640, box: null, hold: false }));
  const wall = { minX: 20_000, minY: 3000, maxX: 24_000, maxY: 6000 };

  test('into the part that is left, and back', () => {
    const there = viewReducer(begun, viewActions.followed(wall));
    for (const [x, y] of [
      [wall.minX, wall.minY],
      [wall.maxX, wall.maxY],
    ] as const) {
      const px = toScreen(there.view, { x, y });
      expect(px.x).toBeGreaterThan(0);
      // clear of the button at the right
      expect(px.x).toBeLessThan(390 - 48);
      expect(px.y).toBeGreaterThan(0);
      expect(px.y).toBeLessThan(640);
    }
    // what is well in view already does not move
    expect(viewReducer(there, viewActions.followed(wall))).toBe(there);
    const smaller = viewReducer(there, viewActions.resized({ width: 390, height: 300, box: null, hold: false }));
    const next = viewReducer(smaller, viewActions.followed({ ...wall, maxX: 30_000 }));
    const back = viewReducer(next, viewActions.cameBack());
    expect(viewReducer(back, viewActions.resized({ width: 390, height: 640, box: null, hold: false })).view).toEqual(
      begun.view,
    );
  });

  test('what is drawn after it came back stays where it was drawn, whatever foot comes then', () => {
    const size = (height: number, hold = false) => viewActions.resized({ width: 390, height, box: null, hold });
    const back = viewReducer(viewReducer(begun, viewActions.followed(wall)), viewActions.cameBack());
    const drawn = viewReducer(back, size(420, true));
    expect(viewReducer(drawn, size(500)).view).toEqual(back.view);
  });

  test('moved by hand it stays where it was put', () => {
    const there = viewReducer(begun, viewActions.followed(wall));
    const moved = viewReducer(there, viewActions.panned({ x: 10, y: 5 }));
    expect(viewReducer(moved, viewActions.cameBack()).view).toEqual(moved.view);
  });
});

test('the foot that grows while something is dragged takes the sheet nowhere, then or afterwards', () => {
  const size = (height: number, dragged = false) =>
    viewActions.resized({ width: 390, height, box: null, hold: false, dragged });
  const begun = viewReducer(viewReducer(undefined, size(640)), viewActions.panned({ x: 3, y: 4 }));
  const chosen = viewReducer(begun, size(300));
  const dragged = viewReducer(chosen, size(246, true));
  expect(dragged.view).toEqual(chosen.view);
  const done = viewReducer(dragged, size(640));
  expect(done.view.y).toBeCloseTo(begun.view.y, 9);
});

test('a job that was left and is come back to lies as it did', () => {
  const left = viewReducer(
    viewReducer(undefined, viewActions.resized({ width: 390, height: 640, box: null, hold: false })),
    viewActions.zoomed({ factor: 2 }),
  );
  const again = viewReducer(viewReducer(undefined, viewActions.reset()), viewActions.takenUpAgain(left));
  expect(viewReducer(again, viewActions.resized({ width: 390, height: 640, box: null, hold: false })).view).toEqual(
    left.view,
  );
});

test('of two units in a row the later holds', () => {
  const typed = (...keys: string[]) => keys.reduce(withKey, '');
  expect(typed('120', ' m ', ' mm').trim()).toBe('120 mm');
  expect(typed('11', ' ft ', '3', ' in', ' ft ').trim()).toBe('11 ft 3 ft');
  expect(typed('3', ' m ', '42', ' cm ').trim()).toBe('3 m 42 cm');
  expect(typed('4', ' 1/2', ' in')).toBe('4 1/2 in');
});

test('a digit typed after a shot of the meter begins anew, anything else goes on; once something was typed it goes on', () => {
  const shot = planReducer(initial, planActions.received('5.295 m')).pad;
  expect(typedBehind(shot, '3')).toBe('');
  expect(typedBehind(shot, ' cm ')).toBe('5.295 m');
  expect(typedBehind(shot, ' + ')).toBe('5.295 m');
  const typed = planReducer({ ...initial, pad: shot }, planActions.typed('3')).pad;
  expect(typedBehind(typed, '5')).toBe('3');
});

test.each([
  ['length', 'metric', null, 'm'],
  ['thickness', 'metric', null, 'mm'],
  ['thickness', 'metric', 'm', 'mm'],
  ['thickness', 'metric', 'cm', 'cm'],
  ['length', 'metric', 'mm', 'mm'],
  ['length', 'imperial', 'mm', 'ft'],
  ['length', 'imperial', 'in', 'in'],
  ['frame', 'imperial', null, 'in'],
] as const)('%s in %s, read in %s: a bare number is %s', (field, units, chosen, unit) => {
  expect(entryUnit(field, units, chosen)).toBe(unit);
});

test('the key goes through the units and round', () => {
  expect(nextEntryUnit('metric', null)).toBe('cm');
  expect(nextEntryUnit('metric', 'cm')).toBe('mm');
  expect(nextEntryUnit('metric', 'mm')).toBe('m');
  expect(nextEntryUnit('imperial', 'cm')).toBe('in');
});

test('a length that was typed for a leg is not typed over by the next', () => {
  const typed = (value: number) => ({ value, text: `${value}`, unit: 'mm', instrument: 'tape' }) as const;
  const path = withCorner(withCorner(newPath(false), { x: 0, y: 0 }), { x: 3000, y: 0 });
  // roughly drawn, it takes the length
  const taped = withTyped(path, 'leg', typed(4000));
  expect(taped).toMatchObject({ points: [{ x: 0 }, { x: 4000 }] });
  expect(withTyped(taped, 'leg', typed(2000))).toBe(taped);
});

test('the tool that was in hand last stays in the row, those always there push none out', () => {
  const after = (...tools: readonly Parameters<typeof planActions.toolChosen>[0][]) =>
    tools.reduce((state, tool) => planReducer(state, planActions.toolChosen(tool)), { ...initial, toolsOpen: true });
  expect(after('bump')).toMatchObject({ lastTool: 'bump', toolsOpen: false });
  expect(after('bump', 'box', 'measure')).toMatchObject({ lastTool: 'bump', tool: 'measure' });
});

test('what was refused or asked about is there to be seen, and the next digit begins anew', () => {
  const typed = (text: string) => planReducer(initial, planActions.typed(text));
  const refused = planReducer(typed('800'), planActions.said({ text: 'There is no room for that.', tone: 'refused' }));
  expect(typedBehind(refused.pad, '8')).toBe('');
  expect(refused.pad.text).toBe('800');
  const asked = planReducer(typed('42'), planActions.asked());
  expect(typedBehind(asked.pad, '4')).toBe('');
  // rubbed out and typed anew, what was refused once is no longer waited for
  const anew = planReducer(planReducer(refused, planActions.typed('')), planActions.typed('800'));
  expect(typedBehind(anew.pad, '5')).toBe('800');
  // a unit still goes behind it, and what was only said changes nothing
  expect(typedBehind(refused.pad, ' cm')).toBe('800');
  expect(typedBehind(planReducer(typed('800'), planActions.said({ text: 'Kept.', tone: 'said' })).pad, '8')).toBe(
    '800',
  );
});
