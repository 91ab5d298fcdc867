import { Column, CreateDateColumn, Entity, Index, PrimaryColumn } from 'typeorm';
import type { Role } from '@fair-gable/core/base/rights';
import type { System } from '@fair-gable/core/base/quantity';
import type { YardWater } from '@fair-gable/core/numbers/water';
import type { GlossaryRow } from '@fair-gable/core/unit/identity';
import type { Route } from '@fair-gable/core/unit/route';
import type { SavedView } from '@fair-gable/core/yard/list';
import type { HouseViews } from '@fair-gable/core/yard/settings';

@Entity('yard')
export class Yard {
  @PrimaryColumn({ type: 'uuid' })
  id!: string;

  @Column({ type: 'varchar', length: 80 })
  name!: string;

  @Column({ type: 'varchar', length: 10 })
  system!: System;

  /** Where it stands on the clock: a name of the IANA time zone database. */
  @Column({ type: 'varchar', length: 60, name: 'time_zone', default: 'Etc/UTC' })
  timeZone!: string;

  /** The side taken where practitioners disagree. */
  @Column({ type: 'jsonb', name: 'house_views', default: {} })
  houseViews!: HouseViews;

  @Column({ type: 'jsonb', default: [] })
  routes!: Route[];

  /** Days for which buyers’ names are kept. */
  @Column({ type: 'int', name: 'keep_buyers', default: 180 })
  keepBuyers!: number;

  /** Own readings of letters in floor-plan codes. */
  @Column({ type: 'jsonb', default: [] })
  glossary!: readonly GlossaryRow[];

  /** Water a person uses in a day, where it differs from what is usual. */
  @Column({ type: 'jsonb', default: {} })
  water!: YardWater;
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

  /** null: nobody signs in by it yet. */
  @Column({ type: 'varchar', length: 200, name: 'password_hash', nullable: true })
  passwordHash!: string | null;

  /** One's own units; null takes the yard's. */
  @Column({ type: 'varchar', length: 10, nullable: true })
  system!: System | null;

  /** Words a minute as one set it. */
  @Column({ type: 'smallint', nullable: true })
  pace!: number | null;

  /** Words a minute as one’s walks show it. */
  @Column({ type: 'smallint', name: 'learned_pace', nullable: true })
  learnedPace!: number | null;
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

  /** Views of the yard that this person keeps under a name. */
  @Column({ type: 'jsonb', default: [] })
  views!: readonly SavedView[];

  @CreateDateColumn({ type: 'timestamptz', name: 'joined_at' })
  joinedAt!: Date;

  /** When this person went over to it, or signed in there, last. */
  @Column({ type: 'timestamptz', name: 'used_at', nullable: true })
  usedAt!: Date | null;
}

/** An address that a yard has invited; it belongs to the yard once its owner accepts. Of the link only a hash is kept. */
@Entity('invitation')
@Index('invitation_email', ['yardId', 'email'], { unique: true })
export class Invitation {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'uuid' })
  id!: string;

  @Column({ type: 'varchar', length: 254 })
  email!: string;

  /** As the yard calls them. */
  @Column({ type: 'varchar', length: 80 })
  name!: string;

  @Column({ type: 'varchar', length: 20 })
  role!: Role;

  @Index('invitation_token', { unique: true })
  @Column({ type: 'char', length: 64, name: 'token_hash' })
  tokenHash!: string;

  @Column({ type: 'timestamptz', name: 'expires_at' })
  expiresAt!: Date;
}

/** A signed-in browser. The id is a hash: a copy of this table signs nobody in. */
@Entity('session')
export class SessionRow {
  @PrimaryColumn({ type: 'char', length: 64 })
  id!: string;

  @Column({ type: 'jsonb' })
  data!: object;

  @Index('session_person')
  @Column({ type: 'uuid', name: 'person_id', nullable: true })
  personId!: string | null;

  /** What the browser calls itself, in a few words. */
  @Column({ type: 'varchar', length: 120, default: '' })
  device!: string;

  @CreateDateColumn({ type: 'timestamptz', name: 'created_at' })
  createdAt!: Date;

  @Column({ type: 'timestamptz', name: 'seen_at', default: () => 'now()' })
  seenAt!: Date;

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

/** A one-time link to set a password; only its hash is kept. */
@Entity('password_link')
export class PasswordLink {
  @PrimaryColumn({ type: 'char', length: 64, name: 'token_hash' })
  tokenHash!: string;

  @Column({ type: 'uuid', name: 'person_id' })
  personId!: string;

  @Column({ type: 'timestamptz', name: 'expires_at' })
  expiresAt!: Date;
}

/** A browser in which a person has signed in before, by a hash of what that left there. */
@Entity('known_device')
export class KnownDevice {
  @PrimaryColumn({ type: 'uuid', name: 'person_id' })
  personId!: string;

  @PrimaryColumn({ type: 'char', length: 64, name: 'token_hash' })
  tokenHash!: string;

  @Column({ type: 'timestamptz', name: 'seen_at', default: () => 'now()' })
  seenAt!: Date;
}

/** Wrong tries to sign in, by a hash of whom and from where. */
@Entity('sign_in_try')
export class SignInTry {
  @PrimaryColumn({ type: 'char', length: 64 })
  key!: string;

  @Column({ type: 'int' })
  failures!: number;

  @Column({ type: 'timestamptz', name: 'last_at' })
  lastAt!: Date;
}

/** What was changed about a yard and its people, by whom. Never changed itself. */
@Entity('yard_change')
@Index('yard_change_at', ['yardId', 'at'])
export class YardChange {
  @PrimaryColumn({ type: 'uuid', name: 'yard_id' })
  yardId!: string;

  @PrimaryColumn({ type: 'uuid' })
  id!: string;

  @Column({ type: 'varchar', length: 30 })
  what!: string;

  @Column({ type: 'varchar', length: 254 })
  subject!: string;

  @Column({ type: 'varchar', length: 200, name: 'from_text', nullable: true })
  from!: string | null;

  @Column({ type: 'varchar', length: 200, name: 'to_text', nullable: true })
  to!: string | null;

  @Column({ type: 'uuid', name: 'person_id', nullable: true })
  personId!: string | null;

  @Column({ type: 'varchar', length: 80 })
  by!: string;

  @Column({ type: 'timestamptz' })
  at!: Date;
}
