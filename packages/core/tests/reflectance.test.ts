import { linearOf, reflectanceOf } from '../src/finishes';
import { materialOf } from '../src/raised';

test('sRGB to linear, and the light a colour gives back (IEC 61966-2-1; 0.2126, 0.7152, 0.0722)', () => {
  expect(reflectanceOf('#000000')).toBe(0);
  expect(reflectanceOf('#ffffff')).toBeCloseTo(1, 9);
  expect(reflectanceOf('#ff0000')).toBeCloseTo(0.2126, 9);
  expect(reflectanceOf('#00ff00')).toBeCloseTo(0.7152, 9);
  expect(reflectanceOf('#0000ff')).toBeCloseTo(0.0722, 9);
  // the dark end is straight: 10 / 255 / 12.92
  expect(linearOf('#0a0a0a')[0]).toBeCloseTo(10 / 255 / 12.92, 12);
});

test('a house nobody has dressed has the reflectances rooms usually have: ceiling, walls, floor (EN 12464-1, ranges from memory)', () => {
  const of = (surface: string) => reflectanceOf(materialOf(surface, { finishes: {}, pieces: {} }).colour);
  expect(of('ceiling r')).toBeGreaterThan(0.7);
  expect(of('face r f')).toBeGreaterThan(0.5);
  expect(of('floor r')).toBeGreaterThan(0.2);
  expect(of('floor r')).toBeLessThan(0.5);
  expect(of('piece constructor soft')).toBeGreaterThan(0);
});
