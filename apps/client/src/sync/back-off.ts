/** The first time something is tried again after so long, and never later than, ms. */
const SOONEST = 1_000;
const LATEST = 60_000;
/** The same while the server can't be reached at all: whoever comes up from the cellar looks at the phone, and asking costs nobody anything. */
export const LATEST_UNREACHED = 12_000;

/** How long to wait before something is tried again that failed so many times: twice as long each time, and never quite when others do, ms. */
export const backOff = (failures: number, latest = LATEST, random: () => number = Math.random): number =>
  Math.min(latest, SOONEST * 2 ** Math.min(failures - 1, 10)) * (0.5 + random() / 2);
