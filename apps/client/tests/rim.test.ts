import { rimOf } from '../src/features/plan/views/space/rim';

/** Two triangles that are a square of a metre, standing after one that is of another surface. */
const positions = new Float32Array([
  ...[9, 9, 9, 9, 9, 8, 9, 8, 9],
  ...[0, 0, 0, 1, 0, 0, 1, 1, 0],
  ...[0, 0, 0, 1, 1, 0, 0, 1, 0],
]);

test('the rim of a surface is its four sides, and not what its triangles share', () => {
  const ends = rimOf(positions, 3, 6);
  expect(ends).toHaveLength(8);
  const sides = [0, 2, 4, 6].map((i) => {
    const [a, b] = [ends[i]!, ends[i + 1]!];
    return Math.hypot(a.x - b.x, a.y - b.y, a.z - b.z);
  });
  expect(sides).toEqual([1, 1, 1, 1]);
});

test('a triangle by itself is all rim; nothing has none', () => {
  expect(rimOf(positions, 0, 3)).toHaveLength(6);
  expect(rimOf(positions, 0, 0)).toEqual([]);
});
