<script setup lang="ts">
import Button from 'primevue/button';
import { computed, provide } from 'vue';
import { questionOf } from '@fair-gable/core/numbers/trial';
import { specEntry } from '@fair-gable/core/unit/catalog';
import QuantityField from '../../base/controls/QuantityField.vue';
import { useSession } from '../../base/session/session.ts';
import SpecInput from '../../unit/record/SpecInput.vue';
import { enterField } from './enter.ts';
import NumbersDesk from './NumbersDesk.vue';
import { useTrial } from './trial.ts';
import { useWalkIn } from './walk-in.ts';

/** A question of somebody who walks in, about a trailer that is not on this yard: figures in, answers out. */
defineProps<{ question?: string | undefined }>();
const session = useSession();
const { record, typed, type, axle, setAxle, clear } = useWalkIn();
const { trial, set, reset } = useTrial(() => 'walk-in');
const to = (question: string) => ({ name: 'walk-in', params: { question } });

const idOf = (field: string): string => `walk-in-${field}`;

provide(enterField, (field: string) => {
  const entry = document.getElementById(idOf(field));
  entry?.scrollIntoView({ block: 'center' });
  entry?.querySelector<HTMLElement>('input, [role="combobox"], button')?.focus();
});
const any = computed(() => Object.keys(typed.value).length > 0 || axle.value !== undefined);
const anew = (): void => {
  clear();
  reset();
};
</script>

<template>
  <div>
    <header class="page-head">
      <h1>Numbers</h1>
      <p class="soft">for a trailer that isn’t on this yard; what you enter counts as told</p>
      <Button
        v-if="any"
        class="onward"
        severity="secondary"
        text
        label="Start over"
        @click="anew"
      />
    </header>
    <NumbersDesk
      :record="record"
      :trial="trial"
      :question="question"
      :to="to"
      @set="set"
      @reset="reset"
    >
      <template #above="{ question: here }">
        <div class="told" role="group" aria-label="What you were told about it">
          <div v-for="key in questionOf(here).asks" :id="idOf(`specs.${key}`)" :key="key">
            <SpecInput
              :spec="specEntry(key)"
              :system="session.system"
              :model-value="typed[key] ?? ''"
              @update:model-value="(to) => type(key, to)"
            />
          </div>
          <div v-if="questionOf(here).asksAxle" :id="idOf('places.axleRating')">
            <QuantityField
              label="Coupler to axles"
              display="feet"
              :system="session.system"
              :least="12"
              :most="720"
              placeholder="their middle"
              :model-value="axle"
              @update:model-value="setAxle"
            />
          </div>
        </div>
      </template>
    </NumbersDesk>
  </div>
</template>

<style scoped>
.told {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 200px), 1fr));
  gap: 10px 18px;
  margin-bottom: 18px;
  padding: 12px 0 16px;
  border-block: var(--line) solid var(--hairline);
}

@media (width < 760px) {
  .told {
    grid-template-columns: repeat(2, minmax(0, 1fr));
    gap: 8px 12px;
  }
}
</style>
