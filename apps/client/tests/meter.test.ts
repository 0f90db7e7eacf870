import { SimulatedMeter } from '../src/meter/simulated-meter';

/** Numbers from 0 to 1 in a fixed order. */
function luck(...numbers: number[]): () => number {
  let at = 0;
  return () => numbers[at++ % numbers.length]!;
}

const many = () => {
  let state = 1;
  return () => (state = (state * 16807) % 2147483647) / 2147483647;
};

describe('the laser meter to practise with', () => {
  const quick = { takes: 0 };

  test('is connected, measures to those who listen, runs down and is let go', async () => {
    const meter = new SimulatedMeter(() => 4200, { ...quick, slips: 0, dropOuts: 0 }, many());
    const values: number[] = [];
    const states: string[] = [];
    const stop = meter.listen({ value: (mm) => values.push(mm), status: ({ state }) => states.push(state) });
    await meter.measure();
    expect(values).toEqual([]);
    await meter.connect();
    const before = meter.status.battery!;
    await meter.measure();
    expect(values).toHaveLength(1);
    expect(Math.abs(values[0]! - 4200)).toBeLessThan(10);
    expect(meter.status.battery!).toBeLessThan(before);
    expect(states).toEqual(['connecting', 'ready', 'measuring', 'ready']);
    stop();
    meter.disconnect();
    expect(meter.status.state).toBe('off');
    await meter.measure();
    expect(values).toHaveLength(1);
  });

  test('has the noise of its data sheet: ±2 mm', async () => {
    const meter = new SimulatedMeter(() => 3000, { ...quick, slips: 0, dropOuts: 0 }, many());
    const values: number[] = [];
    meter.listen({ value: (mm) => values.push(mm) });
    await meter.connect();
    for (let i = 0; i < 400; i += 1) await meter.measure();
    const mean = values.reduce((sum, mm) => sum + mm, 0) / values.length;
    const deviation = Math.sqrt(values.reduce((sum, mm) => sum + (mm - mean) ** 2, 0) / (values.length - 1));
    expect(Math.abs(mean - 3000)).toBeLessThan(0.4);
    expect(deviation).toBeGreaterThan(1.8);
    expect(deviation).toBeLessThan(2.2);
  });

  test('a beam that does not come back is said, and nothing is sent', async () => {
    const meter = new SimulatedMeter(() => null, quick, luck(0.5));
    const values: number[] = [];
    let trouble: string | null = null;
    meter.listen({ value: (mm) => values.push(mm), status: (status) => (trouble = status.trouble ?? trouble) });
    await meter.connect();
    await meter.measure();
    expect(values).toEqual([]);
    expect(trouble).toMatch(/Aim again/);
  });

  test('now and then it measures to something in the way', async () => {
    // no drop-out, a slip, half way
    const meter = new SimulatedMeter(() => 3000, quick, luck(0.9, 0.01, 0.5));
    const values: number[] = [];
    meter.listen({ value: (mm) => values.push(mm) });
    await meter.connect();
    await meter.measure();
    expect(values).toEqual([3000 - 180]);
  });

  test('streams until it is stopped', async () => {
    const meter = new SimulatedMeter(() => 3000, { ...quick, slips: 0, dropOuts: 0 }, many());
    const values: number[] = [];
    await meter.connect();
    await new Promise<void>((enough) => {
      const stop = meter.stream();
      meter.listen({
        value: (mm) => {
          values.push(mm);
          if (values.length < 3) return;
          stop();
          enough();
        },
      });
    });
    await new Promise((done) => setTimeout(done, 20));
    expect(values).toHaveLength(3);
  });
});
