import type { Texture as Made } from '@velvet-tape/core/finishes';
import {
  DataTexture,
  LinearFilter,
  LinearMipmapLinearFilter,
  RGBAFormat,
  RepeatWrapping,
  SRGBColorSpace,
  Texture,
} from 'three';
import { lent } from '../../later/lent';

const { pictureOf } = lent();

/** Floors are looked at along: without it tiles far away are a grey. */
const ANISOTROPY = 8;

function repeated(texture: Texture): Texture {
  texture.wrapS = RepeatWrapping;
  texture.wrapT = RepeatWrapping;
  texture.colorSpace = SRGBColorSpace;
  texture.anisotropy = ANISOTROPY;
  texture.generateMipmaps = true;
  texture.minFilter = LinearMipmapLinearFilter;
  texture.magFilter = LinearFilter;
  texture.needsUpdate = true;
  return texture;
}

/** A finish that was made, as the card takes it. */
export const madeTexture = (made: Made | null): Texture | null =>
  made && repeated(new DataTexture(made.data, made.width, made.height, RGBAFormat));

/** A picture of one’s own; nothing comes where it can’t be had. */
export async function pictureTexture(id: string): Promise<Texture | null> {
  const blob = await pictureOf(id);
  if (!blob) return null;
  const texture = new Texture(await createImageBitmap(blob, { imageOrientation: 'flipY' }));
  // it is turned over already
  texture.flipY = false;
  return repeated(texture);
}
