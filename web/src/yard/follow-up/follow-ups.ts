import { computed, ref, shallowRef } from 'vue';
import { inDueOrder, type FollowUp, type KeptFollowUp } from '@fair-gable/core/yard/follow-up';
import { ask, saying } from '../../base/api/client.ts';

/** What is left to do, of one walk or of the yard; written to the server as it is changed. */
export const useFollowUps = (walk?: () => string | undefined) => {
  const kept = shallowRef<readonly KeptFollowUp[]>();
  const problem = ref('');
  const busy = ref(false);

  const load = async (): Promise<void> => {
    const of = walk?.();
    try {
      const wanted = of ? { query: { walk: of } } : {};
      kept.value = (await ask('GET /api/follow-ups', wanted)).followUps;
      problem.value = '';
    } catch (error) {
      problem.value = saying(error);
    }
  };

  /** Whatever becomes of it, the list is read again: it shows what the server has. */
  const guarded = async (work: () => Promise<unknown>): Promise<boolean> => {
    busy.value = true;
    let went = '';
    try {
      await work();
    } catch (error) {
      went = saying(error);
    }
    await load();
    busy.value = false;
    problem.value = went || problem.value;
    return went === '';
  };

  const versionOf = (id: string): number =>
    kept.value?.find(({ followUp }) => followUp.id === id)?.version ?? 0;
  const keep = (followUp: FollowUp): Promise<boolean> =>
    guarded(() =>
      ask('PUT /api/follow-ups/:id', {
        params: { id: followUp.id },
        body: { followUp, basedOn: versionOf(followUp.id) },
      }),
    );
  const drop = ({ id }: FollowUp): Promise<boolean> =>
    guarded(() => ask('DELETE /api/follow-ups/:id', { params: { id } }));

  const list = computed(() => inDueOrder(kept.value?.map(({ followUp }) => followUp) ?? []));
  const loaded = computed(() => kept.value !== undefined);
  return { list, loaded, problem, busy, load, keep, drop };
};
