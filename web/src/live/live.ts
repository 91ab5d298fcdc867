import { useThrottleFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { ref } from 'vue';
import { useSheets } from '../model-sheet/sheets.ts';
import { tellWork, type Progress } from '../long-work/index.ts';
import { useSession } from '../people/session.ts';
import { useVehicles } from '../tow/vehicles.ts';
import { useUnits } from '../yard/units.ts';

/** News that come in a burst are looked after together. */
const settleFor = 150;
/** Between two looks at a walk that somebody gives, ms. */
const between = 1000;

const walks = async () => (await import('../walk/walk.ts')).useWalk();

/**
 * What others change on this yard, on this screen as it happens. Without a network the browser
 * tries again by itself, and the yard is read anew when it is back.
 */
export const useLive = defineStore('live', () => {
  const units = useUnits();
  const session = useSession();
  const sheets = useSheets();
  const vehicles = useVehicles();
  /** Whether the server is heard at present. */
  const hears = ref(false);
  let source: EventSource | undefined;
  let changed = new Set<string>();
  let timer: ReturnType<typeof setTimeout> | undefined;

  const look = (): void => {
    const ids = changed;
    changed = new Set();
    timer = undefined;
    for (const id of ids) void units.refresh(id);
  };

  const onUnit = (event: MessageEvent<string>): void => {
    changed.add((JSON.parse(event.data) as { id: string }).id);
    timer ??= setTimeout(look, settleFor);
  };

  /**
   * Walks come with the page that gives one: whoever looks at the yard need not have them. Whoever gives one hears of
   * every tap of their own, which is here already.
   */
  const joinWalk = useThrottleFn(
    async (id: string): Promise<void> => (await walks()).join(id),
    between,
    true,
  );
  const onWalk = async (event: MessageEvent<string>): Promise<void> => {
    const { id, newest } = JSON.parse(event.data) as { id: string; newest?: string };
    const { walk } = await walks();
    if (walk?.plan.id === id && !walk.events.some((one) => one.id === newest)) await joinWalk(id);
  };

  const onWork = (event: MessageEvent<string>): void =>
    tellWork(JSON.parse(event.data) as { id: string; progress: Progress });

  const catchUp = (): void => void Promise.all([units.load(), sheets.load()]);
  const onPeople = (): void => void session.reload().catch(() => undefined);

  /** Begins to listen; once. */
  const start = (): void => {
    if (source) return;
    source = new EventSource('/api/live');
    let isFirst = true;
    source.addEventListener('open', () => {
      hears.value = true;
      if (!isFirst) catchUp();
      isFirst = false;
    });
    source.addEventListener('error', () => (hears.value = false));
    source.addEventListener('unit', onUnit);
    source.addEventListener('walk', (event) => void onWalk(event).catch(() => undefined));
    source.addEventListener('stock', catchUp);
    source.addEventListener('sheets', () => void sheets.load());
    source.addEventListener('vehicles', () => void vehicles.load());
    source.addEventListener('people', onPeople);
    source.addEventListener('work', onWork);
    source.addEventListener('catch-up', catchUp);
  };

  const stop = (): void => {
    source?.close();
    source = undefined;
    hears.value = false;
    clearTimeout(timer);
  };

  return { hears, start, stop };
});
