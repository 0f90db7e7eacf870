import type { FinishLook, FinishStuff } from '../plan/plan';
import { PAINT_CHART } from './chart';

/** What every look has that says nothing else. */
export const PLAIN_LOOK: FinishLook = {
  ...{ name: '', stuff: 'paint', colour: '#F1EADC', second: '#D6D1C7', sheen: 'matt' },
  ...{ along: 1000, across: 1000, joint: 0, bond: 'straight', motif: 'plain', turn: 0, start: 'foot left' },
  picture: null,
};

/** A paint of the chart, or any colour, as a look. */
export const painted = (colour: string, name = nameOfColour(colour)): FinishLook => ({ ...PLAIN_LOOK, name, colour });

/** What the chart calls a colour; else its own digits. */
export const nameOfColour = (colour: string): string =>
  PAINT_CHART.find((paint) => paint.colour.toLowerCase() === colour.toLowerCase())?.name ?? colour.toUpperCase();

const look = (stuff: FinishStuff, name: string, more: Partial<FinishLook>): FinishLook => ({
  ...PLAIN_LOOK,
  ...{ stuff, name, ...more },
});

const tiles = (name: string, colour: string, along: number, across: number, more: Partial<FinishLook> = {}) =>
  look('tiles', name, { colour, second: '#CFC9BE', along, across, joint: 3, sheen: 'satin', ...more });
const wood = (
  stuff: 'boards' | 'parquet',
  name: string,
  colour: string,
  along: number,
  across: number,
  more: Partial<FinishLook> = {},
) => look(stuff, name, { colour, second: '#4A3526', along, across, joint: 1, bond: 'third', sheen: 'satin', ...more });
const paper = (name: string, colour: string, second: string, more: Partial<FinishLook>) =>
  look('wallpaper', name, { colour, second, along: 530, across: 530, ...more });

/** What lies ready of everything but paint. Sizes as they are usually made: common practice, no source. */
export const READY_LOOKS: readonly FinishLook[] = [
  paper('Ticket stripe', '#F1EADC', '#A9B79B', { motif: 'stripes' }),
  paper('Fishing net', '#E9DFCB', '#7EA2AE', { motif: 'lattice' }),
  paper('River sprig', '#EFEDE8', '#4E7C6F', { motif: 'sprigs', across: 640 }),
  paper('Ripple', '#D3E3EA', '#23445E', { motif: 'waves', across: 320 }),
  paper('Lining paper', '#F3E7CB', '#F3E7CB', { motif: 'plain' }),
  tiles('White wall tile', '#F4F3EE', 200, 100, { bond: 'half' }),
  tiles('Moss brick tile', '#5C8068', 240, 65, { bond: 'third', joint: 4 }),
  tiles('Quarry tile', '#A4523B', 150, 150, { joint: 5, second: '#8D8578' }),
  tiles('Large grey tile', '#B9BDBE', 600, 600),
  tiles('Water mosaic', '#7EA2AE', 48, 48, { joint: 2 }),
  tiles('Herringbone tile', '#DCCBA8', 200, 65, { bond: 'herringbone' }),
  wood('boards', 'Oak boards', '#C39A68', 1800, 180),
  wood('boards', 'Pale ash boards', '#DDC8A2', 1200, 140),
  wood('boards', 'Deck pine', '#D0A976', 2400, 120, { bond: 'half' }),
  wood('boards', 'Smoked boards', '#6B4C35', 1800, 200),
  wood('parquet', 'Oak herringbone', '#B98D5E', 400, 80, { bond: 'herringbone' }),
  wood('parquet', 'Walnut blocks', '#7A5638', 280, 70, { bond: 'half' }),
  look('carpet', 'Moss carpet', { colour: '#7C8F74', sheen: 'matt' }),
  look('carpet', 'Sand carpet', { colour: '#CDBB9A' }),
  look('carpet', 'Slate carpet', { colour: '#6E747A' }),
  look('stone', 'Harbour slate', {
    colour: '#6B7377',
    second: '#54595B',
    along: 600,
    across: 400,
    joint: 4,
    bond: 'half',
  }),
  look('stone', 'Pale limestone', {
    colour: '#D9CFBB',
    second: '#BFB49E',
    along: 800,
    across: 500,
    joint: 4,
    bond: 'third',
  }),
  look('concrete', 'Poured concrete', { colour: '#ABA9A4', second: '#8F8D88', along: 3000, across: 3000, joint: 0 }),
  look('concrete', 'Board-marked concrete', {
    colour: '#A3A19B',
    second: '#868480',
    along: 2400,
    across: 150,
    joint: 2,
  }),
];
