import type { Field } from '../plan-state';

/** A field at the foot: what it is called here, and its value as it is. */
export interface FieldShown {
  readonly name: Field;
  readonly label: string;
  readonly value: string;
}

export const LABEL: Record<Field, string> = {
  length: 'Length',
  thickness: 'Thickness',
  ceiling: 'Ceiling',
  left: 'From left',
  right: 'From right',
  width: 'Width',
  height: 'Height',
  sill: 'Sill',
  depth: 'Depth',
  splay: 'Slant',
  leg: 'Length',
  turn: 'Turn',
  bow: 'Bow',
  sagitta: 'Bow',
  radius: 'Radius',
  arc: 'Along arc',
  reading: 'Reading',
  known: 'Distance',
  gap: 'Along the wall',
  head: 'Head',
  frame: 'Frame',
  glazing: 'Glass',
  angle: 'Opens',
  risers: 'Risers',
  going: 'Going',
  rise: 'Rise',
  after: 'To the turn',
  well: 'Well',
  from: 'Open from',
  run: 'All goings',
  nosing: 'Nosing',
  margin: 'Margin',
  start: 'From wall',
  foot: 'At its foot',
  step: 'Floor up by',
  pitch: 'Pitch',
  top: 'Higher up',
  out: 'Read at',
  eaves: 'Eaves',
  ridge: 'Ridge',
  ridgeAt: 'Ridge at',
  lowTo: 'Steep up to',
  lowPitch: 'Steep part',
  away: 'Off by',
  letters: 'Letters on paper',
  up: 'Off the floor',
  behind: 'Behind it',
  ahead: 'In front',
};

export const field = (name: Field, value: string, label = LABEL[name]): FieldShown => ({ name, label, value });
