import type { Plan } from '@velvet-tape/core';
import { Column, CreateDateColumn, Entity, ForeignKey, Index, PrimaryColumn } from 'typeorm';
import { Workspace } from '../workspaces/workspace.entity';

/** One property being measured, with its current plan and, for the list of jobs, what that plan amounts to. */
@Entity('jobs')
export class Job {
  @PrimaryColumn({ type: 'text', primaryKeyConstraintName: 'jobs_pkey' })
  id: string;

  @Index('jobs_workspace_idx')
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

  @Column({ type: 'int', name: 'schema_version' })
  schemaVersion: number;

  @Column({ type: 'jsonb' })
  plan: Plan;

  @CreateDateColumn({ type: 'timestamptz' })
  created: Date;

  @Column({ type: 'timestamptz' })
  touched: Date;
}

/** Every plan that was ever saved. */
@Entity('revisions')
export class Revision {
  @ForeignKey(() => Job, { name: 'revisions_job_fkey', onDelete: 'CASCADE' })
  @PrimaryColumn({ type: 'text', name: 'job_id', primaryKeyConstraintName: 'revisions_pkey' })
  jobId: string;

  @PrimaryColumn({ type: 'int', primaryKeyConstraintName: 'revisions_pkey' })
  version: number;

  @Column({ type: 'int', name: 'schema_version' })
  schemaVersion: number;

  @Column({ type: 'jsonb' })
  plan: Plan;

  @Column({ type: 'timestamptz' })
  touched: Date;
}
