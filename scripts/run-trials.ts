export interface Trial {
  /** How many, unless it is told. */
  readonly usual: number;
  run(count: number, seed: number): object | Promise<object>;
}

/**
 * Runs those that are named on the command line, or all: `NAME… --seed=N --count=N`. Fresh seeds unless told; the seed is printed, so that what went wrong can
 * be done again.
 */
export async function runTrials(trials: Readonly<Record<string, Trial>>): Promise<void> {
  const given = process.argv.slice(2);
  const option = (name: string) => given.find((each) => each.startsWith(`--${name}=`))?.split('=')[1];
  const names = given.filter((each) => !each.startsWith('--'));
  const seed = Number(option('seed') ?? Math.floor(Math.random() * 2 ** 31));
  console.log(`seed ${seed}`);
  for (const [name, { usual, run }] of Object.entries(trials)) {
    if (names.length > 0 && !names.includes(name)) continue;
    const start = performance.now();
    const result = await run(Number(option('count') ?? usual), seed);
    const took = ((performance.now() - start) / 1000).toFixed(0);
    console.log(name, JSON.stringify(result, null, 1).slice(0, 2000), `${took} s`);
  }
}
