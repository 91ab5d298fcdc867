<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import SelectButton from 'primevue/selectbutton';
import { onMounted, ref } from 'vue';
import type { System } from '@fair-gable/core/base/quantity';
import { wears, wellStates, wheelStates } from '@fair-gable/core/unit/catalog';
import type { WheelOn } from '@fair-gable/core/unit/condition';
import type { Change, UnitRecord } from '@fair-gable/core/unit/record';
import { useClock } from '../../base/clock/index.ts';
import { vOneTab } from '../../base/controls/one-tab.ts';
import { useDraft } from '../../base/draft/index.ts';
import PhotoStrip from '../photo/PhotoStrip.vue';
import { wheelAsTyped, wheelChanges, wheelFields } from './typed-wheel.ts';

/** One wheel while it is typed. */
const props = defineProps<{
  unit: string;
  record: UnitRecord;
  on: WheelOn;
  system: System;
  /** Keeps it; false where that was refused. */
  keep: (changes: readonly Change[]) => Promise<boolean>;
  /** What was said against the last try. */
  refusal: string;
}>();
const emit = defineEmits<{ leave: [] }>();

const { draft, isTyped, clear, keepWith } = useDraft({
  place: () => `${props.unit}.wheels.${props.on.key}`,
  what: () => `Wheel, ${props.on.label}`,
  fresh: () => wheelAsTyped(props.record, props.on, props.system),
  typed: ({ basedOn: _, dateBasedOn: __, ...rest }) => rest,
});
const problem = ref('');
const form = ref<HTMLFormElement>();
onMounted(() => form.value?.querySelector('input')?.focus());

const choices = [
  { key: 'wear', label: 'Worn', options: [...wears] },
  { key: 'well', label: 'Wheel well', options: [...wellStates] },
  { key: 'wheel', label: 'Wheel', options: [...wheelStates] },
] as const;

const keepTyped = (): void => {
  const { today } = useClock();
  const changes = wheelChanges(draft.value, {
    record: props.record,
    key: props.on.key,
    system: props.system,
    today,
  });
  problem.value = typeof changes === 'string' ? changes : '';
  if (typeof changes !== 'string') void keepWith(() => props.keep(changes));
};
</script>

<template>
  <form ref="form" class="body fields" @submit.prevent="keepTyped" @keydown.esc="emit('leave')">
    <div v-for="{ key, label, ...more } in wheelFields" :key="key">
      <label :for="`${on.key}-${key}`">{{ label }}</label>
      <InputText :id="`${on.key}-${key}`" v-model="draft[key]" v-bind="more" />
    </div>
    <div v-for="choice in choices" :key="choice.key" class="wide">
      <span :id="`${on.key}-${choice.key}`" class="label">{{ choice.label }}</span>
      <SelectButton
        v-model="draft.chosen[choice.key]"
        v-one-tab
        :options="[...choice.options]"
        option-label="label"
        option-value="key"
        :aria-labelledby="`${on.key}-${choice.key}`"
      />
    </div>
    <div class="wide">
      <label :for="`${on.key}-note`">In a few words</label>
      <InputText :id="`${on.key}-note`" v-model="draft.note" maxlength="300" />
    </div>
    <p v-if="problem || refusal" class="wide wrong" role="alert">{{ problem || refusal }}</p>
    <Button type="submit" label="Save, next wheel" />
    <Button v-if="isTyped" type="button" severity="secondary" label="Cancel" @click="clear" />
    <PhotoStrip :unit="unit" :record="record" :target="`wheels.${on.key}`" may-write />
  </form>
</template>

<style scoped>
.body {
  padding: 4px 24px 18px;
}

.body :deep(.short) {
  width: 6.5rem;
}

@media (width < 760px) {
  .body {
    padding-inline: 16px;
  }

  .body :deep(.p-togglebutton) {
    min-height: var(--thumb);
  }
}
</style>
