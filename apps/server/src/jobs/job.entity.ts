import type { Thumbnail } from '@velvet-tape/contract/list';
import type { Plan, PlanPatch } from '@velvet-tape/core';
import { Column, CreateDateColumn, Entity, ForeignKey, Index, PrimaryColumn } from 'typeorm';
import { Workspace } from '../workspaces/workspace.entity';

/** One property being measured, and, for the list of jobs, what its newest plan amounts to. */
@Entity('jobs')
@Index('jobs_list_idx', ['workspaceId', 'touched', 'id'])
export class Job {
  @PrimaryColumn({ type: 'text', primaryKeyConstraintName: 'jobs_pkey' })
  id: string;

  @ForeignKey(() => Workspace, { name: 'jobs_workspace_fkey' })
  @Column({ type: 'text', name: 'workspace_id' })
  workspaceId: string;

  @Column({ type: 'text' })
  name: string;

  @Column({ type: 'text' })
  address: string;

  @Column({ type: 'text' })
  units: string;

  @Column({ type: 'int' })
  rooms: number;

  /** mm² */
  @Column({ type: 'double precision' })
  area: number;

  @Column({ type: 'boolean' })
  rough: boolean;

  /** Grows by one with every write; a write has to name the one it started from. */
  @Column({ type: 'int' })
  version: number;

  /** That of its newest revision. */
  @Column({ type: 'text' })
  mark: string;

  /** The newest revision that is kept whole. */
  @Column({ type: 'int', name: 'whole_version' })
  wholeVersion: number;

  @Column({ type: 'int', name: 'schema_version' })
  schemaVersion: number;

  @Column({ type: 'text', default: 'measuring' })
  state: string;

  /** Since when it lies in the bin. */
  @Index('jobs_binned_idx', { where: 'binned IS NOT NULL' })
  @Column({ type: 'timestamptz', nullable: true })
  binned: Date | null;

  /** Of its newest plan, as small as it goes with a line of the list. */
  @Column({ type: 'jsonb', nullable: true })
  picture: Thumbnail | null;

  @CreateDateColumn({ type: 'timestamptz' })
  created: Date;

  @Column({ type: 'timestamptz' })
  touched: Date;
}

/** A plan that was saved: whole, or as what it changed in the one before. */
@Entity('revisions')
export class Revision {
  @ForeignKey(() => Job, { name: 'revisions_job_fkey', onDelete: 'CASCADE' })
  @PrimaryColumn({ type: 'text', name: 'job_id', primaryKeyConstraintName: 'revisions_pkey' })
  jobId: string;

  @PrimaryColumn({ type: 'int', primaryKeyConstraintName: 'revisions_pkey' })
  version: number;

  /** No other has it, also where a database was put back to an older state and numbers come again. */
  @Column({ type: 'text' })
  mark: string;

  /** One that has a name is never thinned out. */
  @Column({ type: 'text', nullable: true })
  name: string | null;

  @Column({ type: 'int', name: 'schema_version' })
  schemaVersion: number;

  @Column({ type: 'jsonb', nullable: true })
  plan: Plan | null;

  @Column({ type: 'jsonb', nullable: true })
  change: PlanPatch | null;

  @Column({ type: 'timestamptz' })
  touched: Date;
}
