import type { Point } from '@velvet-tape/core';
import { Text } from '../../../ui/svg';
import { FONTS, type HouseColours } from '../../../ui/theme';

interface Props {
  at: Point;
  text: string;
  /** Height of the lettering, screen px. */
  size: number;
  strong: boolean;
  fill: string;
  colours: HouseColours;
  /** mm of the house per screen pixel */
  px: number;
  id?: string;
}

/** The browser's own, which the library's types do not know. */
const HALO = { paintOrder: 'stroke', vectorEffect: 'non-scaling-stroke' } as object;

/** Words on the sheet with a rim round them, so that lines behind do not cut through; as large on the screen whatever the zoom. */
export function HaloText({ at, text, size, strong, fill, colours, px, id }: Props) {
  return (
    <Text
      {...(id && { testID: id })}
      x={at.x}
      y={at.y}
      textAnchor="middle"
      fontSize={size * px}
      fontFamily={strong ? FONTS.strong : FONTS.sans}
      fill={fill}
      stroke={colours.sheet}
      strokeWidth={4}
      strokeLinejoin="round"
      {...HALO}
    >
      {text}
    </Text>
  );
}
