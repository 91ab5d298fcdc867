import { Column, Entity, PrimaryColumn } from 'typeorm';

/**
 * A picture as it is kept: upright, made anew, without what the camera wrote into it. What it shows stands in the
 * record's part `photos`, under the same id.
 */
@Entity('photo')
export class PhotoRow {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'uuid', name: 'unit_id' })
  unitId!: string;

  @PrimaryColumn({ type: 'uuid' })
  id!: string;

  @Column({ type: 'int' })
  width!: number;

  @Column({ type: 'int' })
  height!: number;

  @Column({ type: 'bytea', select: false })
  picture!: Buffer;

  @Column({ type: 'bytea', select: false })
  thumb!: Buffer;

  @Column({ type: 'varchar', length: 80 })
  by!: string;

  @Column({ type: 'timestamptz' })
  at!: Date;
}

/** A piece of a picture that is still on its way; all of them go when it is there. */
@Entity('photo_piece')
export class PhotoPiece {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'uuid', name: 'unit_id' })
  unitId!: string;

  @PrimaryColumn({ type: 'uuid', name: 'photo_id' })
  photoId!: string;

  /** The byte at which it begins. */
  @PrimaryColumn({ type: 'int', name: 'starts' })
  starts!: number;

  @Column({ type: 'bytea' })
  bytes!: Buffer;

  @Column({ type: 'timestamptz' })
  at!: Date;
}
