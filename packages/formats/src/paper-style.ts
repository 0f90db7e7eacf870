import type { Dashes, Ink, RoleStyle, Weight } from '@velvet-tape/core';

/** Body lettering, mm (ISO 3098, from memory). */
export const LETTERING = 2.5;
export const INK = '#211524';
const WALL = '#24102A';
const PAPER = '#FFFFFF';

/** On paper everything is ink; what is softer on a screen is fainter. */
export const INKS: Record<Ink, string> = {
  ink: INK,
  soft: INK,
  wall: WALL,
  floor: PAPER,
  solid: PAPER,
  glass: PAPER,
  tick: INK,
  alarm: INK,
  brass: '#D9A62E',
};

/** mm on paper (ISO 128 widths, from memory) */
const WEIGHTS: Record<Weight, number> = {
  edge: 0.06,
  fine: 0.18,
  thin: 0.18,
  firm: 0.18,
  medium: 0.35,
  bold: 0.35,
  broad: 0.35,
};

/** mm on paper: line, gap, … */
const DASHES: Record<Dashes, readonly number[]> = {
  rough: [1.6, 1],
  scaled: [0.2, 1.2],
  check: [5, 1],
  hidden: [1.6, 0.8],
  chalk: [3, 1, 0.5, 1],
};

/** How a role is drawn on paper: colours; mm; null is none. */
export interface PaperStyle {
  readonly fill: string | null;
  readonly stroke: string | null;
  readonly width: number;
  readonly opacity: number;
  readonly dashes: readonly number[] | null;
  readonly round: boolean;
}

/** `colour`: what a mark is filled with of itself, as pale as on the screen. */
export function paperStyle({ fill, line }: RoleStyle, colour?: string): PaperStyle {
  return {
    // a sheet is white where the screen has a tint
    fill: colour ? paler(colour, fill?.opacity ?? 1) : fill && fill.opacity === undefined ? INKS[fill.ink] : null,
    stroke: line && INKS[line.ink],
    width: line ? WEIGHTS[line.weight] : 0,
    opacity: line?.weight === 'fine' ? 0.6 : 1,
    dashes: line?.dashes ? DASHES[line.dashes] : null,
    round: line?.dashes === 'scaled',
  };
}

/** A colour over white. */
const paler = (colour: string, opacity: number): string =>
  `#${[1, 3, 5]
    .map((at) => Math.round(255 - (255 - parseInt(colour.slice(at, at + 2), 16)) * opacity))
    .map((value) => value.toString(16).padStart(2, '0'))
    .join('')}`;

export const TITLE_FONT = 'Fraunces';
export const TEXT_FONT = 'Atkinson Hyperlegible Next';
