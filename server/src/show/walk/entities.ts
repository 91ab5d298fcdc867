import { Column, Entity, Index, PrimaryColumn } from 'typeorm';
import type { Point } from '@fair-gable/core/show/cards';
import type { WalkPlan, What } from '@fair-gable/core/show/walk';

/** A planned walk, with its cards as they were worded when it was planned. */
@Entity('walk')
@Index('walk_unit', ['yardId', 'unitId', 'createdAt'])
@Index('walk_yard', ['yardId', 'createdAt'])
@Index('walk_person', ['yardId', 'personId', 'createdAt'])
export class Walk {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'uuid' })
  id!: string;

  @Column({ type: 'uuid', name: 'unit_id' })
  unitId!: string;

  @Column({ type: 'int' })
  minutes!: number;

  @Column({ type: 'jsonb' })
  points!: Point[];

  @Column({ type: 'jsonb', nullable: true })
  about!: WalkPlan['about'] | null;

  /** Whom it was given to; their name is kept apart, and forgotten apart. */
  @Column({ type: 'uuid', name: 'buyer_id', nullable: true })
  buyerId!: string | null;

  /** Whoever it was given to was forgotten: what is noted of them later is not kept. */
  @Column({ type: 'boolean', name: 'buyer_forgotten', default: false })
  buyerForgotten!: boolean;

  /** Whose walk it is, while they are known. */
  @Column({ type: 'uuid', name: 'person_id', nullable: true })
  personId!: string | null;

  @Column({ type: 'varchar', length: 80 })
  by!: string;

  @Column({ type: 'timestamptz', name: 'created_at' })
  createdAt!: Date;
}

/** One event of a walk; written once, whoever sends it how often. */
@Entity('walk_event')
export class WalkEventRow {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'uuid', name: 'walk_id' })
  walkId!: string;

  @PrimaryColumn({ type: 'uuid' })
  id!: string;

  @Column({ type: 'uuid' })
  device!: string;

  @Column({ type: 'int' })
  counter!: number;

  @Column({ type: 'int' })
  elapsed!: number;

  @Column({ type: 'jsonb' })
  what!: What;

  /** Whose it is, by the session it came in with; nobody of one that was brought in. */
  @Column({ type: 'uuid', name: 'person_id', nullable: true })
  personId!: string | null;

  /** When the server got it; nothing is ordered by it. */
  @Column({ type: 'timestamptz', name: 'received_at' })
  receivedAt!: Date;
}
