import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import type { Session } from '@fair-gable/core';
import { ask, Refused } from '../api/client.ts';
import { forgetPerson, keep, kept, useOutbox } from '../outbox/index.ts';

/** Who is signed in on this device, also while the server is out of reach. */
export const useSession = defineStore('session', () => {
  const session = ref<Session>();
  const outbox = useOutbox();
  let loaded = false;

  const open = async (found: Session): Promise<void> => {
    const before = await kept('session');
    // The data on a device belongs to one person.
    if (before && before.person.id !== found.person.id) await forgetPerson();
    await keep('session', found);
    session.value = found;
    await outbox.openFor(found.person.id);
  };

  const fromServer = async (): Promise<Session | undefined> => {
    try {
      return await ask<Session>('GET', '/api/session');
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

  const signIn = async (email: string, password: string): Promise<void> => {
    await ask('POST', '/api/session', { email, password });
    await open(await ask<Session>('GET', '/api/session'));
    loaded = true;
  };

  const firstAccount = async (given: Record<string, string>): Promise<void> => {
    await ask('POST', '/api/first-account', given);
    await open(await ask<Session>('GET', '/api/session'));
    loaded = true;
  };

  /** Signs out and takes this person's data off the device. */
  const signOut = async (): Promise<void> => {
    await ask('DELETE', '/api/session');
    outbox.close();
    await forgetPerson();
    session.value = undefined;
  };

  const system = computed(() => session.value?.yard.system ?? 'us');
  const mayWrite = computed(() =>
    ['manager', 'specialist', 'technician'].includes(session.value?.person.role ?? ''),
  );
  return { session, system, mayWrite, load, signIn, firstAccount, signOut };
});
