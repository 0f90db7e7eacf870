/** Where the sun stands: degrees over the horizon, and clockwise from north. */
export interface Sun {
  readonly altitude: number;
  readonly azimuth: number;
}

/** Where a house is: degrees, north and east positive; its clocks are so many minutes before those of Greenwich. */
export interface Whereabouts {
  readonly latitude: number;
  readonly longitude: number;
  readonly zone: number;
}

/** A day of the year, from 1, and minutes after midnight, by the clocks of the house. */
export interface DayAndTime {
  readonly day: number;
  readonly minutes: number;
}

const DAY = 86_400_000;
/** Noon of 1 January 2000, in Greenwich. */
const J2000 = Date.UTC(2000, 0, 1, 12);
/** Of a year without a leap day: what day it is differs by a quarter of a degree of the sun’s way from year to year. */
const YEAR = 2026;

const radians = (degrees: number): number => (degrees * Math.PI) / 180;
const degrees = (radians: number): number => (radians * 180) / Math.PI;
const sin = (of: number): number => Math.sin(radians(of));
const cos = (of: number): number => Math.cos(radians(of));

/** The moment a day and time are, ms since 1970 in Greenwich. */
export const momentOf = ({ day, minutes }: DayAndTime, { zone }: Pick<Whereabouts, 'zone'>): number =>
  Date.UTC(YEAR, 0, 1) + (day - 1) * DAY + (minutes - zone) * 60_000;

/**
 * The sun at a moment (ms since 1970), to about 0.01°, without the bending of light by the air, which lifts it by half a degree at the horizon. Low-precision position by
 * Meeus, Astronomical Algorithms, 2nd ed., ch. 25; sidereal time ch. 12.
 */
export function sunAt(moment: number, { latitude, longitude }: Pick<Whereabouts, 'latitude' | 'longitude'>): Sun {
  const d = (moment - J2000) / DAY;
  const t = d / 36_525;
  const mean = 280.46646 + 36_000.76983 * t;
  const anomaly = 357.52911 + 35_999.05029 * t;
  const centre =
    (1.914602 - 0.004817 * t) * sin(anomaly) +
    (0.019993 - 0.000101 * t) * sin(2 * anomaly) +
    0.000289 * sin(3 * anomaly);
  const node = 125.04 - 1934.136 * t;
  const lambda = mean + centre - 0.00569 - 0.00478 * sin(node);
  const obliquity = 23.439291 - 0.0130042 * t + 0.00256 * cos(node);
  const declination = Math.asin(sin(obliquity) * sin(lambda));
  const ascension = Math.atan2(cos(obliquity) * sin(lambda), cos(lambda));
  const hour = radians(280.46061837 + 360.98564736629 * d + longitude) - ascension;
  const phi = radians(latitude);
  const altitude = Math.asin(
    Math.sin(phi) * Math.sin(declination) + Math.cos(phi) * Math.cos(declination) * Math.cos(hour),
  );
  const fromSouth = Math.atan2(Math.sin(hour), Math.cos(hour) * Math.sin(phi) - Math.tan(declination) * Math.cos(phi));
  return { altitude: degrees(altitude), azimuth: (degrees(fromSouth) + 540) % 360 };
}

/** A direction in the raised house: along the sheet to the right and down it, and up. */
export interface Towards {
  readonly x: number;
  readonly y: number;
  readonly up: number;
}

/** The way to the sun on a sheet whose north is so many degrees clockwise from straight up; of length 1. */
export function towardsSun({ altitude, azimuth }: Sun, north: number): Towards {
  const bearing = north + azimuth;
  return { x: sin(bearing) * cos(altitude), y: -cos(bearing) * cos(altitude), up: sin(altitude) };
}

const WINDS = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'] as const;

/** “34° up in the south-west”, “below the horizon”. */
export function sunInWords({ altitude, azimuth }: Sun): string {
  if (altitude <= 0) return 'below the horizon';
  return `${Math.round(altitude)}° up in the ${WINDS[Math.round(azimuth / 45) % 8]!}`;
}
