const UNITS: readonly (readonly [Intl.RelativeTimeFormatUnit, number])[] = [
  ['year', 365 * 86_400],
  ['month', 30 * 86_400],
  ['week', 7 * 86_400],
  ['day', 86_400],
  ['hour', 3_600],
  ['minute', 60],
];
const words = new Intl.RelativeTimeFormat('en', { numeric: 'always' });

/** How long ago, in the largest unit there is one of. */
export function ago(then: Date, now = new Date()): string {
  const seconds = (now.getTime() - then.getTime()) / 1000;
  const [unit, size] = UNITS.find(([, each]) => seconds >= each) ?? [null, 1];
  return unit === null ? 'just now' : words.format(-Math.floor(seconds / size), unit);
}
