import { type Guide, type Intent, type Plan, applyEdit, deriveFloor, newPlan } from '@velvet-tape/core';
import type { Selection } from '../src/features/plan/plan-state';
import type { ToolChoices } from '../src/features/plan/tool-choices';
import { type Proposal, intentOf } from '../src/features/plan/sketching/proposal';
import type { Bench, Pointer } from '../src/features/plan/tools/tool';

/** A workbench without a screen: edits are done at once, and what was shown is remembered. */
export function workbench(plan: Plan = newPlan({ name: 'Shed' })) {
  const state = {
    plan,
    selection: { kind: 'nothing' } as Selection,
    previews: [] as (Intent | null)[],
    committed: [] as Intent[],
    panned: 0,
    drawn: '',
    refused: '',
    tool: 'choose',
    proposal: null as Proposal | null,
    guides: [] as readonly Guide[],
    choices: {
      chalk: false,
      shape: 'L',
      bump: 'box',
      solid: { solid: 'column', shape: 'round' },
      neighbours: 'stretch',
      free: false,
      round: 'clockwise',
    } as ToolChoices,
  };
  let seeds = 0;
  const bench: Bench = {
    floor: () => deriveFloor(state.plan, 'ground'),
    selection: () => state.selection,
    choices: () => state.choices,
    proposal: () => state.proposal,
    propose: (proposal) => (state.proposal = proposal),
    keep: () => {
      const intent = state.proposal && intentOf(state.proposal, deriveFloor(state.plan, 'ground'));
      const result = intent && bench.commit(intent, bench.seed());
      if (!result?.ok) return false;
      state.proposal = null;
      if (result.made) bench.drawn(result.made);
      return true;
    },
    guide: (guides) => (state.guides = guides),
    lasso: () => undefined,
    otherFloor: () => null,
    traced: () => null,
    takeSeen: () => false,
    preview: (intent) => state.previews.push(intent),
    commit: (intent, seed) => {
      state.committed.push(intent);
      const result = applyEdit(state.plan, intent, seed);
      if (result.ok) state.plan = result.plan;
      return { ok: result.ok, made: result.ok ? result.made : null };
    },
    select: (selection) => (state.selection = selection),
    handOver: (tool) => (state.tool = tool),
    ask: () => undefined,
    pan: (dx) => (state.panned += dx),
    drawn: (room) => (state.drawn = room),
    offerLook: () => undefined,
    refuse: (words) => (state.refused = words),
    lettering: () => 125,
    pieces: () => state.plan.pieces,
    option: () => null,
    looks: () => state.plan,
    seed: () => `t${(seeds += 1)}`,
  };
  return { bench, state };
}

/** A pointer at a point of the house, on a screen of 10 mm to the pixel. */
export const at = (x: number, y: number, free = false, rested = false): Pointer => ({
  at: { x, y },
  px: { x: x / 10, y: y / 10 },
  reach: 150,
  free,
  several: false,
  rested,
});

export function shed(): Plan {
  const result = applyEdit(
    newPlan({ name: 'Shed' }),
    { kind: 'drawBox', floor: 'ground', a: { x: 0, y: 0 }, b: { x: 4000, y: 3000 } },
    'r',
  );
  if (!result.ok) throw new Error(result.reason);
  return result.plan;
}
