import type { KeptType } from '@velvet-tape/contract';
import type { JobSummary, Thumbnail } from '@velvet-tape/contract/list';
import type { OwnWork, Plan, PlanChange } from '@velvet-tape/core';
import { Dexie, type EntityTable } from 'dexie';

/** A job as this device keeps it. */
export interface DeviceJob {
  readonly id: string;
  readonly plan: Plan;
  /** The plan as the server had it at `version`; null before it was ever there. */
  readonly base: Plan | null;
  readonly version: number;
  /** The mark of that version; null before it was ever there, and of jobs that came here before versions had marks. */
  readonly mark: string | null;
  /** Marks of the versions this plan came from, the last first: a server put back to one of them has an older state of the same. */
  readonly line: readonly string[];
  /** Grows with every write on this device, by whichever tab. */
  readonly revision: number;
  /** There is something the server has not got yet: 1 or 0, as IndexedDB indexes no booleans. */
  readonly waiting: 0 | 1;
  readonly touched: string;
  /** What of `base` was sent to be changed, while nobody knows whether it arrived. */
  readonly onItsWay?: PlanChange | undefined;
  /** What was done on this device and still holds. */
  readonly own?: OwnWork;
  /** What the list shows of the plan. */
  readonly totals?: {
    readonly rooms: number;
    readonly area: number;
    readonly rough: boolean;
    readonly picture?: Thumbnail | null;
  };
}

/** A type kept for later jobs, as this device knows it. */
export interface DeviceType extends KeptType {
  /** It was forgotten here, and the server has not heard of it yet. */
  readonly forgotten: boolean;
  readonly waiting: 0 | 1;
}

/** A picture under a plan, as this device has it. */
export interface DevicePicture {
  readonly id: string;
  readonly blob: Blob;
  readonly waiting: 0 | 1;
  /** Why the server will not have it: it is not sent again by itself. */
  readonly refused?: string;
}

/** What keeps a job from being saved on the server, and whether anybody but a person can do something about it. */
export interface Trouble {
  /** The job. */
  readonly id: string;
  /** `refused`: the server said no to this plan; `lost`: it has no such job any more; `broken`: it could not, and is asked again. */
  readonly what: 'refused' | 'lost' | 'broken';
  readonly message: string;
  /** Of the plan that was refused: another one is tried. */
  readonly revision: number;
}

class DeviceDatabase extends Dexie {
  jobs!: EntityTable<DeviceJob, 'id'>;
  listing!: EntityTable<JobSummary, 'id'>;
  keptTypes!: EntityTable<DeviceType, 'id'>;
  pictures!: EntityTable<DevicePicture, 'id'>;
  trouble!: EntityTable<Trouble, 'id'>;
  /** Jobs that lie in the bin, as far as the server last said. */
  binned!: EntityTable<{ readonly id: string }, 'id'>;

  constructor() {
    super('velvet-tape');
    this.version(1).stores({ jobs: 'id, waiting', listing: 'id' });
    this.version(2).stores({ keptTypes: 'id, waiting' });
    this.version(3).stores({ pictures: 'id, waiting' });
    this.version(4)
      .stores({ trouble: 'id' })
      .upgrade((transaction) => transaction.table('jobs').toCollection().modify({ mark: null, line: [] }));
    this.version(5).stores({ binned: 'id' });
  }
}

/** What this device keeps. `device.ts` has what is done with it: whoever only lists jobs needs nothing of plans. */
export const database = new DeviceDatabase();
