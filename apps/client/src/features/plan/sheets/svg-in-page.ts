import { FONTS } from '../../../ui/theme';

/** A page as an element of this page: its faces are there already, under the names the application has for them. */
export const svgInPage = (svg: string): string =>
  svg
    .slice(svg.indexOf('<svg'))
    .replaceAll("'Atkinson Hyperlegible Next'", FONTS.sans)
    .replaceAll('Fraunces,', `${FONTS.serif},`);
