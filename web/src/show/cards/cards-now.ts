import { isAbout } from '@fair-gable/core/show/about';
import { computed, onMounted, type ComputedRef } from 'vue';
import { pointsOf, type Point } from '@fair-gable/core/show/cards';
import { cardNow, faultsSince, type CardNow, type WalkPlan } from '@fair-gable/core/show/walk';
import { useSheets } from '../../unit/model-sheet/sheets.ts';
import { useSession } from '../../base/session/session.ts';
import { useRecordOf } from '../../unit/units/record.ts';
import { usePresenting } from '../plan/presenting.ts';

export interface CardsNow {
  /** A card as the record has it at this moment; as planned while the record is not here. */
  readonly now: ComputedRef<CardNow | undefined>;
  /** Faults that were found since the walk was planned. */
  readonly faults: ComputedRef<readonly Point[]>;
  /** What people say of the model, with the honest answers; also those that the plan left out. */
  readonly answers: ComputedRef<readonly Point[]>;
}

/** What may be said of the unit of a walk at this moment, whatever was planned. */
export const useCardsNow = (
  plan: () => WalkPlan | undefined,
  point: () => Point | undefined,
): CardsNow => {
  const sheets = useSheets();
  const session = useSession();
  const presenting = usePresenting();
  onMounted(() => {
    if (!sheets.loaded) void sheets.load();
  });

  // The list of units is another whenever something is sent; a record is not, so that a tap does not word all cards anew.
  const record = useRecordOf(() => plan()?.unit);
  const system = computed(() => plan()?.about?.system ?? session.system);
  const all = computed(() => {
    if (!record.value || !sheets.loaded) return undefined;
    return pointsOf(record.value, presenting(record.value, system.value));
  });
  const now = computed(() => {
    const card = point();
    if (!card) return undefined;
    return all.value ? cardNow(card, all.value) : { point: card };
  });
  const faults = computed(() => {
    const planned = plan();
    return planned && all.value ? faultsSince(planned, all.value) : [];
  });
  const answers = computed(() => all.value?.filter((point) => isAbout('objection', point)) ?? []);
  return { now, faults, answers };
};
