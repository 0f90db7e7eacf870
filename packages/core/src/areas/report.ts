import { withSolidPieces } from '../pieces';
import type { AreaRuleName, Plan } from '../plan/plan';
import { labelPoint } from '../rooms';
import type { Point } from '../geometry';
import type { AreaRounding } from './rounding';
import { type AreaRule, ruleOf } from './rules';
import { type AreaTable, againstListing, areaTable, ruleDoubt } from './table';

/** What is said of a rule; plain data, without what it does. */
export interface RuleSaid {
  readonly name: AreaRuleName;
  readonly standard: string;
  readonly says: string;
  readonly rounding: AreaRounding;
}

/** A house counted by a rule, ready to be shown. Plain data: it comes from a worker. */
export interface AreaReport {
  readonly rule: RuleSaid;
  readonly doubt: string | null;
  readonly table: AreaTable;
  /** Where in each piece its share can be written, floor by floor. */
  readonly marks: readonly (readonly Point[])[];
}

export interface AreasOfHouse {
  readonly reports: readonly AreaReport[];
  /** How far every rule is from what the listing says, the nearest first; empty where it says nothing. mm² */
  readonly nearest: readonly { readonly rule: RuleSaid; readonly by: number }[];
}

const said = ({ name, standard, says, rounding }: AreaRule): RuleSaid => ({ name, standard, says, rounding });

/** The areas of a house by some rules, and what they are to the listing. */
export function areasOfHouse(house: Plan, names: readonly AreaRuleName[]): AreasOfHouse {
  // what stands solid is taken off where a rule takes columns off
  const plan = withSolidPieces(house);
  const { listed } = plan.job;
  return {
    reports: names.map((name) => {
      const rule = ruleOf(name);
      const table = areaTable(plan, name);
      const marks = table.floors.map(({ pieces }) => pieces.map(({ rings }) => labelPoint(rings)));
      return { rule: said(rule), doubt: ruleDoubt(plan, rule), table, marks };
    }),
    nearest: listed === null ? [] : againstListing(plan, listed).map(({ rule, by }) => ({ rule: said(rule), by })),
  };
}
