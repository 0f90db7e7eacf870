import type { AreaRuleName } from '../../plan/plan';
import { ansiRule } from './ansi';
import { carrezRule } from './carrez';
import { grossExternalRule, grossInternalRule } from './gross';
import { ipmsRules } from './ipms';
import { netRule } from './net';
import type { AreaRule } from './rule';
import { woflvRule } from './woflv';

export type { AreaRule, PieceFacts, PieceKind, Share } from './rule';

/** All rules, in the order they are offered. Another: its file, and a line here. */
export const RULES: readonly AreaRule[] = [
  netRule,
  grossInternalRule,
  grossExternalRule,
  ...ipmsRules,
  ansiRule,
  woflvRule,
  carrezRule,
];

export const ruleOf = (name: AreaRuleName): AreaRule => RULES.find((rule) => rule.name === name) ?? netRule;
