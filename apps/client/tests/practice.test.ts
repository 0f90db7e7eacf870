import { deriveFloor, misclosuresOn } from '@velvet-tape/core';
import { practiceHouse } from '../src/features/jobs/practice';
import { keepTruth, trueLength } from '../src/meter/truth';

jest.mock('../src/features/plan/session', () => ({ syncEngine: () => ({ wrote: () => undefined }) }));

test('in the practice house the slip is found for what it is, and a meter finds what is true', () => {
  const { truth, plan } = practiceHouse();
  const floor = deriveFloor(plan, 'ground');
  const [misclosure, ...others] = misclosuresOn(floor);
  expect(others).toEqual([]);
  const [suspect] = misclosure!.suspects;
  expect(suspect!.reading.text).toBe('4.23');
  const kept = new Map<string, string>();
  Object.defineProperty(globalThis, 'localStorage', {
    configurable: true,
    value: { setItem: (key: string, text: string) => kept.set(key, text), getItem: (key: string) => kept.get(key) },
  });
  keepTruth('practice-1', truth);
  const { from, to } = suspect!.reading;
  expect(trueLength('practice-1', 'ground', from, to)).toBeCloseTo(4320, 6);
  expect(trueLength('another-job', 'ground', from, to)).toBeNull();
});
