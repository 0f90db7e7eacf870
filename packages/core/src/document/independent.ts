import type { CollectionName, JobDetails } from '../plan/plan';

/** Fields that say one thing together, and what it is called. */
export interface Together {
  readonly fields: readonly string[];
  readonly says: string;
}

const together = (says: string, ...fields: string[]): Together => ({ fields, says });
const name = together('the name', 'name');
const note = together('the note', 'note');
const VALUE = ['value', 'text', 'unit', 'instrument', 'time', 'traced', 'history'];

/**
 * What of an entity can be changed by two people at once without one undoing the other: the name of a room and its height, the kind of a wall
 * and its thickness. What isn't listed stands by itself under its own name.
 */
export const TOGETHER: Readonly<Record<CollectionName, readonly Together[]>> = {
  floors: [name, together('the level', 'level')],
  corners: [together('the place', 'x', 'y'), together('the pin', 'pinned')],
  walls: [
    together('the course', 'floor', 'start', 'end', 'bulge'),
    together('the thickness', 'left', 'right', 'typed'),
    together('the kind', 'kind'),
  ],
  types: [name, together('the form', 'form'), together('the height', 'height', 'toCeiling')],
  openings: [
    together('the place', 'wall', 'anchor', 'side', 'offset', 'hinge', 'swing'),
    together('the type', 'type'),
    together('the sill', 'ownSill'),
    note,
  ],
  solids: [together('the size', 'shape', 'width', 'depth'), together('the place', 'stand', 'floor')],
  rooms: [
    name,
    together('the ceiling height', 'ceilingHeight'),
    together('the place of the label', 'label'),
    together('the colour', 'colour'),
    together('the place', 'at', 'floor'),
  ],
  readings: [
    together('the place', 'floor', 'kind', 'face', 'from', 'to', 'via'),
    together('the value', ...VALUE),
    note,
    together('that it holds', 'held'),
    together('that it is spread', 'spread'),
  ],
  heights: [together('the place', 'floor', 'room', 'at'), together('the value', ...VALUE), note],
  gaps: [together('the place', 'floor', 'from', 'to', 'a', 'b'), together('the value', ...VALUE), note],
  underlays: [
    name,
    together('the picture', 'picture', 'width', 'height', 'crop', 'paper'),
    together('the scale', 'calibration', 'correction'),
    together('the place', 'at', 'turn', 'floor'),
    together('the look', 'look'),
    together('the order', 'order'),
  ],
};

/** The same of the job itself; what is usual stands size by size. */
export const OF_JOB: Readonly<Record<keyof Omit<JobDetails, 'usual'>, string>> = {
  name: 'the name of the job',
  address: 'the address',
  units: 'the unit',
  north: 'north',
};
