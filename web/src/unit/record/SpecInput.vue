<script setup lang="ts">
import InputText from 'primevue/inputtext';
import SelectButton from 'primevue/selectbutton';
import { computed, useId } from 'vue';
import type { System } from '@fair-gable/core/base/quantity';
import type { Spec } from '@fair-gable/core/unit/catalog';
import ChoiceList from '../../base/controls/ChoiceList.vue';
import { vOneTab } from '../../base/controls/one-tab.ts';
import { example, readTyped } from './typing.ts';

/** A spec's value, typed in any usual way and shown back as understood. */
const props = defineProps<{ spec: Spec; system: System; hideLabel?: boolean }>();
const typed = defineModel<string>({ required: true });

const id = useId();
const reading = computed(() => readTyped(props.spec, typed.value, props.system));
const choices = computed(() =>
  props.spec.value.kind === 'choice' ? [...props.spec.value.choices] : [],
);
/** A few short choices lie open; more of them, or longer ones, fold into a list. */
const liesOpen = computed(
  () => choices.value.length <= 4 && choices.value.map((c) => c.label).join('').length <= 36,
);
const placeholder = computed(() => example(props.spec, props.system));
const describedBy = computed(() =>
  reading.value.problem || reading.value.echo ? `${id}-says` : undefined,
);
</script>

<template>
  <div class="input">
    <label :id="`${id}-label`" :for="id" :class="{ 'visually-hidden': hideLabel }">{{
      spec.label
    }}</label>
    <SelectButton
      v-if="choices.length && liesOpen"
      v-model="typed"
      v-one-tab
      :options="choices"
      option-label="label"
      option-value="key"
      :aria-labelledby="`${id}-label`"
    />
    <ChoiceList
      v-else-if="choices.length"
      v-model="typed"
      :choices="choices"
      :aria-labelledby="`${id}-label`"
    />
    <InputText
      v-else
      :id="id"
      v-model="typed"
      autocomplete="off"
      :spellcheck="false"
      :placeholder="placeholder"
      :invalid="reading.problem !== ''"
      :aria-describedby="describedBy"
    />
    <p v-if="reading.problem" :id="`${id}-says`" class="small wrong" role="alert">
      {{ reading.problem }}
    </p>
    <p v-else-if="reading.echo" :id="`${id}-says`" class="small soft">{{ reading.echo }}</p>
  </div>
</template>

<style scoped>
.input {
  display: grid;
  gap: 3px;
}

label {
  font-weight: 600;
  font-size: 15px;
}

.input :deep(.p-inputtext) {
  width: 100%;
  font-size: 18px;
  font-weight: 600;
}

@media (width < 760px) {
  .input :deep(.p-togglebutton) {
    min-width: 72px;
    min-height: var(--thumb);
  }
}
</style>
