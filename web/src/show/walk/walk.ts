import { useNow, useThrottleFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, type ShallowRef } from 'vue';
import type { Point } from '@fair-gable/core/show/cards';
import {
  foldWalk,
  inOrder,
  nextEvent,
  paceOf,
  workedMs,
  type YardWalk,
  type WalkEvent,
  type WalkPlan,
  type What,
} from '@fair-gable/core/show/walk';
import { ask, NoNetwork, Plain } from '../../base/api/client.ts';
import { device, deviceId, useOutbox, type KeptWalk } from '../../base/device/index.ts';
import { useLive } from '../../base/live/live.ts';

/** What a walk is made of. */
export interface Wanted {
  readonly minutes: number;
  readonly points: readonly Point[];
  readonly about: NonNullable<WalkPlan['about']>;
  readonly isRehearsal: boolean;
}

/** The most that an event may say, ms. */
const longestWalk = 86_400_000;

const notKept =
  'This device couldn’t save that. Free some space, then press again; nothing was marked.';

const noRoom = (): never => {
  throw new Plain('This device couldn’t save the walk. Free some space, then start again.');
};

/** A rehearsal is on this device alone and leaves no log. */
const keepPlanned = async (
  outbox: ReturnType<typeof useOutbox>,
  walk: KeptWalk,
  isRehearsal: boolean,
): Promise<void> => {
  if (isRehearsal) await (await device()).put('walks', { ...walk, isRehearsal }, walk.plan.id);
  else await outbox.addPlan(walk, walk.plan);
};

const lastElapsed = (events: readonly WalkEvent[]): number =>
  Math.max(0, ...events.map((e) => e.elapsed));

const clockOf = ({ idle = 0 }: YardWalk, last: WalkEvent | undefined, now: number) => ({
  elapsed: last?.elapsed ?? 0,
  at: now - idle,
});

/**
 * Both sides' events together; a walk given on two devices agrees in the end. One walk has one clock: it goes on from the
 * last event, whoever wrote it.
 */
export const joined = (
  here: KeptWalk | undefined,
  there: YardWalk | undefined,
  now = Date.now(),
): KeptWalk | undefined => {
  if (!there) return here;
  const had = here?.events ?? [];
  const events = inOrder([...had, ...there.events]);
  const last = events.at(-1);
  const isOurs = had.some(({ id }) => id === last?.id);
  const anchor = here && (isOurs || !last) ? here.anchor : clockOf(there, last, now);
  return { plan: there.plan, events, unitName: here?.unitName ?? '', anchor };
};

const fromServer = async (id: string): Promise<YardWalk | undefined> => {
  try {
    return await ask('GET /api/walks/:id', { params: { id } });
  } catch (error) {
    if (error instanceof NoNetwork) return undefined;
    throw error;
  }
};

/** Between two looks at a walk that somebody else gives too, ms. */
const betweenLooks = 1000;

/** Joins what others do on a walk; of every tap of their own, which is here already, whoever gives it hears too. */
const hearOthers = (
  walk: Readonly<ShallowRef<KeptWalk | undefined>>,
  join: (id: string) => Promise<void>,
): void => {
  const joinLater = useThrottleFn(join, betweenLooks, true);
  useLive().on('walk', ({ id, newest }: { readonly id: string; readonly newest?: string }) => {
    const isHere = walk.value?.events.some((one) => one.id === newest);
    if (walk.value?.plan.id === id && !isHere) void joinLater(id);
  });
};

