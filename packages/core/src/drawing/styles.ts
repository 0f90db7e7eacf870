import type { Role } from './marks';

/** Inks by what they are for; a painter has a colour for each. `floor` is that of the floor and of paper, `brass` that of the tape along the foot of a sheet, `tick` that of what is taped, `alarm` that of what is open. */
export type Ink = 'ink' | 'soft' | 'wall' | 'floor' | 'solid' | 'glass' | 'tick' | 'alarm' | 'brass';
/** How broad a line is, from the finest. */
export type Weight = 'edge' | 'fine' | 'thin' | 'firm' | 'medium' | 'bold' | 'broad';
export type Dashes = 'rough' | 'scaled' | 'check' | 'hidden' | 'chalk';

export interface LineStyle {
  readonly ink: Ink;
  readonly weight: Weight;
  readonly dashes?: Dashes;
}

export interface RoleStyle {
  /** What it is filled with; null: it is a line. */
  readonly fill: { readonly ink: Ink; readonly opacity?: number } | null;
  readonly line: LineStyle | null;
  /** Lettering; of what has none it is null. */
  readonly text: { readonly ink: Ink; readonly face: 'plain' | 'title' } | null;
}

const NONE: RoleStyle = { fill: null, line: null, text: null };
const line = (ink: Ink, weight: Weight, dashes?: Dashes): RoleStyle => ({
  ...NONE,
  line: { ink, weight, ...(dashes && { dashes }) },
});
const area = (fill: Ink, ink: Ink, weight: Weight): RoleStyle => ({
  ...NONE,
  fill: { ink: fill },
  line: { ink, weight },
});
const lettered = (style: RoleStyle, ink: Ink = 'ink', face: 'plain' | 'title' = 'plain'): RoleStyle => ({
  ...style,
  text: { ink, face },
});

/** How every role is drawn, whoever paints it: on the screen, on a sheet, in a file. */
export const STYLES: Readonly<Record<Role, RoleStyle>> = {
  underlay: NONE,
  floor: { ...NONE, fill: { ink: 'floor' } },
  'wall.cut': area('wall', 'wall', 'edge'),
  'wall.hatched': area('floor', 'wall', 'medium'),
  'wall.gone': { ...NONE, fill: { ink: 'floor' }, line: { ink: 'wall', weight: 'medium', dashes: 'hidden' } },
  'wall.new': area('floor', 'wall', 'medium'),
  'solid.cut': area('solid', 'wall', 'medium'),
  'solid.hatch': line('wall', 'thin'),
  'chalk.line': line('soft', 'medium', 'chalk'),
  'stair.tread': line('ink', 'thin'),
  'stair.hidden': line('soft', 'thin', 'hidden'),
  'stair.line': line('ink', 'fine'),
  'stair.start': area('ink', 'ink', 'fine'),
  'stair.cut': line('ink', 'medium'),
  'stair.text': lettered(NONE, 'soft'),
  'stair.rail': line('ink', 'firm'),
  level: lettered(line('soft', 'fine')),
  'void.edge': line('ink', 'medium'),
  'void.cross': line('soft', 'fine', 'hidden'),
  'ceiling.line': line('soft', 'thin', 'hidden'),
  'ceiling.meet': line('soft', 'fine', 'chalk'),
  'ceiling.text': lettered(NONE, 'soft'),
  'break.edge': line('ink', 'thin'),
  'break.over': line('ink', 'thin', 'hidden'),
  'section.ceiling': line('wall', 'bold'),
  'open.end': { ...NONE, fill: { ink: 'alarm', opacity: 0.25 }, line: { ink: 'alarm', weight: 'bold' } },
  'opening.gap': area('floor', 'floor', 'edge'),
  'opening.over': line('soft', 'thin', 'hidden'),
  'opening.pocket': area('floor', 'ink', 'thin'),
  'opening.frame': area('floor', 'ink', 'thin'),
  'opening.number': lettered(NONE),
  'elevation.wall': area('floor', 'wall', 'medium'),
  'elevation.opening': area('solid', 'ink', 'firm'),
  'elevation.glass': area('glass', 'ink', 'thin'),
  'elevation.line': lettered(line('ink', 'thin')),
  'elevation.hidden': line('soft', 'thin', 'hidden'),
  'door.leaf': line('ink', 'medium'),
  'door.swing': line('soft', 'thin'),
  'window.frame': area('floor', 'ink', 'thin'),
  'window.glass': line('ink', 'thin'),
  'dimension.rough': lettered(line('soft', 'thin', 'rough')),
  'dimension.taped': lettered(line('ink', 'firm')),
  'dimension.scaled': lettered(line('ink', 'thin', 'scaled')),
  'dimension.workedOut': lettered(line('soft', 'fine')),
  'dimension.check': lettered(line('soft', 'fine', 'check')),
  'dimension.tick': line('tick', 'broad'),
  'room.name': lettered(NONE, 'ink', 'title'),
  'room.area': lettered(NONE, 'soft'),
  'note.line': line('ink', 'fine'),
  'note.end': line('ink', 'firm'),
  'note.head': area('ink', 'ink', 'edge'),
  'note.figure': lettered(NONE),
  'note.text': lettered(NONE),
  'note.sign': line('ink', 'thin'),
  'hatch.line': line('soft', 'edge'),
  'finish.tint': { ...NONE, fill: { ink: 'floor', opacity: 0.5 } },
  'finish.joint': line('soft', 'edge'),
  'vantage.eye': area('brass', 'floor', 'thin'),
  'vantage.side': line('brass', 'firm'),
  'axonometric.line': line('ink', 'thin'),
  'axonometric.fine': line('ink', 'fine'),
  'axonometric.cut': area('floor', 'ink', 'thin'),
  'piece.form': area('floor', 'ink', 'thin'),
  'piece.line': line('soft', 'fine'),
  'piece.over': line('soft', 'thin', 'hidden'),
  'piece.top': area('floor', 'ink', 'thin'),
  'piece.joint': line('soft', 'fine', 'hidden'),
  'piece.number': lettered(area('floor', 'ink', 'fine')),
  'sheet.edge': line('ink', 'medium'),
  'sheet.line': line('ink', 'thin'),
  'sheet.fill': area('ink', 'ink', 'edge'),
  'sheet.mask': { ...NONE, fill: { ink: 'floor' } },
  'sheet.tape': area('brass', 'ink', 'thin'),
  'sheet.title': lettered(NONE, 'ink', 'title'),
  'sheet.text': lettered(NONE),
  'sheet.small': lettered(NONE, 'soft'),
};
