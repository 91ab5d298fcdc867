import { createHash } from 'node:crypto';
import { LessThan, type DataSource } from 'typeorm';
import type { FastifySessionObject, SessionStore } from '@fastify/session';
import { SessionRow } from './entities.ts';

export const sessionDays = 30;
const day = 86_400_000;

const hashed = (id: string): string => createHash('sha256').update(id).digest('hex');

type Done = (error?: unknown) => void;

/** Sessions in PostgreSQL, so that any process can serve any request. */
export class PostgresSessionStore implements SessionStore {
  constructor(private readonly source: DataSource) {}

  private get rows() {
    return this.source.getRepository(SessionRow);
  }

  set(id: string, session: FastifySessionObject, done: Done): void {
    const expiresAt = new Date(Date.now() + sessionDays * day);
    const row = { id: hashed(id), data: JSON.parse(JSON.stringify(session)) as object, expiresAt };
    this.rows.save(row).then(() => done(), done);
  }

  get(id: string, done: (error: unknown, session?: FastifySessionObject | null) => void): void {
    this.rows.findOneBy({ id: hashed(id) }).then(
      (row) =>
        done(null, row && row.expiresAt > new Date() ? (row.data as FastifySessionObject) : null),
      (error: unknown) => done(error),
    );
  }

  destroy(id: string, done: Done): void {
    this.rows.delete({ id: hashed(id) }).then(() => done(), done);
  }

  /** Takes out what has expired; run at start. */
  async sweep(): Promise<void> {
    await this.rows.delete({ expiresAt: LessThan(new Date()) });
  }
}
