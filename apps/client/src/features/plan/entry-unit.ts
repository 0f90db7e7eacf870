import type { LengthUnit, Units } from '@velvet-tape/core';
import { z } from 'zod';
import { recall, remember } from '../../ui/remembered';
import type { Field } from './plan-state';

/** Units a bare number can be read in, in the order the key goes through them. */
const OFFERED: Record<Units, readonly LengthUnit[]> = { metric: ['m', 'cm', 'mm'], imperial: ['ft', 'in'] };

/** Thin things are never read in the large unit. */
const THIN: readonly Field[] = ['thickness', 'frame', 'going', 'well', 'nosing', 'margin', 'step'];
const SMALL: Record<Units, LengthUnit> = { metric: 'mm', imperial: 'in' };

/** The unit of a bare number in a field, for someone who reads in `chosen`. */
export function entryUnit(field: Field, units: Units, chosen: LengthUnit | null): LengthUnit {
  // lettering is in mm on paper everywhere
  if (field === 'letters') return 'mm';
  const offered = OFFERED[units];
  const usual = chosen && offered.includes(chosen) ? chosen : offered[0]!;
  return THIN.includes(field) && usual === offered[0] ? SMALL[units] : usual;
}

/** The one after, round to the first. */
export function nextEntryUnit(units: Units, chosen: LengthUnit | null): LengthUnit {
  const offered = OFFERED[units];
  return offered[(Math.max(0, chosen ? offered.indexOf(chosen) : 0) + 1) % offered.length]!;
}

const kept = z.enum(['m', 'cm', 'mm', 'ft', 'in']);
const keyOf = (job: string) => `entry.${job}`;

/** What a job was read in last on this device, else what any job was. */
export function keptEntryUnit(job: string): LengthUnit | null {
  const read = kept.safeParse(recall(keyOf(job)) ?? recall(keyOf('last')));
  return read.success ? read.data : null;
}

export function keepEntryUnit(job: string, unit: LengthUnit): void {
  for (const each of [job, 'last']) remember(keyOf(each), unit);
}
