import { computed, shallowRef } from 'vue';
import { inDueOrder, type FollowUp, type KeptFollowUp } from '@fair-gable/core/yard/follow-up';
import { ask } from '../../base/api/client.ts';
import { useAttempt } from '../../base/attempt/index.ts';

/** What is left to do, of one walk or of the yard; written to the server as it is changed. */
export const useFollowUps = (walk?: () => string | undefined) => {
  const kept = shallowRef<readonly KeptFollowUp[]>();
  const reading = useAttempt();
  const writing = useAttempt();
  const problem = computed(() => writing.problem.value || reading.problem.value);

  const load = (): Promise<boolean> =>
    reading.attempt(async () => {
      const of = walk?.();
      const wanted = of ? { query: { walk: of } } : {};
      kept.value = (await ask('GET /api/follow-ups', wanted)).followUps;
    });

  /** Whatever becomes of it, the list is read again: it shows what the server has. */
  const attempt = (work: () => Promise<unknown>): Promise<boolean> =>
    writing.attempt(() => work().finally(load));

  const versionOf = (id: string): number =>
    kept.value?.find(({ followUp }) => followUp.id === id)?.version ?? 0;
  const keep = (followUp: FollowUp): Promise<boolean> =>
    attempt(() =>
      ask('PUT /api/follow-ups/:id', {
        params: { id: followUp.id },
        body: { followUp, basedOn: versionOf(followUp.id) },
      }),
    );
  const drop = ({ id }: FollowUp): Promise<boolean> =>
    attempt(() => ask('DELETE /api/follow-ups/:id', { params: { id } }));

  const list = computed(() => inDueOrder(kept.value?.map(({ followUp }) => followUp) ?? []));
  const loaded = computed(() => kept.value !== undefined);
  return { list, loaded, problem, busy: writing.busy, load, keep, drop };
};
