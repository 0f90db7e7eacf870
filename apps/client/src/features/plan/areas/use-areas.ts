import type { AreaRuleName, Plan } from '@velvet-tape/core';
import type { AreasOfHouse } from '@velvet-tape/core/areas';
import type { Remote } from 'comlink';
import { useEffect, useState } from 'react';
import { useAppSelector } from '../../../store/store';
import type { Areas } from '../../../workers/areas.worker';

let worker: Promise<Remote<Areas>> | null = null;
const counting = (): Promise<Remote<Areas>> =>
  (worker ??= import('comlink').then(({ wrap }) =>
    wrap<Areas>(new Worker(new URL('../../../workers/areas.worker.ts', import.meta.url))),
  ));

const known = new WeakMap<Plan, Promise<AreasOfHouse>>();

/** The house counted by the rule of the job and the one beside it; by the worker that knows the rules, once for each plan. */
function areasOf(plan: Plan): Promise<AreasOfHouse> {
  let found = known.get(plan);
  if (!found) {
    const { areaRule, besideRule } = plan.job;
    const rules: AreaRuleName[] = besideRule ? [areaRule, besideRule] : [areaRule];
    known.set(plan, (found = counting().then((it) => it.ofHouse(plan, rules))));
  }
  return found;
}

/** The same for a screen: while it is counted anew what was counted last is shown; null before that, a word where it could not be. */
export function useAreas(): AreasOfHouse | 'failed' | null {
  const plan = useAppSelector((state) => state.plan.plan);
  const [shown, setShown] = useState<AreasOfHouse | 'failed' | null>(null);
  useEffect(() => {
    if (!plan) return;
    let wanted = true;
    areasOf(plan).then(
      (found) => wanted && setShown(found),
      () => {
        known.delete(plan);
        if (wanted) setShown('failed');
      },
    );
    return () => {
      wanted = false;
    };
  }, [plan]);
  return shown;
}
