import { MOST_PIXELS } from '@velvet-tape/contract';
import { sizeReader } from './sizes';

/** Said to the person: why a file can't be brought in. */
export class NotAPicture extends Error {}

/** Enough of a file for its kind and size, past what cameras put before it. */
const HEAD = 1024 * 1024;
/** Files larger than this are not looked at, bytes. */
const LARGEST_FILE = 120 * 1024 * 1024;

/** Is this a file that can be brought in, before it is opened? Throws `NotAPicture` in plain words. */
export async function checkFile(file: Blob): Promise<'picture' | 'pdf'> {
  if (file.size === 0) throw new NotAPicture('This file is empty.');
  if (file.size > LARGEST_FILE)
    throw new NotAPicture(`This file is too large: ${Math.round(file.size / 1e6)} MB, and up to 120 MB can be read.`);
  const head = new Uint8Array(await file.slice(0, HEAD).arrayBuffer());
  if (String.fromCharCode(...head.subarray(0, 5)) === '%PDF-') return 'pdf';
  const { type, width, height } = await sizeOf(head);
  if (type === 'heif' || type === 'heic' || type === 'avif')
    throw new NotAPicture('Pictures of this kind (HEIC) can’t be read here. Save it as a JPEG and bring that in.');
  if (type !== 'jpg' && type !== 'png' && type !== 'webp')
    throw new NotAPicture('This is not a picture that can be brought in. Take a JPEG, a PNG, a WebP or a PDF.');
  if (width * height > MOST_PIXELS) {
    const millions = Math.round((width * height) / 1e6);
    throw new NotAPicture(
      `This picture is too large: it has ${millions} million pixels, and up to 40 can be brought in.`,
    );
  }
  return 'picture';
}

async function sizeOf(head: Uint8Array): Promise<{ type?: string; width: number; height: number }> {
  const { imageSize } = await sizeReader();
  try {
    return imageSize(head);
  } catch {
    return { width: 0, height: 0 };
  }
}
