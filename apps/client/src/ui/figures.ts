import { writeDecimalsWith } from '@velvet-tape/core/units';

/** Figures are written as the language of the device has them: 3.42 or 3,42. Typed either way they are read. */
export function figuresOfDevice(): void {
  const parts = new Intl.NumberFormat(globalThis.navigator?.language).formatToParts(0.5);
  writeDecimalsWith(parts.find(({ type }) => type === 'decimal')?.value === ',' ? ',' : '.');
}
