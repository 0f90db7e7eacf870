import type { FinishLook, OpeningSpec, PieceSpec } from '@velvet-tape/core';
import { Column, CreateDateColumn, Entity, ForeignKey, PrimaryColumn } from 'typeorm';
import { Workspace } from '../workspaces/workspace.entity';

/** A type of door or window, a piece, or a finish, that a workspace keeps for later jobs. */
@Entity('kept_types')
export class KeptOpeningType {
  @ForeignKey(() => Workspace, { name: 'kept_types_workspace_fkey' })
  @PrimaryColumn({ type: 'text', name: 'workspace_id', primaryKeyConstraintName: 'kept_types_pkey' })
  workspaceId: string;

  @PrimaryColumn({ type: 'text', primaryKeyConstraintName: 'kept_types_pkey' })
  id: string;

  @Column({ type: 'text' })
  name: string;

  @Column({ type: 'jsonb' })
  spec: OpeningSpec | PieceSpec | FinishLook;

  @CreateDateColumn({ type: 'timestamptz' })
  created: Date;
}
