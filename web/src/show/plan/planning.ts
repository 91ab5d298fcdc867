import {
  computed,
  onScopeDispose,
  ref,
  shallowRef,
  toRaw,
  watch,
  type ComputedRef,
  type Ref,
} from 'vue';
import type { Point } from '@fair-gable/core/show/cards';
import {
  chosenFor,
  questionsShare,
  usualWishes,
  type ChosenFor,
  type PlannedWalk,
  type PlanWish,
  type Wishes,
} from '@fair-gable/core/show/plan';
import type { UnitRecord } from '@fair-gable/core/unit/record';
import { routesOf, usualRoute, type Route } from '@fair-gable/core/unit/route';
import { useTried } from '../../base/draft/index.ts';
import { useSession } from '../../base/session/session.ts';
import { walkWorker } from './worker.ts';

export interface Planning {
  readonly wishes: ComputedRef<Wishes>;
  readonly set: (wishes: Wishes) => void;
  readonly routes: ComputedRef<readonly Route[]>;
  readonly route: ComputedRef<Route>;
  readonly plan: Ref<PlannedWalk | undefined>;
  /** How it differs from the walk for nobody in particular; nothing where it is for nobody in particular. */
  readonly changes: Ref<ChosenFor | undefined>;
  /** Whether a newer plan is on its way. */
  readonly busy: Ref<boolean>;
  readonly problem: Ref<string>;
}

/** The plan of a walk for what is wished, worked out beside the page and again whenever something changes. */
export const usePlanning = (
  unit: () => string,
  record: () => UnitRecord,
  points: () => readonly Point[],
): Planning => {
  const session = useSession();
  const tried = useTried(
    () => `plan.${unit()}`,
    () => usualWishes,
  );
  const wishes = tried.value;

  const routes = computed(() => routesOf(session.session?.yard.routes ?? []));
  const route = computed(
    () => routes.value.find(({ key }) => key === wishes.value.route) ?? usualRoute,
  );

  const plan = shallowRef<PlannedWalk>();
  const changes = shallowRef<ChosenFor>();
  const busy = ref(false);
  const problem = ref('');
  let asked = 0;
  const stop = watch(
    [wishes, route, points, record],
    async () => {
      const mine = ++asked;
      busy.value = true;
      const { minutes, audiences, ready, pinned, dropped } = wishes.value;
      const wish: PlanWish = {
        listeners: audiences.map((audience) => ({ audience, weight: 1 })),
        available: Math.round(minutes * 60 * (1 - questionsShare)),
        route: plain(route.value),
        ready: [...ready],
        pinned: new Set(pinned),
        dropped: new Set(dropped),
        pace: session.pace,
        operates: session.may('operate'),
      };
      try {
        const [unit, cards] = [plain(record()), plain(points())];
        const made = await walkWorker().planCards(unit, cards, wish);
        // Of two that are asked one after the other only the later counts.
        if (mine === asked) plan.value = made;
        const anybody =
          audiences.length > 0
            ? await walkWorker().planCards(unit, cards, { ...wish, listeners: [] })
            : undefined;
        if (mine === asked) changes.value = anybody && chosenFor(made, anybody);
        problem.value = '';
      } catch {
        problem.value = 'The plan couldn’t be made. Change something, or reload the page.';
      } finally {
        if (mine === asked) busy.value = false;
      }
    },
    { immediate: true },
  );
  onScopeDispose(stop);
  return { wishes, set: tried.set, routes, route, plan, changes, busy, problem };
};

/** What Vue watches cannot be handed to a worker; what it stands for can. */
const plain = <T extends object>(of: T): T => JSON.parse(JSON.stringify(toRaw(of))) as T;
