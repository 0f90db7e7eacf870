import type { Mark } from '@velvet-tape/core';
import { pathData } from '@velvet-tape/formats';
import { memo } from 'react';
import { G, Path, Text } from '../../ui/svg';
import { FONTS, type HouseColours } from '../../ui/theme';

/** Thin lines keep their width on screen whatever the zoom. */
const THIN = { vectorEffect: 'non-scaling-stroke' } as const;

/** A rim of floor round lettering, so that a line behind it does not cut through. */
const HALO = { strokeWidth: 4, strokeLinejoin: 'round', paintOrder: 'stroke', ...THIN } as const;

interface Props {
  mark: Mark;
  colours: HouseColours;
  /** Height of body lettering, mm of the house. */
  lettering: number;
}

/** Paints one mark of a drawing on the screen. The same mark is not painted again. */
export const MarkView = memo(function MarkView({ mark, colours, lettering }: Props) {
  if (mark.kind === 'text') {
    const soft = mark.role === 'room.area';
    return (
      <G transform={`translate(${mark.at.x} ${mark.at.y}) rotate(${mark.turn})`}>
        <Text
          testID={mark.key}
          textAnchor="middle"
          dy={lettering * mark.size * 0.35}
          fontSize={lettering * mark.size}
          fontFamily={mark.role === 'room.name' ? FONTS.serif : FONTS.sans}
          fill={soft ? colours.inkSoft : colours.ink}
          {...HALO}
          stroke={colours.floor}
        >
          {mark.text}
        </Text>
      </G>
    );
  }
  if (mark.kind === 'arc') {
    const { centre, from, to, radius } = mark;
    const clockwise = (from.x - centre.x) * (to.y - centre.y) - (from.y - centre.y) * (to.x - centre.x) > 0;
    const d = `M ${from.x} ${from.y} A ${radius} ${radius} 0 0 ${clockwise ? 1 : 0} ${to.x} ${to.y}`;
    return <Path d={d} fill="none" stroke={colours.inkSoft} strokeWidth={1} {...THIN} />;
  }
  const d = pathData(mark.rings, mark.closed);
  const tint = mark.tint && { fill: colours.tints[mark.tint] };
  return <Path testID={mark.key} d={d} fillRule="evenodd" {...styleOf(mark.role, colours)} {...tint} {...THIN} />;
});

function styleOf(role: Mark['role'], c: HouseColours) {
  const line = (stroke: string, strokeWidth: number, more: object = {}) => ({
    fill: 'none',
    stroke,
    strokeWidth,
    ...more,
  });
  switch (role) {
    case 'floor':
      return { fill: c.floor };
    case 'wall.cut':
      return { fill: c.wall, stroke: c.wall, strokeWidth: 1 };
    case 'solid.cut':
      return { fill: c.linenDeep, stroke: c.wall, strokeWidth: 2 };
    case 'solid.hatch':
      return line(c.wall, 1);
    case 'chalk.line':
      return line(c.inkSoft, 2, { strokeDasharray: '12 4 2 4' });
    case 'open.end':
      return { fill: c.clay, fillOpacity: 0.25, stroke: c.clay, strokeWidth: 2.5 };
    case 'opening.gap':
      return { fill: c.floor, stroke: c.floor, strokeWidth: 1 };
    case 'elevation.wall':
      return { fill: c.floor, stroke: c.wall, strokeWidth: 2 };
    case 'elevation.opening':
      return { fill: c.linenDeep, stroke: c.ink, strokeWidth: 1.5 };
    case 'elevation.glass':
      return { fill: c.tints.water, stroke: c.ink, strokeWidth: 1 };
    case 'elevation.hidden':
    case 'opening.over':
      return line(c.inkSoft, 1, { strokeDasharray: '6 3' });
    case 'opening.pocket':
    case 'opening.frame':
    case 'window.frame':
      return { fill: c.floor, stroke: c.ink, strokeWidth: 1 };
    case 'window.glass':
      return line(c.ink, 1);
    case 'door.leaf':
      return line(c.ink, 2);
    case 'dimension.rough':
      return line(c.inkSoft, 1, { strokeDasharray: '5 4' });
    case 'dimension.taped':
      return line(c.ink, 1.2);
    case 'dimension.workedOut':
      return line(c.inkSoft, 0.8);
    case 'dimension.scaled':
      return line(c.ink, 1, { strokeDasharray: '1 4', strokeLinecap: 'round' });
    case 'dimension.check':
      return line(c.inkSoft, 0.8, { strokeDasharray: '14 3' });
    case 'dimension.tick':
      return line(c.brassDeep, 3);
    default:
      return line(c.ink, 1);
  }
}
