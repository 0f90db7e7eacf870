import type { PlanState } from '../plan-state';

export type PartName = Exclude<PlanState['listing'], null | 'keys' | 'looks' | 'catalogue'> | 'plan';

/** The parts of a job, in the order they stand in; each has an address, `/job/<id>/<name>`, the plan that of the job itself. Another part is a line here and one in `later/Listing.tsx`. */
export const PARTS: readonly {
  readonly name: PartName;
  readonly label: string;
  readonly icon: string;
  /** On a phone something else leads there: the name of the job, and from there its history; the tray of pieces. */
  readonly wide?: true;
}[] = [
  { name: 'plan', label: 'Plan', icon: 'drawing' },
  { name: 'floors', label: 'Floors', icon: 'layers-outline' },
  { name: 'openings', label: 'Openings', icon: 'door' },
  { name: 'areas', label: 'Areas', icon: 'texture-box' },
  { name: 'readings', label: 'Readings', icon: 'format-list-numbered' },
  { name: 'pieces', label: 'Pieces', icon: 'sofa-outline', wide: true },
  { name: 'options', label: 'Options', icon: 'table', wide: true },
  { name: 'views', label: 'Views', icon: 'cube-outline' },
  { name: 'sheets', label: 'Sheets', icon: 'file-image-outline' },
  { name: 'history', label: 'History', icon: 'history', wide: true },
  { name: 'details', label: 'This job', icon: 'home-outline', wide: true },
];

/** The part an address names; the plan where there is no such part. */
export const partAt = (name: string | null): PartName => PARTS.find((part) => part.name === name)?.name ?? 'plan';
