import { reflectanceOf } from './colour';

/** A paint of the chart. */
export interface Paint {
  readonly name: string;
  /** sRGB, #RRGGBB. */
  readonly colour: string;
  readonly family: PaintFamily;
}

export const PAINT_FAMILIES = ['whites', 'greys', 'earths', 'yellows', 'reds', 'greens', 'blues', 'darks'] as const;
export type PaintFamily = (typeof PAINT_FAMILIES)[number];

const paints = (family: PaintFamily, named: Readonly<Record<string, string>>): Paint[] =>
  Object.entries(named).map(([name, colour]) => ({ name, colour, family }));

/** The chart of paints of this house: sixty colours, with invented names. */
export const PAINT_CHART: readonly Paint[] = [
  ...paints('whites', {
    'Slack Water': '#F6F4EE',
    'Folded Linen': '#F1EADC',
    Gullfeather: '#F2F1EC',
    'Bread Flour': '#F4ECD9',
    'Tallow Candle': '#F3E7CB',
    'Ice House': '#EAF0F0',
    'Salt Cellar': '#EFEDE8',
    'Pale Rope': '#E9DFCB',
  }),
  ...paints('greys', {
    'Wet Slate': '#6E747A',
    'Morning Haul': '#B9BDBE',
    'Net Weight': '#9AA09E',
    Driftline: '#C9C6BE',
    'Pewter Spoon': '#8D8F8E',
    'Oyster Tray': '#D6D1C7',
    'Tide Table': '#A9B0B3',
    'Lead Line': '#7F8183',
  }),
  ...paints('earths', {
    'Quay Clay': '#B26A45',
    'Tea Chest': '#8E6C48',
    Biscuit: '#D8BE97',
    'Rope Walk': '#B89D77',
    'Old Saddle': '#7A4F33',
    'Cork Float': '#C5A37A',
    'Brick Kiln': '#A4523B',
    'Sand Bar': '#DCCBA8',
  }),
  ...paints('yellows', {
    'Brass Rule': '#C79A3E',
    'Lamp Oil': '#E2BE5B',
    Buttermilk: '#F0DFA8',
    'Gorse Lane': '#DDAA2B',
    'Straw Hat': '#E3CB85',
    'Quince Jelly': '#D98E32',
    Primrose: '#EFE39B',
  }),
  ...paints('reds', {
    'Ticket Stub': '#B4574C',
    'Velvet Rail': '#7D2F4A',
    'Rose Hip': '#A63A3A',
    'Plaster Pink': '#E2B8A6',
    'Sunset Bell': '#D77A5C',
    'Damson Tart': '#5F2A4A',
    Blush: '#EBCFC4',
  }),
  ...paints('greens', {
    'Moss Step': '#6E8F76',
    'Reed Bed': '#8FA06A',
    'Bottle Bank': '#2F5A47',
    'Sage Tin': '#A9B79B',
    'Weir Pool': '#4E7C6F',
    'Pea Split': '#B9C48B',
    'Boat Shed': '#3F5E54',
    'Mint Imperial': '#CFE0D2',
  }),
  ...paints('blues', {
    'Ferry Deep': '#23445E',
    'Rain Butt': '#5C7F93',
    'Wash House': '#BCD2D8',
    'Water Meadow': '#7EA2AE',
    'Ink Horn': '#2A3557',
    Forget: '#8FB0D0',
    'Enamel Jug': '#4477A0',
    'Sky Light': '#D3E3EA',
  }),
  ...paints('darks', {
    'Deep Velvet': '#3A1D3F',
    'Coal Hole': '#2B2B2D',
    'Tarred Rope': '#3B322B',
    'Night Boat': '#1E2833',
    'Iron Bollard': '#434549',
    'Cellar Door': '#33271F',
  }),
];

/** What share of the light a paint gives back, in hundredths, as it stands on a chart: 100 Y, Y after IEC 61966-2-1. */
export const lightReflectanceValue = (colour: string): number => Math.round(100 * reflectanceOf(colour));
