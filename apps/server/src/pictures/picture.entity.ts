import type { PictureType } from '@velvet-tape/contract';
import { Column, CreateDateColumn, Entity, ForeignKey, PrimaryColumn } from 'typeorm';
import { Workspace } from '../workspaces/workspace.entity';

/** A picture that plans refer to by its id; it never changes. */
@Entity('pictures')
export class StoredPicture {
  @ForeignKey(() => Workspace, { name: 'pictures_workspace_fkey' })
  @PrimaryColumn({ type: 'text', name: 'workspace_id', primaryKeyConstraintName: 'pictures_pkey' })
  workspaceId: string;

  @PrimaryColumn({ type: 'text', primaryKeyConstraintName: 'pictures_pkey' })
  id: string;

  @Column({ type: 'text' })
  type: PictureType;

  @Column({ type: 'integer' })
  width: number;

  @Column({ type: 'integer' })
  height: number;

  /** SHA-256 of the bytes as they were sent: the same id with other bytes is another picture. */
  @Column({ type: 'bytea' })
  digest: Buffer;

  @Column({ type: 'bytea', select: false })
  bytes: Buffer;

  @CreateDateColumn({ type: 'timestamptz' })
  created: Date;
}
