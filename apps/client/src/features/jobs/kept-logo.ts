import { type PictureDetails, pictureDetails } from '@velvet-tape/core';
import { recall, remember } from '../../ui/remembered';

const KEY = 'logo';

/** The logo that was last given to the sheets of a job on this device: new jobs begin with it. */
export const keepLogo = (logo: PictureDetails | null): void => remember(KEY, JSON.stringify(logo));

export function keptLogo(): PictureDetails | null {
  try {
    const read = pictureDetails.nullable().safeParse(JSON.parse(recall(KEY) ?? 'null'));
    return read.success ? read.data : null;
  } catch {
    return null;
  }
}
