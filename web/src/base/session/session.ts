import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import type { GivenTo } from '@fair-gable/core/base/contract';
import { may as mayRole, type Right } from '@fair-gable/core/base/rights';
import { paceFor } from '@fair-gable/core/show/walk';
import type { SchoolKey } from '@fair-gable/core/unit/catalog';
import { floorPlanGlossary } from '@fair-gable/core/unit/identity';
import { type Session } from '@fair-gable/core/yard/people';
import type { Routes } from '../api/routes.ts';
import { ask, onLapse, Refused } from '../api/client.ts';
import { deviceZone, standAt, useClock } from '../clock/index.ts';
import { forgetPerson, keep, kept, useOutbox } from '../device/index.ts';
import { useLive } from '../live/live.ts';

/** Whether the server knows this browser no more; what it had of this person is off it then. */
const useLapse = () => {
  const isLapsed = ref(false);
  let isAsking = false;
  /** A request that was under way while the session was made anew is no lapse: it is asked once more. */
  const isGone = (): Promise<boolean> =>
    ask('GET /api/session').then(
      () => false,
      (error: unknown) => error instanceof Refused && error.status === 401,
    );
  const lapse = async (): Promise<void> => {
    if (isLapsed.value || isAsking) return;
    isAsking = true;
    if (await isGone()) {
      await forgetPerson();
      isLapsed.value = true;
    }
    isAsking = false;
  };
  onLapse(() => void lapse());
  return isLapsed;
};

/** The first account of an empty yard, as it is typed. */
type FirstAccount = Omit<GivenTo<Routes['POST /api/first-account']>['body'], 'timeZone'>;

/** What the server knows of whoever is signed in, and what time it is there. */
const heard = async (): Promise<Session> => {
  const found = await ask('GET /api/session');
  useClock().hear(found.now);
  return found;
};

/** Who is signed in on this device, also while the server is out of reach. */
export const useSession = defineStore('session', () => {
  const session = ref<Session>();
  const outbox = useOutbox();
  const isLapsed = useLapse();
  let loaded = false;

  const open = async (found: Session): Promise<void> => {
    const before = await kept('session');
    // The data on a device belongs to one person, at one yard.
    const isSame = before?.person.id === found.person.id && before.yard.id === found.yard.id;
    if (before && !isSame) await forgetPerson();
    await keep('session', found);
    session.value = found;
    // A session that an older page kept does not say where its yard stands.
    standAt(found.yard.timeZone ?? deviceZone());
    isLapsed.value = false;
    await outbox.openFor(found.person.id, found.yard.id);
  };

  const fromServer = async (): Promise<Session | undefined> => {
    try {
      return await heard();
    } catch (error) {
      if (error instanceof Refused && error.status === 401) return undefined;
      // Out of reach or out of order: what this device knows is enough to go on with.
      return kept('session');
    }
  };

  /** Finds out who is signed in; once per page. */
  const load = async (): Promise<Session | undefined> => {
    if (!loaded) {
      const found = await fromServer();
      if (found) await open(found);
      loaded = true;
    }
    return session.value;
  };

  /** Reads it again: own settings, the yard's, or one's role were changed. */
  const reload = async (): Promise<void> => open(await heard());
  useLive().on('people', () => void reload().catch(() => undefined));

  const signIn = async (email: string, password: string): Promise<void> => {
    await ask('POST /api/session', { body: { email, password } });
    await reload();
    loaded = true;
  };

  const firstAccount = async (given: FirstAccount): Promise<void> => {
    await ask('POST /api/first-account', { body: { ...given, timeZone: deviceZone() } });
    await reload();
    loaded = true;
  };

  /** Signs out and takes this person's data off the device. */
  const signOut = async (): Promise<void> => {
    await ask('DELETE /api/session');
    outbox.close();
    await forgetPerson();
    session.value = undefined;
  };

  /** One's own units, else the yard's. */
  const system = computed(() => session.value?.person.system ?? session.value?.yard.system ?? 'us');
  /** What the server would let this person do; it decides, this only spares them the asking. */
  /** The side this yard takes in a disagreement; undefined where it takes none. */
  const houseView = (school: SchoolKey): string | undefined =>
    session.value?.yard.houseViews?.[school];
  /** Readings of floor-plan letters: the yard's own before the common ones. */
  const glossary = computed(() => {
    const own = session.value?.yard.glossary ?? [];
    const codes = new Set(own.map((row) => row.code));
    return [...own, ...floorPlanGlossary.filter((row) => !codes.has(row.code))];
  });
  /** Words a minute at which this person’s walks are planned. */
  const pace = computed(() => {
    const { pace: own = null, learnedPace = null } = session.value?.person ?? {};
    return paceFor(own, learnedPace);
  });
  const may = (right: Right): boolean =>
    session.value !== undefined && mayRole(session.value.person.role, right);
  return {
    session,
    isLapsed,
    system,
    pace,
    houseView,
    glossary,
    may,
    load,
    reload,
    signIn,
    firstAccount,
    signOut,
  };
});
