import { defineStore } from 'pinia';
import { ref } from 'vue';

/** What the server tells of; `catch-up` where some of it may not have been heard. */
export type NewsKind =
  'unit' | 'walk' | 'stock' | 'sheets' | 'vehicles' | 'people' | 'work' | 'catch-up';

/** What a room does about news: it is given what the server told, which for some kinds is nothing. */
type Hearer = (told: never) => void;

/**
 * What others change on this yard, on this screen as it happens. Each room says by itself which news it wants. Without a
 * network the browser tries again by itself, and the yard is read anew when it is back.
 */
export const useLive = defineStore('live', () => {
  /** Whether the server is heard at present. */
  const hears = ref(false);
  const hearers = new Map<NewsKind, Set<Hearer>>();
  let source: EventSource | undefined;

  const tell = (kind: NewsKind, told: unknown): void =>
    hearers.get(kind)?.forEach((hear) => hear(told as never));

  const listenFor = (kind: NewsKind): void =>
    source?.addEventListener(kind, (event: MessageEvent<string>) =>
      tell(kind, event.data ? JSON.parse(event.data) : undefined),
    );

  /**
   * Hears of news of a kind for as long as the page is open.
   * @param hear a failure is its own to see to
   */
  const on = <T = undefined>(kind: NewsKind, hear: (told: T) => void): void => {
    const others = hearers.get(kind);
    if (others) return void others.add(hear as Hearer);
    hearers.set(kind, new Set([hear as Hearer]));
    listenFor(kind);
  };

  /** Begins to listen; once. */
  const start = (): void => {
    if (source) return;
    source = new EventSource('/api/live');
    let isFirst = true;
    source.addEventListener('open', () => {
      hears.value = true;
      if (!isFirst) tell('catch-up', undefined);
      isFirst = false;
    });
    source.addEventListener('error', () => (hears.value = false));
    for (const kind of hearers.keys()) listenFor(kind);
  };

  const stop = (): void => {
    source?.close();
    source = undefined;
    hears.value = false;
  };

  return { hears, on, start, stop };
});
