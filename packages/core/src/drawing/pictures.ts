import { type Plan, type Id, type Underlay } from '../plan/plan';
import { matrixOf, shownPart } from '../underlay';
import type { PictureMark } from './marks';

/** A picture as it lies on the sheet. */
export const pictureMark = (underlay: Underlay): PictureMark => ({
  kind: 'picture',
  role: 'underlay',
  key: `underlay ${underlay.id}`,
  picture: underlay.picture,
  width: underlay.width,
  height: underlay.height,
  shown: shownPart(underlay),
  matrix: matrixOf(underlay),
  look: underlay.look,
});

/** The pictures under a floor that are on printed sheets too, from the lowest up. */
export const printedPictures = ({ underlays }: Pick<Plan, 'underlays'>, floor: Id): PictureMark[] =>
  Object.values(underlays)
    .filter((underlay) => underlay.floor === floor && underlay.prints && !underlay.hidden)
    .sort((a, b) => a.order - b.order)
    .map(pictureMark);
