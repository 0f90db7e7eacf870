import { formatArea, formatLength, parseArea, parseLength } from '../src';
import { misread } from './units-fuzz';

const mm = (text: string, entry: 'm' | 'ft' | 'in' | 'mm') => {
  const read = parseLength(text, entry);
  return read.ok ? read.mm : read.reason;
};

describe('reading a length as people type it', () => {
  // exact: 1 in = 25.4 mm, 1 ft = 304.8 mm (international foot of 1959)
  test.each([
    ['3.42', 'm', 3420],
    ['3,42', 'm', 3420],
    ['3.', 'm', 3000],
    ['.5', 'm', 500],
    ['342cm', 'm', 3420],
    ['3420 mm', 'm', 3420],
    ['3m 42', 'm', 3420],
    ['250', 'mm', 250],
    ['1.20+0.90', 'm', 2100],
    ['1.20 + 85cm', 'm', 2050],
    ['11\'3 1/2"', 'ft', 3441.7],
    ['11′ 3 1/2″', 'm', 3441.7],
    ['11 3.5', 'ft', 3441.7],
    ['11ft 3½in', 'ft', 3441.7],
    ['84"', 'ft', 2133.6],
    ["7'", 'm', 2133.6],
    ['12′ 6″', 'ft', 3810],
    ['9′ 8″', 'ft', 2946.4],
    ['17′ 6″', 'ft', 5334],
    ['4 1/2', 'in', 114.3],
    ['3/4', 'in', 19.05],
    ['3m 420mm', 'm', 3420],
    ['3m 4cm 2mm', 'm', 3042],
    ['34cm 2 mm', 'm', 342],
    ['3 metres', 'ft', 3000],
    [`5'-11"`, 'ft', 1803.4],
    [`5' - 11 1/2"`, 'ft', 1816.1],
    ['3 ft. 4 in.', 'm', 1016],
    ['3´', 'm', 914.4],
    ["84''", 'ft', 2133.6],
    ['½', 'in', 12.7],
    ['11½', 'in', 292.1],
    ['11 3/4', 'ft', 298.45],
    ['11 3 1/2', 'ft', 3441.7],
    ['1½ ft', 'm', 457.2],
    ['1.2m+3"', 'm', 1276.2],
  ] as const)('%s in a field of %s is %d mm', (text, entry, expected) => {
    expect(mm(text, entry)).toBeCloseTo(expected, 6);
  });

  test.each([
    ['', /Type a length first/],
    ['abc', /not a length/],
    ['3,4,5', /two decimal points/],
    ['3..4', /two decimal points/],
    ['😀', /not a length/],
    ['1e9', /not a length/],
    ['1000000000', /more than a kilometre/],
    ['0', /more than 0/],
    ['-3', /negative/],
    ['1/0', /divided by 0/],
    ['3+', /nothing beside/],
    ['42 3m', /no unit|unit too/],
    ['11 3.5', /no unit|unit too/],
    ['3m 420', /Say what 420 is/],
    ['3m 5', /Say what 5 is/],
    ['3m,42', /not a length/],
    ['3.5m 20', /Only the last number/],
    ['3m 4in', /put a \+ between/],
    ['3m 120cm', /100 cm to a m/],
    ['½3', /not a length/],
    ['1½½', /not a length/],
    ['11½3', /not a length/],
    ['1/2 m', /fraction is of inches/],
    ['5-11', /only between feet and inches/],
    [`3' 14"`, /12 inches to a foot/],
    [`3' 100"`, /12 inches to a foot/],
    [`3" 7"`, /not a length/],
    [`3.5 1/2`, /fraction is of inches/],
    ['3 4 5', /no unit|unit too/],
    ['1 200 mm', /no unit|Say|not a length/],
    ['3 inches of', /not a length/],
    ['9'.repeat(80), /too long/],
  ])('%s is refused in plain words', (text, reason) => {
    expect(mm(text, 'm')).toMatch(reason);
  });

  test.each([
    ['1 200 mm', /put a \+ between/],
    ['3.5 1/2', /Only the last number/],
    ['11 12', /12 inches to a foot/],
    ['1 2 3', /Say what 3 is/],
  ])('%s in a field of feet is refused in plain words', (text, reason) => {
    expect(mm(text, 'ft')).toMatch(reason);
  });
});

