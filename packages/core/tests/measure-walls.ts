/**
 * Measures the finder of walls on drawn plans: `tsx measure-walls.ts FROM COUNT` prints what was found on clean and on noisy ones. A programme of its own,
 * since the test runner's sandbox makes arithmetic on millions of pixels ten times as slow.
 */
import { measured } from './measured-walls';

const [from, count] = process.argv.slice(2).map(Number);
const seeds = Array.from({ length: count! }, (_, i) => from! + i);
void (async () => {
  console.log(JSON.stringify({ clean: await measured(seeds, false), noisy: await measured(seeds, true) }));
})();
