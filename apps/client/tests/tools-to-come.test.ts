import { roomToCome } from '../src/features/plan/later/room-to-come';
import { afterRooms } from '../src/features/plan/tools/after-rooms';
import type { Tool } from '../src/features/plan/tools/tool';
import { at, workbench } from './workbench';

const mockComing: { here: boolean; came: () => void; promise: Promise<void> } = {
  here: false,
  came: () => undefined,
  promise: Promise.resolve(),
};
jest.mock('../src/core-later/come', () => ({
  roomsAreHere: () => mockComing.here,
  roomsCome: () => mockComing.promise,
}));

test('what a finger did before the edits were there is done when they come, in its order; after that at once', async () => {
  mockComing.promise = new Promise<void>((resolve) => (mockComing.came = resolve));
  const done: string[] = [];
  const note = (what: string) => () => void done.push(what);
  const tool = afterRooms(() => ({
    ...{ busy: false, down: note('down'), move: note('move'), up: note('up'), cancel: note('cancel') },
  }))(workbench().bench);
  tool.down(at(0, 0));
  tool.up(at(0, 0));
  expect(done).toEqual([]);
  mockComing.here = true;
  mockComing.came();
  await mockComing.promise;
  await Promise.resolve();
  expect(done).toEqual(['down', 'up']);
  tool.down(at(0, 0));
  tool.cancel();
  expect(done).toEqual(['down', 'up', 'down', 'cancel']);
});

const settled = () => new Promise((resolve) => setTimeout(resolve, 0));

/** A part whose tool notes what it does; each time it is fetched as the next of `loads` says. */
function partOf(...loads: (() => Promise<null>)[]) {
  mockComing.promise = Promise.resolve();
  const done: string[] = [];
  const note = (what: string) => () => void done.push(what);
  const own: Tool = { busy: true, down: note('down'), move: note('move'), up: note('up'), cancel: note('cancel') };
  const part = roomToCome(() => loads.shift()!().then(() => ({ own })), 'It could not be fetched.');
  const { bench, state } = workbench();
  return { done, part, state, tool: part.tool((room) => room.own)(bench) };
}

test('a tool of a part that is on its way does what was tapped when it comes, once, in its order', async () => {
  let came = () => undefined as void;
  const { done, part, state, tool } = partOf(() => new Promise((resolve) => (came = () => resolve(null))));
  const told: unknown[] = [];
  part.bring(
    (action: unknown) => void told.push(action) as never,
    () => undefined as never,
  );
  tool.down(at(0, 0));
  tool.up(at(0, 0));
  tool.down(at(900, 0));
  expect(tool.busy).toBe(false);
  await settled();
  came();
  await settled();
  expect(done).toEqual(['down', 'up', 'down']);
  expect(told).toHaveLength(1);
  expect(tool.busy).toBe(true);
  tool.cancel();
  expect(done).toEqual(['down', 'up', 'down', 'cancel']);
  expect(state.refused).toBe('');
});

test('what was tapped for a part that can’t be fetched is refused in words, and not done later; the next tap fetches it again', async () => {
  const { done, part, state, tool } = partOf(
    () => Promise.reject(new Error('no signal')),
    () => Promise.resolve(null),
  );
  const told: { type: string }[] = [];
  part.bring(
    (action: unknown) => void told.push(action as { type: string }) as never,
    () => undefined as never,
  );
  tool.down(at(0, 0));
  tool.up(at(0, 0));
  await settled();
  expect(state.refused).toBe('It could not be fetched.');
  tool.down(at(0, 0));
  await settled();
  expect(done).toEqual(['down']);
  // what is shown of it is looked at again, though nobody else has asked since
  expect(told.map(({ type }) => type)).toEqual(['plan/said', 'view/roomCame']);
});