/** The walk that is being given: its events on this device, folded into what the screen shows. */
export const useWalk = defineStore('walk', () => {
  const outbox = useOutbox();
  const walk = shallowRef<KeptWalk>();
  const problem = ref('');
  const now = useNow({ interval: 1000 });
  let writing: Promise<void> = Promise.resolve();

  /** Plans a walk on this device; it is sent when the server is in reach. */
  const plan = async (
    unit: { readonly id: string; readonly name: string },
    wanted: Wanted,
  ): Promise<string> => {
    const { minutes, points, about, isRehearsal } = wanted;
    const id = crypto.randomUUID();
    const made: WalkPlan = { id, unit: unit.id, minutes, points: [...points], about };
    const anchor = { elapsed: 0, at: Date.now() };
    const keptWalk = { plan: made, events: [], unitName: unit.name, anchor };
    await keepPlanned(outbox, keptWalk, isRehearsal).catch(noRoom);
    return id;
  };

  /**
   * Opens a walk: from this device at once, else from the server.
   * @returns whether there is such a walk
   * @throws Refused when the server does not have it either
   */
  const open = async (id: string): Promise<boolean> => {
    const here = await (await device()).get('walks', id);
    walk.value = here ?? joined(undefined, await fromServer(id));
    return walk.value !== undefined;
  };

  /** Adds what other devices did, when the server is in reach; the walk goes on meanwhile. */
  const join = async (id: string): Promise<void> => {
    if (walk.value?.isRehearsal) return;
    await outbox.flush();
    const there = await fromServer(id).catch(() => undefined);
    if (walk.value?.plan.id !== id || !there) return;
    // What this device sent itself comes back as news; it changes nothing.
    const here = new Set(walk.value.events.map((event) => event.id));
    if (there.events.some((event) => !here.has(event.id))) walk.value = joined(walk.value, there);
  };

  hearOthers(walk, join);

  /** Milliseconds since the walk began, by this device's clock; never behind what is written. */
  const elapsedAt = (time: number): number => {
    const { anchor, events = [] } = walk.value ?? {};
    if (!anchor) return 0;
    const here = anchor.elapsed + Math.max(time - anchor.at, 0);
    // A clock that jumps by a day spoils the times in the log, never the walk.
    return Math.round(Math.min(Math.max(here, lastElapsed(events)), longestWalk));
  };

  const write = async (what: What, spoken?: Blob): Promise<void> => {
    if (!walk.value) return;
    const given = {
      id: crypto.randomUUID(),
      device: await deviceId(),
      elapsed: elapsedAt(Date.now()),
    };
    const isFirst = walk.value.events.length === 0;
    const anchor = isFirst ? { elapsed: 0, at: Date.now() } : walk.value.anchor;
    const event = nextEvent(walk.value.events, isFirst ? { ...given, elapsed: 0 } : given, what);
    const next = { ...walk.value, anchor, events: [...walk.value.events, event] };
    if (next.isRehearsal) await (await device()).put('walks', next, next.plan.id);
    else if (spoken) await outbox.addMemo(next, event, spoken);
    else await outbox.addEvent(next, event);
    walk.value = next;
  };

  /**
   * Writes an event: on the device first, one after the other. One that cannot be kept is told and
   * changes nothing; the next is tried all the same.
   * @param spoken a voice memo that the mark names
   */
  const record = (what: What, spoken?: Blob): Promise<void> => {
    writing = writing
      .then(() => write(what, spoken))
      .then(
        () => void (problem.value = ''),
        () => void (problem.value = notKept),
      );
    return writing;
  };

  const state = computed(() => walk.value && foldWalk(walk.value.plan, walk.value.events));
  const worked = computed(() => {
    const events = walk.value?.events ?? [];
    const running = state.value?.begun && !state.value.paused && !state.value.finished;
    return workedMs(events, running ? elapsedAt(now.value.getTime()) : undefined);
  });
  const pace = computed(() =>
    walk.value && state.value ? paceOf(walk.value.plan, state.value, worked.value) : undefined,
  );
  /** Whether a card is still to be given. */
  const isOpen = (point: Point): boolean =>
    ['open', 'later'].includes(state.value?.cards.get(point.id) ?? 'open');
  const given = computed(() => walk.value?.plan.points.filter((p) => !isOpen(p)).length ?? 0);
  return { walk, problem, state, worked, pace, isOpen, given, plan, open, join, record };
});
