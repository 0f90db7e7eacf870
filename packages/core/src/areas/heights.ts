import type { AreaRuleName, JobDetails } from '../plan/plan';
import { MM_PER_FOOT } from '../units';

/** Heights the rules cut floors at, mm, rising: 1.00 and 2.00 m, 1.50 m, 1.80 m, 5 and 7 ft. What has none counts whatever its headroom. */
export const RULE_HEIGHTS: Record<AreaRuleName, readonly number[]> = {
  net: [],
  'gross internal': [1500],
  'gross external': [1500],
  'IPMS 1': [1500],
  'IPMS 2': [1500],
  'IPMS 3A': [1500],
  'IPMS 3B': [1500],
  'IPMS 3C': [1500],
  'ANSI Z765': [5 * MM_PER_FOOT, 7 * MM_PER_FOOT],
  WoFlV: [1000, 2000],
  Carrez: [1800],
};

/** What one wants to see of a slope where no rule asks: where one can sit, and where one can stand (common practice, no source). */
const USUAL = { metric: [1500, 2000], imperial: [5 * MM_PER_FOOT, 7 * MM_PER_FOOT] };

const NONE: readonly number[] = [];

/** The lines of equal headroom a plan shows: those of the rule areas are counted by, and of the one beside it. */
export function headroomShown({ areaRule, besideRule, units }: JobDetails): readonly number[] {
  const asked = [...RULE_HEIGHTS[areaRule], ...(besideRule ? RULE_HEIGHTS[besideRule] : NONE)];
  return asked.length > 0 ? [...new Set(asked)].sort((a, b) => a - b) : USUAL[units];
}
