import './whole-core';
import '../core-later/piece';
import type { AreaRuleName, Plan } from '@velvet-tape/core';
import { type AreasOfHouse, areasOfHouse } from '@velvet-tape/core/areas';
import { expose } from 'comlink';

const areas = {
  /** A house counted by some rules. */
  ofHouse: (plan: Plan, rules: readonly AreaRuleName[]): AreasOfHouse => areasOfHouse(plan, rules),
};

export type Areas = typeof areas;

expose(areas);
