import { Column, Entity, Index, PrimaryColumn } from 'typeorm';
import type { FieldValue, HowKnown, Part } from '@fair-gable/core';

/** A unit of a yard. Stock number and VIN are copies of its record, kept for their uniqueness. */
@Entity('unit')
@Index('unit_stock_number', ['yardId', 'stockNumber'], { unique: true, where: 'in_stock' })
@Index('unit_vin', ['yardId', 'vin'], { unique: true, where: 'in_stock' })
export class Unit {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'uuid' })
  id!: string;

  @Column({ type: 'varchar', length: 24, name: 'stock_number', nullable: true })
  stockNumber!: string | null;

  @Column({ type: 'varchar', length: 24, nullable: true })
  vin!: string | null;

  @Column({ type: 'boolean', name: 'in_stock', default: true })
  inStock!: boolean;

  @Column({ type: 'timestamptz', name: 'created_at' })
  createdAt!: Date;
}

/** One field of a record. A value of null was known once and taken back; its version goes on. */
@Entity('record_field')
export class RecordField {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'uuid', name: 'unit_id' })
  unitId!: string;

  @PrimaryColumn({ type: 'varchar', length: 12 })
  part!: Part;

  @PrimaryColumn({ type: 'varchar', length: 90 })
  key!: string;

  @Column({ type: 'jsonb', nullable: true })
  value!: FieldValue | null;

  @Column({ type: 'varchar', length: 10 })
  how!: HowKnown;

  @Column({ type: 'varchar', length: 80 })
  by!: string;

  @Column({ type: 'timestamptz' })
  at!: Date;

  @Column({ type: 'int' })
  version!: number;
}

/** What was changed, by whom, from what to what. Never changed itself. */
@Entity('record_change')
@Index('record_change_unit', ['yardId', 'unitId', 'at'])
export class RecordChange {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'uuid' })
  id!: string;

  @Column({ type: 'uuid', name: 'unit_id' })
  unitId!: string;

  @Column({ type: 'varchar', length: 12 })
  part!: Part;

  @Column({ type: 'varchar', length: 90 })
  key!: string;

  @Column({ type: 'jsonb', name: 'from_value', nullable: true })
  from!: FieldValue | null;

  @Column({ type: 'jsonb', name: 'to_value', nullable: true })
  to!: FieldValue | null;

  @Column({ type: 'varchar', length: 10 })
  how!: HowKnown;

  @Column({ type: 'uuid', name: 'person_id', nullable: true })
  personId!: string | null;

  @Column({ type: 'varchar', length: 80 })
  by!: string;

  @Column({ type: 'timestamptz' })
  at!: Date;
}
