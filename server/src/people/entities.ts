import { Column, CreateDateColumn, Entity, Index, PrimaryColumn } from 'typeorm';
import type { Role, System } from '@fair-gable/core';

@Entity('yard')
export class Yard {
  @PrimaryColumn({ type: 'uuid' })
  id!: string;

  @Column({ type: 'varchar', length: 80 })
  name!: string;

  @Column({ type: 'varchar', length: 10 })
  system!: System;
}

@Entity('person')
export class Person {
  @PrimaryColumn({ type: 'uuid' })
  id!: string;

  @Index('person_email', { unique: true })
  @Column({ type: 'varchar', length: 254 })
  email!: string;

  @Column({ type: 'varchar', length: 80 })
  name!: string;

  @Column({ type: 'varchar', length: 200, name: 'password_hash' })
  passwordHash!: string;
}

/** Who belongs to which yard, and in what role. */
@Entity('membership')
export class Membership {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'uuid', name: 'person_id' })
  personId!: string;

  @Column({ type: 'varchar', length: 20 })
  role!: Role;
}

/** A signed-in browser. The id is a hash: a copy of this table signs nobody in. */
@Entity('session')
export class SessionRow {
  @PrimaryColumn({ type: 'char', length: 64 })
  id!: string;

  @Column({ type: 'jsonb' })
  data!: object;

  @Index('session_expires')
  @Column({ type: 'timestamptz', name: 'expires_at' })
  expiresAt!: Date;
}

/** Secrets that the first start made for itself. */
@Entity('secret')
export class Secret {
  @PrimaryColumn({ type: 'varchar', length: 40 })
  key!: string;

  @Column({ type: 'text' })
  value!: string;

  @CreateDateColumn({ type: 'timestamptz', name: 'created_at' })
  createdAt!: Date;
}
