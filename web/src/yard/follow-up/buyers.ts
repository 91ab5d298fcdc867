import { computed, shallowRef } from 'vue';
import type { Buyer, KeptBuyer } from '@fair-gable/core/yard/follow-up';
import { ask } from '../../base/api/client.ts';
import { useAttempt } from '../../base/attempt/index.ts';

/** The buyers whose names this yard keeps, for those who may see them. */
export const useBuyers = () => {
  const all = shallowRef<readonly KeptBuyer[]>();
  const { problem, attempt } = useAttempt();

  const load = (): Promise<boolean> =>
    attempt(async () => {
      all.value = (await ask('GET /api/buyers')).buyers;
    });
  const of = (walk: string) => computed(() => all.value?.find(({ walks }) => walks.includes(walk)));

  /** Says for whom a walk was given, and keeps their name. @throws Refused, NoNetwork */
  const name = async (walk: string, buyer: Buyer): Promise<void> => {
    await ask('PUT /api/buyers/:id', { params: { id: buyer.id }, body: buyer });
    await ask('PUT /api/walks/:id/buyer', { params: { id: walk }, body: { buyer: buyer.id } });
    await load();
  };

  /** All that is kept of somebody. @throws Refused, NoNetwork */
  const everything = (id: string): Promise<unknown> =>
    ask('GET /api/buyers/:id', { params: { id } });

  /** @throws Refused, NoNetwork */
  const forget = async (id: string): Promise<void> => {
    await ask('DELETE /api/buyers/:id', { params: { id } });
    await load();
  };
  return { all, problem, load, of, name, everything, forget };
};
