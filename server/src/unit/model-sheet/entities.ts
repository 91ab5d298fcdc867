import { Column, Entity, Index, PrimaryColumn } from 'typeorm';
import type { ModelSheet, Offer } from '@fair-gable/core/unit/model-sheet';

/** A model sheet of a yard. Series, floor plan and year are copies of its content, for their uniqueness. */
@Entity('model_sheet')
@Index('model_sheet_model', ['yardId', 'series', 'floorPlan', 'year'], { unique: true })
export class ModelSheetRow {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'uuid' })
  id!: string;

  @Column({ type: 'varchar', length: 40 })
  series!: string;

  @Column({ type: 'varchar', length: 20, name: 'floor_plan' })
  floorPlan!: string;

  @Column({ type: 'int' })
  year!: number;

  @Column({ type: 'jsonb' })
  sheet!: ModelSheet;

  @Column({ type: 'int' })
  version!: number;

  @Column({ type: 'varchar', length: 80 })
  by!: string;

  @Column({ type: 'timestamptz' })
  at!: Date;
}

/** What was changed on a sheet, and how many units it touched. Never changed itself. */
@Entity('model_sheet_change')
@Index('model_sheet_change_sheet', ['yardId', 'sheetId', 'at'])
export class ModelSheetChange {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'uuid' })
  id!: string;

  @Column({ type: 'uuid', name: 'sheet_id' })
  sheetId!: string;

  @Column({ type: 'int' })
  version!: number;

  @Column({ type: 'jsonb', name: 'from_sheet', nullable: true })
  from!: ModelSheet | null;

  @Column({ type: 'jsonb', name: 'to_sheet' })
  to!: ModelSheet;

  @Column({ type: 'int' })
  units!: number;

  @Column({ type: 'uuid', name: 'person_id', nullable: true })
  personId!: string | null;

  @Column({ type: 'varchar', length: 80 })
  by!: string;

  @Column({ type: 'timestamptz' })
  at!: Date;
}

/** Something found on a unit and offered to a sheet. */
@Entity('model_sheet_offer')
@Index('model_sheet_offer_sheet', ['yardId', 'sheetId', 'at'])
export class ModelSheetOffer {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'uuid' })
  id!: string;

  @Column({ type: 'uuid', name: 'sheet_id' })
  sheetId!: string;

  @Column({ type: 'jsonb' })
  offer!: Offer;

  @Column({ type: 'timestamptz' })
  at!: Date;
}
