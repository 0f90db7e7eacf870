import { Platform } from 'react-native';
import { configureFonts, useTheme } from 'react-native-paper';
import { MD3DarkTheme } from 'react-native-paper/lib/module/styles/themes/v3/DarkTheme';
import { MD3LightTheme } from 'react-native-paper/lib/module/styles/themes/v3/LightTheme';

export const FONTS = {
  /** Names and titles. */
  serif: 'Fraunces_600SemiBold',
  /** Everything touched on site; its figures line up in columns. */
  sans: 'AtkinsonHyperlegibleNext_400Regular',
  strong: 'AtkinsonHyperlegibleNext_700Bold',
};

/** Velvet and tape. Contrast of every text pair is at least 4.5:1 (WCAG 2.2 AA). */
const LIGHT = {
  velvet: '#3A1D3F',
  deepVelvet: '#24102A',
  brass: '#D9A62E',
  brassDeep: '#8A6410',
  linen: '#F8F2E7',
  linenDeep: '#EBE0CC',
  /** Round what can be pressed: 3 : 1 against what lies on either side. */
  rim: '#8C7C8F',
  chalk: '#FFFFFF',
  ink: '#211524',
  inkSoft: '#5C4C60',
  moss: '#3F6B4F',
  clay: '#9A4018',
  onVelvet: '#F8F2E7',
  wall: '#24102A',
  sheet: '#F8F2E7',
  floor: '#FFFDF8',
  /** Floors of rooms that were given a colour; lettering on them keeps its contrast. */
  tints: { moss: '#DCE9DC', clay: '#F3DCCB', brass: '#F5E6BC', velvet: '#E6D8E8', water: '#D6E6EC' },
};
const DARK: typeof LIGHT = {
  velvet: '#4D2B54',
  deepVelvet: '#140818',
  brass: '#E3B548',
  brassDeep: '#E3B548',
  linen: '#1E1022',
  linenDeep: '#38223E',
  rim: '#8F7A95',
  chalk: '#2A182F',
  ink: '#F6EEE0',
  inkSoft: '#C9B9CC',
  moss: '#8DC2A0',
  clay: '#F0A07A',
  onVelvet: '#F8F2E7',
  wall: '#D9C8DC',
  sheet: '#1E1022',
  floor: '#2A182F',
  tints: { moss: '#22392B', clay: '#43281B', brass: '#42351A', velvet: '#3D2544', water: '#1E343D' },
};
export type HouseColours = typeof LIGHT;

/** The library's own lettering in the same way as ours (`babel.config.js`): as large as a person has chosen in the browser. */
const fonts = Object.fromEntries(
  Object.entries(configureFonts({ config: { fontFamily: FONTS.sans } })).map(([name, font]) => [
    name,
    inRem(name === 'default' ? { ...font, ['fontSize']: 14 } : font),
  ]),
) as ReturnType<typeof configureFonts>;

function inRem(font: object): object {
  const size = (key: string) => (font as Record<string, unknown>)[key];
  const rem = (px: unknown) => (Platform.OS === 'web' && typeof px === 'number' ? `${px / 16}rem` : px);
  return 'fontSize' in font
    ? { ...font, ['fontSize']: rem(size('fontSize')), ['lineHeight']: rem(size('lineHeight')) }
    : font;
}

function paperTheme(dark: boolean) {
  const c = dark ? DARK : LIGHT;
  const base = dark ? MD3DarkTheme : MD3LightTheme;
  return {
    ...base,
    fonts,
    roundness: 3,
    house: c,
    colors: {
      ...base.colors,
      primary: dark ? c.brass : c.velvet,
      onPrimary: dark ? c.deepVelvet : c.onVelvet,
      primaryContainer: c.linenDeep,
      onPrimaryContainer: c.ink,
      secondary: c.brassDeep,
      onSecondary: c.chalk,
      secondaryContainer: c.brass,
      onSecondaryContainer: '#211524',
      tertiary: c.moss,
      onTertiary: c.chalk,
      tertiaryContainer: c.linenDeep,
      onTertiaryContainer: c.ink,
      error: c.clay,
      onError: c.chalk,
      errorContainer: c.linenDeep,
      onErrorContainer: c.clay,
      background: c.linen,
      onBackground: c.ink,
      surface: c.chalk,
      onSurface: c.ink,
      surfaceVariant: c.linenDeep,
      onSurfaceVariant: c.inkSoft,
      surfaceDisabled: c.linenDeep,
      onSurfaceDisabled: c.inkSoft,
      outline: c.inkSoft,
      outlineVariant: c.linenDeep,
      inverseSurface: c.deepVelvet,
      inverseOnSurface: '#F8F2E7',
      inversePrimary: c.brass,
      backdrop: 'rgba(20, 8, 24, 0.55)',
      elevation: {
        level0: 'transparent',
        level1: c.chalk,
        level2: c.chalk,
        level3: c.chalk,
        level4: c.chalk,
        level5: c.chalk,
      },
    },
  };
}

export const lightTheme = paperTheme(false);
export const darkTheme = paperTheme(true);
type HouseTheme = typeof lightTheme;

/** The colours of the house in the light or dark theme that is on. */
export const useColours = (): HouseColours => useTheme<HouseTheme>().house;

/** What is filled, and what is written on it: brass in the dark, velvet in the light. */
export const useFilled = (): { fill: string; onFill: string } => {
  const { colors } = useTheme<HouseTheme>();
  return { fill: colors.primary, onFill: colors.onPrimary };
};

/** From this width on there is room for ledger, plan and inspector side by side, px. */
export const WIDE = 1100;
/** The least a finger can hit, px. */
export const TOUCH = 48;
/** A window lower than this is a phone turned, px. */
export const LOW = 500;
