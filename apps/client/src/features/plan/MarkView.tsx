import { type Dashes, type Ink, type Mark, type Painter, type Weight, painted } from '@velvet-tape/core';
import { arcData, pathData } from '@velvet-tape/formats';
import { type ReactNode, memo } from 'react';
import { G, Path, Text } from '../../ui/svg';
import { FONTS, type HouseColours } from '../../ui/theme';

/** Thin lines keep their width on screen whatever the zoom. */
const THIN = { vectorEffect: 'non-scaling-stroke' } as const;

/** A rim of floor round lettering, so that a line behind it does not cut through. */
const HALO = { strokeWidth: 4, strokeLinejoin: 'round', paintOrder: 'stroke', ...THIN } as const;

/** px */
const WEIGHTS: Record<Weight, number> = {
  edge: 1,
  fine: 0.8,
  thin: 1,
  firm: 1.3,
  medium: 2,
  bold: 2.5,
  broad: 3,
};

const DASHES: Record<Dashes, { strokeDasharray: string; strokeLinecap?: 'round' }> = {
  rough: { strokeDasharray: '5 4' },
  scaled: { strokeDasharray: '1 4', strokeLinecap: 'round' },
  check: { strokeDasharray: '14 3' },
  hidden: { strokeDasharray: '6 3' },
  chalk: { strokeDasharray: '12 4 2 4' },
};

const inksOf = (c: HouseColours): Record<Ink, string> => ({
  ink: c.ink,
  soft: c.inkSoft,
  wall: c.wall,
  floor: c.floor,
  solid: c.linenDeep,
  glass: c.tints.water,
  tick: c.brassDeep,
  alarm: c.clay,
  brass: c.brass,
});

/** Paints on the screen; lettering is so high, mm of the house. Pictures lie in a layer of their own under the drawing. */
function screenPainter(colours: HouseColours, lettering: number): Painter<ReactNode> {
  const inks = inksOf(colours);
  const line = (style: { ink: Ink; weight: Weight; dashes?: Dashes } | null) =>
    style && {
      stroke: inks[style.ink],
      strokeWidth: WEIGHTS[style.weight],
      ...(style.dashes && DASHES[style.dashes]),
    };
  return {
    path: (mark, style) => {
      const fill = mark.colour ?? (mark.tint ? colours.tints[mark.tint] : style.fill ? inks[style.fill.ink] : 'none');
      const opacity = style.fill?.opacity;
      return (
        <Path
          testID={mark.key}
          d={pathData(mark.rings, mark.closed)}
          fillRule="evenodd"
          fill={fill}
          {...(opacity !== undefined && { fillOpacity: opacity })}
          {...line(style.line)}
          {...THIN}
        />
      );
    },
    arc: (mark, style) => <Path d={arcData(mark)} fill="none" {...line(style.line)} {...THIN} />,
    text: ({ at, turn, key, size, text, align }, style) => (
      <G transform={`translate(${at.x} ${at.y}) rotate(${turn})`}>
        <Text
          testID={key}
          textAnchor={align === 'left' ? 'start' : align === 'right' ? 'end' : 'middle'}
          dy={lettering * size * 0.35}
          fontSize={lettering * size}
          fontFamily={style.text?.face === 'title' ? FONTS.serif : FONTS.sans}
          fill={inks[style.text?.ink ?? 'ink']}
          {...HALO}
          stroke={colours.floor}
        >
          {text}
        </Text>
      </G>
    ),
    picture: () => null,
  };
}

interface Props {
  mark: Mark;
  colours: HouseColours;
  /** Height of body lettering, mm of the house. */
  lettering: number;
}

/** Paints one mark of a drawing on the screen. The same mark is not painted again. */
export const MarkView = memo(function MarkView({ mark, colours, lettering }: Props) {
  return painted(screenPainter(colours, lettering), mark);
});
