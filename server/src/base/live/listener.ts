import { Client } from 'pg';
import { channel, type News } from '../database/index.ts';

/** What a screen is told: news, or that some may have been missed. */
export type Heard = News | 'catch-up';

type Ear = (heard: Heard) => void;

const again = 1000;

/**
 * One connection that listens, for all screens of this process. When the database goes away it
 * tries again until it is back, and then says that something may have been missed.
 */
export class Listener {
  private readonly ears = new Set<Ear>();
  private client: Client | undefined;
  private retry: ReturnType<typeof setTimeout> | undefined;
  private isOver = false;
  private isFirst = true;

  constructor(private readonly url: string) {}

  /** Whether it hears the database at present. */
  get hears(): boolean {
    return this.client !== undefined;
  }

  get screens(): number {
    return this.ears.size;
  }

  async start(): Promise<void> {
    const client = new Client({ connectionString: this.url, keepAlive: true });
    client.on('error', () => this.lost(client));
    client.on('end', () => this.lost(client));
    client.on('notification', ({ payload }) => this.tell(JSON.parse(payload ?? '{}') as News));
    try {
      await client.connect();
      await client.query(`LISTEN ${channel}`);
    } catch {
      return this.later();
    }
    if (this.isOver) return void client.end().catch(() => {});
    this.client = client;
    if (!this.isFirst) this.tell('catch-up');
    this.isFirst = false;
  }

  private lost(client: Client): void {
    if (this.client !== client) return;
    this.client = undefined;
    this.later();
  }

  private later(): void {
    this.isFirst = false;
    if (this.isOver) return;
    clearTimeout(this.retry);
    this.retry = setTimeout(() => void this.start(), again);
  }

  private tell(heard: Heard): void {
    for (const ear of this.ears) ear(heard);
  }

  /** @returns how to stop hearing */
  hear(ear: Ear): () => void {
    this.ears.add(ear);
    return () => void this.ears.delete(ear);
  }

  async stop(): Promise<void> {
    this.isOver = true;
    clearTimeout(this.retry);
    const client = this.client;
    this.client = undefined;
    await client?.end().catch(() => {});
  }
}