test('whatever is typed is read as a list of patterns reads it, or refused as it refuses it', () => {
  const { wrong, read } = misread(20_000, 7);
  expect(wrong).toEqual([]);
  expect(read).toBeGreaterThan(5_000);
});

describe('writing a length', () => {
  test.each([
    [3420, 'metric', '3.42 m'],
    [3425, 'metric', '3.425 m'],
    [3424.6, 'metric', '3.425 m'],
    [999.9, 'metric', '1.00 m'],
    [3441.7, 'imperial', '11′ 3 1/2″'],
    [2133.6, 'imperial', '7′ 0″'],
    [812.8, 'imperial', '2′ 8″'],
    // 4′ 0 9/16″ has its inches, though they are none
    [(48 + 9 / 16) * 25.4, 'imperial', '4′ 0 9/16″'],
    // half of what is shown is rounded up, whichever way the figure came about
    [(11 * 12 + 11 + 31 / 32) * 25.4, 'imperial', '12′ 0″'],
    [(11 * 12 + 11 + 31 / 32) * 25.4 - 1e-9, 'imperial', '12′ 0″'],
    [3424.5 - 1e-9, 'metric', '3.425 m'],
    [12.7, 'imperial', '1/2″'],
    // 4/8 shows as 1/2, 11′ 11.97″ as 12′ 0″ (common practice, no source)
    [(11 * 12 + 11.97) * 25.4, 'imperial', '12′ 0″'],
  ] as const)('%d mm in a %s job reads %s', (value, units, text) => {
    expect(formatLength(value, units)).toBe(text);
  });

  test('a rough length is not given more finely than it is known', () => {
    expect(formatLength(3424.6, 'metric', 'coarse')).toBe('3.42 m');
    expect(formatLength(3424.6, 'imperial', 'coarse')).toBe('11′ 3″');
  });

  test('rounding carries for every length', () => {
    const wrong: string[] = [];
    for (let value = 0; value < 8000; value += 0.7) {
      const text = formatLength(value, 'imperial');
      const inches = /(?:^|′ )(\d+)(?: \d+\/\d+)?″$/.exec(text);
      const read = parseLength(text, 'ft');
      const off = read.ok ? Math.abs(read.mm - value) : text === '0″' ? 0 : Infinity;
      if (Number(inches?.[1] ?? 0) >= 12 || off > 25.4 / 32 + 1e-9) wrong.push(`${value}: ${text}`);
    }
    expect(wrong).toEqual([]);
  });

  test('areas: 1 ft² is 0.09290304 m² (exact)', () => {
    expect(formatArea(92903.04 * 100, 'imperial')).toBe('100.0 ft²');
    expect(formatArea(12.844e6, 'metric')).toBe('12.84 m²');
  });
});

describe('areas as listings have them', () => {
  test.each([
    ['92', 'm²', 92e6],
    ['92,5 m2', 'm²', 92.5e6],
    [' 18.0 M² ', 'm²', 18e6],
    // the international foot of 1959: 1 ft² is 0.092 903 04 m² exactly
    ['990 sq ft', 'm²', 990 * 92_903.04],
    ['990', 'ft²', 990 * 92_903.04],
    ['92 square metres', 'ft²', 92e6],
  ] as const)('%s in a field of %s', (text, unit, mm2) => {
    const read = parseArea(text, unit);
    expect(read.ok && read.mm2).toBeCloseTo(mm2, 3);
  });

  test.each([
    ['18 rooms', /like 92/],
    ['-3', /like 92/],
    ['0', /like 92/],
    ['1.2.3', /like 92/],
    ['1,012', /Is that 1012 or 1 m²/],
    ['9999999', /Check the unit/],
    ['', /like 92/],
  ] as const)('%s is refused in words', (text, why) => {
    const read = parseArea(text, 'm²');
    expect(read.ok ? '' : read.reason).toMatch(why);
  });
});
