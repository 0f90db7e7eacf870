import { buf as crc32 } from 'crc-32';

const METRES = 1000 / 25.4;

/** A PNG that says how many dots it has to the inch (chunk pHYs, PNG specification, third edition, 11.3.4.3). */
export function pngWithDensity(png: Uint8Array, dpi: number): Uint8Array {
  // after the signature and IHDR, which has 13 bytes in every PNG
  const at = 8 + 12 + 13;
  const chunk = new Uint8Array(12 + 9);
  const view = new DataView(chunk.buffer);
  view.setUint32(0, 9);
  chunk.set([0x70, 0x48, 0x59, 0x73], 4);
  view.setUint32(8, Math.round(dpi * METRES));
  view.setUint32(12, Math.round(dpi * METRES));
  chunk[16] = 1;
  view.setInt32(17, crc32(chunk.subarray(4, 17)));
  const all = new Uint8Array(png.length + chunk.length);
  all.set(png.subarray(0, at));
  all.set(chunk, at);
  all.set(png.subarray(at), at + chunk.length);
  return all;
}

/** A JPEG that says how many dots it has to the inch, in the JFIF segment that browsers begin it with (JFIF 1.02); as it is where there is none. */
export function jpegWithDensity(jpeg: Uint8Array, dpi: number): Uint8Array {
  const jfif = jpeg[2] === 0xff && jpeg[3] === 0xe0 && String.fromCharCode(...jpeg.subarray(6, 10)) === 'JFIF';
  if (!jfif) return jpeg;
  const all = jpeg.slice();
  const view = new DataView(all.buffer);
  all[13] = 1;
  view.setUint16(14, Math.round(dpi));
  view.setUint16(16, Math.round(dpi));
  return all;
}
