import { Column, Entity, Index, PrimaryColumn } from 'typeorm';
import type { HowKnown } from '@fair-gable/core/unit/catalog';
import type { FieldValue, Part, Statement } from '@fair-gable/core/unit/record';

/**
 * A unit of a yard. Stock number and VIN are copies of its record, kept for their uniqueness; name,
 * year, condition, length and rating are copies by which the yard's list is sorted and searched. Stock numbers are
 * unique whatever their case, by an index that only its migration can say.
 */
@Entity('unit')
@Index('unit_stock_number', { synchronize: false })
@Index('unit_by_length', ['yardId', 'length', 'id'], { where: 'in_stock' })
@Index('unit_by_name', ['yardId', 'name', 'id'], { where: 'in_stock' })
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

  @Column({ type: 'varchar', length: 80, default: '' })
  name!: string;

  @Column({ type: 'int', name: 'model_year', nullable: true })
  modelYear!: number | null;

  @Column({ type: 'varchar', length: 10, nullable: true })
  condition!: string | null;

  /** Overall, inches. */
  @Column({ type: 'double precision', nullable: true })
  length!: number | null;

  /** Pounds. */
  @Column({ type: 'double precision', nullable: true })
  gvwr!: number | null;

  /** All that is text in the record, to be searched. */
  @Column({ type: 'text', default: '' })
  words!: string;

  /** Counts the changes of its record. */
  @Column({ type: 'int', default: 1 })
  revision!: number;

  /** As the yard's page has it, once somebody asked; read by nobody else. */
  @Column({ type: 'json', nullable: true, select: false })
  summary!: object | null;

  /** The same for whoever does not see the yard's own figures; left out where it says as much. */
  @Column({ type: 'json', name: 'summary_shown', nullable: true, select: false })
  summaryShown!: object | null;

  /** Of which revision, day and program these are: `12/2026-11-28/9f86d081884c7d65`. */
  @Column({ type: 'varchar', length: 60, name: 'summary_for', nullable: true })
  summaryFor!: string | null;

  @Column({ type: 'timestamptz', name: 'created_at' })
  createdAt!: Date;
}

/** The parts that a record of this database may have. */
@Entity('record_part')
export class RecordPartRow {
  @PrimaryColumn({ type: 'varchar', length: 20 })
  part!: string;
}

/** One field of a record. A value of null was known once and taken back; its version goes on. */
@Entity('record_field')
export class RecordField {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'uuid', name: 'unit_id' })
  unitId!: string;

  @PrimaryColumn({ type: 'varchar', length: 20 })
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

  /** Who and when are as a file said that was taken in. */
  @Column({ type: 'boolean', default: false })
  filed!: boolean;

  /** What worse sources say of it that is not the same; null where nobody does. */
  @Column({ type: 'jsonb', nullable: true })
  others!: readonly Statement<FieldValue>[] | null;
}

/** What was changed, by whom, from what to what. Never changed itself. */
@Entity('record_change')
@Index('record_change_unit', ['yardId', 'unitId', 'at'])
@Index('record_change_field', ['yardId', 'unitId', 'part', 'key', 'at'])
@Index('record_change_edit', ['yardId', 'editId'])
export class RecordChange {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'uuid' })
  id!: string;

  @Column({ type: 'uuid', name: 'unit_id' })
  unitId!: string;

  @Column({ type: 'varchar', length: 20 })
  part!: Part;

  @Column({ type: 'varchar', length: 90 })
  key!: string;

  @Column({ type: 'jsonb', name: 'from_value', nullable: true })
  from!: FieldValue | null;

  @Column({ type: 'jsonb', name: 'to_value', nullable: true })
  to!: FieldValue | null;

  @Column({ type: 'varchar', length: 10, name: 'from_how', nullable: true })
  fromHow!: HowKnown | null;

  @Column({ type: 'varchar', length: 10 })
  how!: HowKnown;

  /** Another source, put beside a better one that stays shown. */
  @Column({ type: 'boolean', default: false })
  beside!: boolean;

  /** The field's version after it. */
  @Column({ type: 'int', nullable: true })
  version!: number | null;

  /** The edit it came with; an edit that is sent twice is made once. */
  @Column({ type: 'uuid', name: 'edit_id', nullable: true })
  editId!: string | null;

  @Column({ type: 'uuid', name: 'person_id', nullable: true })
  personId!: string | null;

  @Column({ type: 'varchar', length: 80 })
  by!: string;

  @Column({ type: 'timestamptz' })
  at!: Date;
}
