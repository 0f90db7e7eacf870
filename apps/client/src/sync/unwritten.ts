import { type Plan, readPlan } from '@velvet-tape/core';
import { recall, remember } from '../ui/remembered';
import { saveOnDevice, setAside } from './device';

/** A plan on its way to the device, and what it was made from. */
export interface Unwritten {
  readonly id: string;
  readonly known: Plan;
  readonly plan: Plan;
}

const KEY = 'velvet-tape unwritten ';

/**
 * A page that goes away may take a write with it that is under way. What is written by this is there at once, and is taken up when the application is opened again:
 * where it had been written after all, nothing changes by it.
 */
export const leaveUnwritten = ({ id, known, plan }: Unwritten): void =>
  remember(KEY + id, JSON.stringify({ known, plan }));

/** The page stayed, and its write came to an end. */
export const writtenAfterAll = (id: string): void => globalThis.localStorage?.removeItem(KEY + id);

/** Writes what pages left unwritten; returns the jobs. What can't be read stays where it is. */
export async function takeUpUnwritten(): Promise<string[]> {
  const taken: string[] = [];
  for (const key of Object.keys(globalThis.localStorage ?? {})) {
    if (!key.startsWith(KEY)) continue;
    const left = readLeft(recall(key));
    if (!left) continue;
    const id = key.slice(KEY.length);
    await saveOnDevice(id, left.known, left.plan).catch(() => setAside(left.plan));
    globalThis.localStorage.removeItem(key);
    taken.push(id);
  }
  return taken;
}

function readLeft(text: string | null): Omit<Unwritten, 'id'> | null {
  try {
    const { known, plan } = JSON.parse(text ?? '') as Record<string, unknown>;
    const [before, after] = [readPlan(known), readPlan(plan)];
    return before.ok && after.ok ? { known: before.plan, plan: after.plan } : null;
  } catch {
    return null;
  }
}
