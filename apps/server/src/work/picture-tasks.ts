import { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { LONGEST_SIDE, type PictureType } from '@velvet-tape/contract';
import ExifBeGone from 'exif-be-gone';
import sharp from 'sharp';

/** A picture that may be kept: its bytes, without what its camera wrote besides unless that was wanted. */
export interface JudgedPicture {
  readonly ok: true;
  readonly type: PictureType;
  readonly width: number;
  readonly height: number;
  readonly bytes: Uint8Array;
}
export interface RefusedPicture {
  readonly ok: false;
  readonly message: string;
}

const TYPES = new Map<string, PictureType>([
  ['jpeg', 'image/jpeg'],
  ['png', 'image/png'],
  ['webp', 'image/webp'],
]);
/** Of a picture that has to be written anew because its camera was held sideways. */
const QUALITY = 92;

const refuse = (message: string): RefusedPicture => ({ ok: false, message });

/**
 * What the bytes are, whatever they are said to be; refuses, in plain words, what is no picture of these kinds, is broken, or is larger than pictures are
 * kept. Where it was taken, and what else its camera wrote into it, is taken out unless it is to stay.
 */
export async function judgePicture({
  bytes,
  keepLocation,
}: {
  bytes: Uint8Array;
  keepLocation: boolean;
}): Promise<JudgedPicture | RefusedPicture> {
  if (bytes.length === 0) return refuse('There is no picture in this.');
  const picture = sharp(bytes, { limitInputPixels: LONGEST_SIDE ** 2, failOn: 'error' });
  const found = await picture.metadata().catch(() => null);
  if (!found) return refuse('This is not a picture.');
  const type = TYPES.get(found.format ?? '');
  if (!type) return refuse('A picture is a JPEG, a PNG or a WebP.');
  if (found.width > LONGEST_SIDE || found.height > LONGEST_SIDE)
    return refuse(`A picture is kept with ${LONGEST_SIDE} pixels along its longer side at most.`);
  // what is broken half way shows only when it is read to its end
  const whole = await picture.stats().catch(() => null);
  if (!whole) return refuse('This picture is broken.');
  const { width, height } = found;
  if (keepLocation || !found.exif) return { ok: true, type, width, height, bytes };
  if ((found.orientation ?? 1) === 1) return { ok: true, type, width, height, bytes: await withoutExif(bytes, type) };
  const { data, info } = await sharp(bytes)
    .autoOrient()
    .toFormat(found.format, { quality: QUALITY })
    .toBuffer({ resolveWithObject: true });
  return { ok: true, type, width: info.width, height: info.height, bytes: data };
}

const withoutExif = (bytes: Uint8Array, type: PictureType): Promise<Buffer> | Buffer =>
  type === 'image/webp'
    ? webpWithoutExif(Buffer.from(bytes))
    : buffer(Readable.from([Buffer.from(bytes)]).pipe(new ExifBeGone()));

/** What a camera writes into a WebP besides the picture, and the flags of its header that say so (WebP Container Specification). */
const BESIDES = new Set(['EXIF', 'XMP ']);
const FLAGS_BESIDES = 0x08 | 0x04;

/** The library leaves WebP as it is: its chunks are few and plain. */
function webpWithoutExif(bytes: Buffer): Buffer {
  const chunks: Buffer[] = [];
  for (let at = 12; at + 8 <= bytes.length;) {
    const size = bytes.readUInt32LE(at + 4);
    const end = at + 8 + size + (size % 2);
    const name = bytes.toString('latin1', at, at + 4);
    const chunk = Buffer.from(bytes.subarray(at, end));
    if (name === 'VP8X') chunk[8]! &= ~FLAGS_BESIDES;
    if (!BESIDES.has(name)) chunks.push(chunk);
    at = end;
  }
  const body = Buffer.concat([Buffer.from('WEBP', 'latin1'), ...chunks]);
  const head = Buffer.alloc(8);
  head.write('RIFF', 'latin1');
  head.writeUInt32LE(body.length, 4);
  return Buffer.concat([head, body]);
}
