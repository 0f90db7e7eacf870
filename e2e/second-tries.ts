import { writeFileSync } from 'node:fs';
import type { Reporter, TestCase, TestResult } from '@playwright/test/reporter';

/** How often the clock is looked at, and how long it may not be before the machine is said to have stood still, ms. */
const BEAT = 500;
const STILL = 8000;

/**
 * Says what passed at its second try only, with its name: one in a run may, two are a failure. Where the machine itself stood still during a try, which a clock of its
 * own tells, that try is said but not counted: it shows nothing of the application.
 */
export default class SecondTries implements Reporter {
  private readonly ended = new Map<string, TestCase>();
  private readonly stills: { from: number; to: number }[] = [];
  private beat: NodeJS.Timeout | undefined;

  printsToStdio(): boolean {
    return false;
  }

  onBegin(): void {
    let last = Date.now();
    this.beat = setInterval(() => {
      const now = Date.now();
      if (now - last > STILL) this.stills.push({ from: last, to: now });
      last = now;
    }, BEAT);
  }

  onTestEnd(test: TestCase): void {
    this.ended.set(test.id, test);
  }

  async onEnd(): Promise<{ status: 'passed' | 'failed' }> {
    clearInterval(this.beat);
    const all = [...this.ended.values()];
    const of = (outcome: ReturnType<TestCase['outcome']>) => all.filter((test) => test.outcome() === outcome);
    const flaky = of('flaky');
    const counted = flaky.filter((test) => !test.results.every((each) => each.status === 'passed' || this.stood(each)));
    for (const test of flaky)
      console.log(`needed a second try${counted.includes(test) ? '' : ', as the machine stood still'}: ${test.title}`);
    const passed = of('expected').length + flaky.length;
    const failed = of('unexpected').length + (counted.length > 1 ? 1 : 0) + (all.length === 0 ? 1 : 0);
    // what bin/test adds up
    const counts = process.env['JOURNEYS_COUNT'];
    if (counts) writeFileSync(counts, `${passed} ${failed}\n`);
    return { status: failed > 0 ? 'failed' : 'passed' };
  }

  private stood({ startTime, duration }: TestResult): boolean {
    const [from, to] = [startTime.getTime(), startTime.getTime() + duration];
    return this.stills.some((still) => still.from < to && still.to > from);
  }
}
