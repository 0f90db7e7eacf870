import type { Id, Plan } from '@velvet-tape/core';
import { useEffect, useState } from 'react';
import type { Brought, PageShown } from '../../../workers/files.worker';
import { lent } from '../later/lent';

const { filesWorker, pictureOf, useAppSelector } = lent();

/** “29 November 2026” */
const today = (): string => new Date().toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });

/** What the worker needs for some sheets: the day, and the pictures under the floors they show that are to print. */
export async function broughtFor(plan: Plan, sheets: readonly Id[]): Promise<Brought> {
  const floors = new Set(
    Object.values(plan.frames).flatMap(({ sheet, shows }) =>
      sheets.includes(sheet) && 'floor' in shows ? [shows.floor] : [],
    ),
  );
  const printed = Object.values(plan.underlays).filter((each) => floors.has(each.floor) && each.prints && !each.hidden);
  const placed = Object.values(plan.frames).flatMap(({ sheet, shows }) =>
    sheets.includes(sheet) && shows.kind === 'picture' ? [shows.picture] : [],
  );
  const pictures = new Map<string, Blob>();
  for (const picture of [
    ...printed.map((each) => each.picture),
    ...placed,
    ...(plan.job.logo ? [plan.job.logo.picture] : []),
  ])
    pictures.set(picture, await pictureOf(picture));
  return { date: today(), pictures };
}

type Made<T> = T | 'failed' | null;

/** What the worker makes of a sheet, anew whenever the plan changes; what was made last is shown meanwhile. */
function useMade<T>(id: Id, make: (plan: Plan, brought: Brought) => Promise<T>): Made<T> {
  const plan = useAppSelector((state) => state.plan.plan);
  const [made, setMade] = useState<Made<T>>(null);
  useEffect(() => {
    if (!plan) return;
    let wanted = true;
    broughtFor(plan, [id])
      .then((brought) => make(plan, brought))
      .then(
        (found) => wanted && setMade(found),
        () => wanted && setMade('failed'),
      );
    return () => {
      wanted = false;
    };
    // oxlint-disable-next-line react-hooks/exhaustive-deps -- what is made depends on the plan and the sheet alone
  }, [plan, id]);
  return made;
}

export const usePage = (id: Id): Made<PageShown | null> =>
  useMade(id, async (plan, brought) => (await filesWorker()).page(plan, id, brought));

/** A small picture of a sheet, as an address. */
export const useThumbnail = (id: Id, wide: number): Made<string | null> =>
  useMade(id, async (plan, brought) => (await filesWorker()).thumbnail(plan, id, wide, brought));
