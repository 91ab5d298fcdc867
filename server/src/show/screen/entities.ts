import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A screen that may follow a walk, by a token that only whoever opened it knows. */
@Entity('screen')
export class ScreenRow {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'bytea', name: 'token_hash' })
  tokenHash!: Buffer;

  @Column({ type: 'uuid', name: 'walk_id' })
  walkId!: string;

  @Column({ type: 'timestamptz' })
  until!: Date;
}
