<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed, onMounted, watch } from 'vue';
import type { WalkLog, WalkPlan } from '@fair-gable/core/show/walk';
import { dueBy, proposedFollowUps } from '@fair-gable/core/yard/follow-up';
import { useClock } from '../../base/clock/index.ts';
import { useDraft } from '../../base/draft/index.ts';
import { useSession } from '../../base/session/session.ts';
import FollowUpRow from './FollowUpRow.vue';
import { useFollowUps } from './follow-ups.ts';

/** What one walk leaves to do: proposed from what was marked, kept by a tap, and whatever else one adds. */
const props = defineProps<{ plan: WalkPlan; log: WalkLog }>();
const session = useSession();
const followUps = useFollowUps(() => props.plan.id);
const { list, loaded, problem, busy, load, keep, drop } = followUps;
onMounted(load);
watch(() => props.plan.id, load);

const mayWrite = computed(() => session.may('record'));
const clock = useClock();
const proposed = computed(() => {
  const had = new Set(list.value.map(({ id }) => id));
  return proposedFollowUps(props.plan, props.log, clock.today).filter(({ id }) => !had.has(id));
});
const takeAll = async (): Promise<void> => {
  for (const one of proposed.value) {
    if (!(await keep({ ...one, who: session.session?.person.name ?? '' }))) return;
  }
};

const { draft, keepWith } = useDraft({
  place: () => `walk.${props.plan.id}.follow-up`,
  what: () => 'Something else to do',
  fresh: () => ({ text: '' }),
});
const add = (): Promise<boolean> =>
  keepWith(() =>
    keep({
      id: crypto.randomUUID(),
      walk: props.plan.id,
      unit: props.plan.unit,
      kind: 'call',
      text: draft.value.text.trim(),
      due: dueBy('call', clock.today),
      who: session.session?.person.name ?? '',
    }),
  );
defineExpose({ list });
</script>

<template>
  <section aria-labelledby="follow-ups-title">
    <h3 id="follow-ups-title">To follow up</h3>
    <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
    <p v-if="!loaded && !problem" class="soft">Opening…</p>
    <div v-if="loaded && mayWrite && proposed.length" class="proposed">
      <p>From this walk: {{ proposed.map((one) => one.text).join('; ') }}</p>
      <Button
        :label="
          proposed.length === 1 ? 'Add to the list' : `Add these ${proposed.length} to the list`
        "
        :loading="busy"
        @click="takeAll"
      />
    </div>
    <p v-else-if="loaded && list.length === 0" class="soft">
      Nothing to follow up. What you promise or they ask on the walk shows up here.
    </p>
    <ul>
      <FollowUpRow
        v-for="one in list"
        :key="one.id"
        :follow-up="one"
        :may-write="mayWrite"
        :busy="busy"
        @keep="keep"
        @drop="drop(one)"
      />
    </ul>
    <form v-if="loaded && mayWrite" class="fields" @submit.prevent="add">
      <div class="grow">
        <label for="follow-up-text">Something else to do</label>
        <InputText id="follow-up-text" v-model="draft.text" maxlength="500" autocomplete="off" />
      </div>
      <Button
        type="submit"
        severity="secondary"
        label="Add it"
        :disabled="!draft.text.trim()"
        :loading="busy"
      />
    </form>
  </section>
</template>

<style scoped>
h3 {
  padding: 22px 0 4px;
  border-bottom: 1px solid var(--ink);
  font-size: 16px;
}

.proposed {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
  margin: 10px 0;
  padding-left: 12px;
  border-left: 3px solid var(--amber);
}

.proposed p {
  flex: 1 1 240px;
}

.grow {
  flex: 1 1 240px;
}

.grow :deep(input) {
  width: 100%;
}

form {
  padding-top: 10px;
}
</style>
