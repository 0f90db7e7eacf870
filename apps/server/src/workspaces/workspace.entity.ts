import type { PictureDetails } from '@velvet-tape/core';
import { Column, CreateDateColumn, Entity, PrimaryColumn } from 'typeorm';

/** Whose jobs these are. One for now; every row belongs to one, so that accounts can come later. */
@Entity('workspaces')
export class Workspace {
  @PrimaryColumn({ type: 'text', primaryKeyConstraintName: 'workspaces_pkey' })
  id: string;

  @Column({ type: 'text' })
  name: string;

  /** Stands in the title block of the sheets of new jobs. */
  @Column({ type: 'jsonb', nullable: true })
  logo: PictureDetails | null;

  @CreateDateColumn({ type: 'timestamptz' })
  created: Date;
}

export const DEFAULT_WORKSPACE = 'home';
