import { Column, Entity, PrimaryColumn } from 'typeorm';
import type { Vehicle } from '@fair-gable/core/unit/record';

/** A vehicle that a yard keeps: one of its classes, or a buyer's own. */
@Entity('vehicle')
export class VehicleRow {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'varchar', length: 40 })
  key!: string;

  @Column({ type: 'jsonb' })
  vehicle!: Vehicle;

  @Column({ type: 'varchar', length: 80 })
  by!: string;

  @Column({ type: 'timestamptz' })
  at!: Date;
}
