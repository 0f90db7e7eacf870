import type { PictureMark } from '../drawing';
import type { PictureDetails } from '../plan/plan';

/** A picture as it is, its upper left corner at a place of the page, so wide; mm. */
export const pictureOnPaper = (
  key: string,
  { picture, width, height }: PictureDetails,
  at: { readonly x: number; readonly y: number },
  wide: number,
): PictureMark => {
  const perPixel = wide / width;
  return {
    ...{ kind: 'picture', role: 'underlay', key, picture, width, height },
    shown: { left: 0, top: 0, width, height },
    matrix: [perPixel, 0, 0, perPixel, at.x, at.y],
    look: { opacity: 1, brightness: 1, contrast: 1, inverted: false },
  };
};
