<script setup lang="ts">
import type { YardUnit } from '@fair-gable/core/unit/record';
import { computed, onMounted, ref } from 'vue';
import type { WalkLog, WalkPlan } from '@fair-gable/core/show/walk';
import type { Buyer } from '@fair-gable/core/yard/follow-up';
import { useSession } from '../../base/session/session.ts';
import { useBuyers } from './buyers.ts';
import BuyerForm from './BuyerForm.vue';
import FollowUps from './FollowUps.vue';
import LetterForm from './LetterForm.vue';

/** All that comes after a walk: what is left to do, for whom it was, what is written to them. */
const props = defineProps<{ unit: YardUnit; plan: WalkPlan; log: WalkLog }>();
const session = useSession();
const buyers = useBuyers();
const maySee = computed(() => session.may('see-buyers'));
onMounted(() => {
  if (maySee.value) void buyers.load();
});
const kept = computed(() => buyers.of(props.plan.id).value);
const name = (buyer: Buyer): Promise<void> => buyers.name(props.plan.id, buyer);
const list = ref<InstanceType<typeof FollowUps>>();
</script>

<template>
  <FollowUps ref="list" :plan="plan" :log="log" />
  <template v-if="maySee">
    <p v-if="buyers.problem.value" class="wrong" role="alert">{{ buyers.problem.value }}</p>
    <BuyerForm v-if="buyers.all.value" :kept="kept" :name="name" :place="`walk.${plan.id}.buyer`" />
    <LetterForm
      v-if="kept"
      :unit="unit"
      :plan="plan"
      :log="log"
      :buyer="kept.buyer"
      :follow-ups="list?.list ?? []"
    />
  </template>
</template>
