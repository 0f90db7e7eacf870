import { afterRooms } from '../src/features/plan/tools/after-rooms';
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
