import type { ArcMark, Mark, PathMark, PictureMark, TextMark } from './marks';
import { STYLES, type RoleStyle } from './styles';

/** Whoever shows a drawing: one way for each kind of mark, each with the style of its role. `T` is what a painted mark is. */
export interface Painter<T> {
  readonly path: (mark: PathMark, style: RoleStyle) => T;
  readonly arc: (mark: ArcMark, style: RoleStyle) => T;
  readonly text: (mark: TextMark, style: RoleStyle) => T;
  readonly picture: (mark: PictureMark) => T;
}

export function painted<T>(painter: Painter<T>, mark: Mark): T {
  const style = STYLES[mark.role];
  switch (mark.kind) {
    case 'path':
      return painter.path(mark, style);
    case 'arc':
      return painter.arc(mark, style);
    case 'text':
      return painter.text(mark, style);
    case 'picture':
      return painter.picture(mark);
  }
}

/** Does an arc run clockwise to the eye? */
export const runsClockwise = ({ centre, from, to }: ArcMark): boolean =>
  (from.x - centre.x) * (to.y - centre.y) - (from.y - centre.y) * (to.x - centre.x) > 0;
