/** Of the light that falls on a colour the share that it gives back, 0 to 1: its luminance Y, sRGB to linear by IEC 61966-2-1. A light reflectance value is 100 times that. */
export function reflectanceOf(colour: string): number {
  const [r, g, b] = linearOf(colour);
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** A colour #rrggbb as linear red, green and blue, 0 to 1 (IEC 61966-2-1). */
export function linearOf(colour: string): readonly [number, number, number] {
  const value = (c: number) => (c / 255 <= 0.04045 ? c / 255 / 12.92 : ((c / 255 + 0.055) / 1.055) ** 2.4);
  const [r, g, b] = digitsOf(colour);
  return [value(r), value(g), value(b)];
}

/** Red, green and blue of #rrggbb, 0 to 255. */
export const digitsOf = (colour: string): readonly [number, number, number] => [
  parseInt(colour.slice(1, 3), 16),
  parseInt(colour.slice(3, 5), 16),
  parseInt(colour.slice(5, 7), 16),
];
