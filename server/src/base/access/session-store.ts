import { createHash } from 'node:crypto';
import { LessThan, MoreThan, type DataSource } from 'typeorm';
import type { FastifySessionObject, SessionStore } from '@fastify/session';
import type { SignedIn } from '@fair-gable/core/yard/people';
import { announceEnd } from '../database/index.ts';
import { SessionRow } from './entities.ts';

export const sessionDays = 30;
const day = 86_400_000;
/** How exactly it is noted when somebody was last here. */
const seenEvery = 10 * 60_000;

const hashed = (id: string): string => createHash('sha256').update(id).digest('hex');

type Done = (error?: unknown) => void;

interface Kept {
  readonly personId?: string;
  readonly device?: string;
}

/** Sessions in PostgreSQL, so that any process can serve any request. */
export class PostgresSessionStore implements SessionStore {
  constructor(private readonly source: DataSource) {}

  private get rows() {
    return this.source.getRepository(SessionRow);
  }

  set(id: string, session: FastifySessionObject, done: Done): void {
    const data = JSON.parse(JSON.stringify(session)) as Kept;
    const row = {
      id: hashed(id),
      data,
      personId: data.personId ?? null,
      device: data.device ?? '',
      expiresAt: new Date(Date.now() + sessionDays * day),
      seenAt: new Date(),
    };
    this.rows.save(row).then(() => done(), done);
  }

  get(id: string, done: (error: unknown, session?: FastifySessionObject | null) => void): void {
    this.find(hashed(id)).then(
      (row) => done(null, row ? (row.data as FastifySessionObject) : null),
      (error: unknown) => done(error),
    );
  }

  private async find(id: string): Promise<SessionRow | null> {
    const row = await this.rows.findOneBy({ id, expiresAt: MoreThan(new Date()) });
    if (row && Date.now() - row.seenAt.getTime() > seenEvery) {
      await this.rows.update({ id }, { seenAt: new Date() });
    }
    return row;
  }

  destroy(id: string, done: Done): void {
    this.rows
      .delete({ id: hashed(id) })
      .then(() => announceEnd(this.source.manager))
      .then(() => done(), done);
  }

  /** Takes out what has expired. */
  async sweep(): Promise<void> {
    await this.rows.delete({ expiresAt: LessThan(new Date()) });
  }

  /** Whether a session still stands. */
  async stands(id: string): Promise<boolean> {
    return this.rows.existsBy({ id: hashed(id), expiresAt: MoreThan(new Date()) });
  }

  /** The browsers in which a person is signed in, latest first. @param here the asking session's id */
  async of(personId: string, here: string): Promise<readonly SignedIn[]> {
    const rows = await this.rows.find({
      where: { personId, expiresAt: MoreThan(new Date()) },
      order: { seenAt: 'DESC' },
    });
    return rows.map((row) => ({
      id: row.id,
      device: row.device,
      since: row.createdAt.toISOString(),
      seen: row.seenAt.toISOString(),
      here: row.id === hashed(here),
    }));
  }

  /** Ends one of a person's sessions; whether there was such a one. */
  async end(personId: string, rowId: string): Promise<boolean> {
    const isEnded = (await this.rows.delete({ id: rowId, personId })).affected === 1;
    if (isEnded) await announceEnd(this.source.manager);
    return isEnded;
  }

  /** Ends all of a person's sessions but the one that asks. */
  async endOthers(personId: string, here: string): Promise<void> {
    await this.rows
      .createQueryBuilder()
      .delete()
      .where('person_id = :personId AND id <> :here', { personId, here: hashed(here) })
      .execute();
    await announceEnd(this.source.manager);
  }
}
