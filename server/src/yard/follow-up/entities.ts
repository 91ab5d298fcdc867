import { Column, Entity, Index, PrimaryColumn } from 'typeorm';
import type { FollowUpKind } from '@fair-gable/core/yard/follow-up';

/** Somebody who was shown something; kept until a day, then forgotten. */
@Entity('buyer')
@Index('buyer_until', ['yardId', 'keepUntil'])
export class BuyerRow {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'uuid' })
  id!: string;

  @Column({ type: 'varchar', length: 80 })
  name!: string;

  @Column({ type: 'varchar', length: 200, nullable: true })
  email!: string | null;

  @Column({ type: 'varchar', length: 30, nullable: true })
  phone!: string | null;

  @Column({ type: 'date', name: 'keep_until' })
  keepUntil!: string;
}

/** What is left to do after a walk. */
@Entity('follow_up')
@Index('follow_up_due', ['yardId', 'done', 'due'])
export class FollowUpRow {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'uuid' })
  id!: string;

  @Column({ type: 'uuid', name: 'walk_id' })
  walkId!: string;

  @Column({ type: 'uuid', name: 'unit_id' })
  unitId!: string;

  @Column({ type: 'varchar', length: 20 })
  kind!: FollowUpKind;

  @Column({ type: 'varchar', length: 500 })
  text!: string;

  @Column({ type: 'date' })
  due!: string;

  @Column({ type: 'varchar', length: 80 })
  who!: string;

  @Column({ type: 'date', nullable: true })
  done!: string | null;

  @Column({ type: 'varchar', length: 80 })
  by!: string;

  @Column({ type: 'int' })
  version!: number;
}

/** A message to a buyer, and when it was handed to the mail. */
@Entity('letter')
export class LetterRow {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'uuid' })
  id!: string;

  @Column({ type: 'uuid', name: 'walk_id' })
  walkId!: string;

  @Column({ type: 'varchar', length: 200 })
  to!: string;

  @Column({ type: 'varchar', length: 120 })
  subject!: string;

  @Column({ type: 'text' })
  text!: string;

  @Column({ type: 'varchar', length: 80 })
  by!: string;

  @Column({ type: 'timestamptz' })
  at!: Date;

  @Column({ type: 'timestamptz', name: 'sent_at', nullable: true })
  sentAt!: Date | null;
}
