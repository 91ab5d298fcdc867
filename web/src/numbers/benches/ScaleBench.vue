<script setup lang="ts">
import { load, scale } from '@fair-gable/core/numbers/trial';
import Button from 'primevue/button';
import { inText } from '@fair-gable/core/base/words';
import { formatQuantity } from '@fair-gable/core/base/quantity';
import { scaleProblem } from '@fair-gable/core/numbers/weight';
import { computed } from 'vue';
import QuantityField from '../../base/controls/QuantityField.vue';
import { without } from '../../base/controls/without.ts';
import { useSession } from '../../base/session/session.ts';
import type { BenchEmits, BenchProps } from './bench.ts';
import AnswerFoot from './AnswerFoot.vue';
import { standInScale, weighings, type Weighing } from './devices.ts';
import LimitBars from './LimitBars.vue';

/** Three weighings on a public scale; what they say is used for the vehicle and the tires from then on. */
const props = defineProps<BenchProps>();
const emit = defineEmits<BenchEmits>();
const session = useSession();
/** Whether the stand-in is offered; it weighs what was worked out. */
const demo = computed(() => session.session?.yard.demo ?? false);
const worked = computed(() => props.asking.of(load.work));
const outcome = computed(() => props.asking.of(scale.work));

const rows = [
  { key: 'vehicle', label: 'The vehicle alone', hint: 'all its axles, everybody in it' },
  { key: 'together', label: 'Vehicle and trailer', hint: 'all axles of both, spring bars off' },
  { key: 'trailerAxles', label: 'The trailer’s axles', hint: 'hitched, the vehicle off the scale' },
] as const;

const put = (key: Weighing, pounds: number | undefined): void => {
  const rest = without(props.trial.weighings, key);
  emit('set', { weighings: pounds === undefined ? rest : { ...rest, [key]: pounds } });
};
const contradiction = computed(() => {
  const { vehicle, together, trailerAxles } = props.trial.weighings;
  return scaleProblem({
    ...(vehicle ? { vehicle } : {}),
    ...(together ? { together } : {}),
    ...(trailerAxles ? { trailerAxles } : {}),
  });
});
const standIn = computed(() => {
  const { value } = worked.value;
  if (!demo.value || !value?.axles || value.axles <= 0) return undefined;
  const { vehicle, aboard, hardware } = props.trial;
  const curb = vehicle.figures.curb?.amount ?? 5000;
  return standInScale(props.unit ?? '', {
    vehicle: curb + aboard + hardware,
    total: value.total,
    axles: value.axles,
  });
});
const next = computed(() => weighings.find((key) => props.trial.weighings[key] === undefined));
const nextLabel = computed(() => inText(rows.find(({ key }) => key === next.value)?.label ?? ''));
const weigh = (): void => {
  if (next.value && standIn.value) put(next.value, standIn.value.weigh(next.value));
};
const show = (pounds: number): string => formatQuantity(pounds, 'weight', props.system);
</script>

<template>
  <div class="bench">
    <ol class="tickets">
      <li v-for="row in rows" :key="row.key">
        <QuantityField
          :label="row.label"
          display="weight"
          :system="system"
          placeholder="from the ticket"
          :most="100_000"
          :objection="contradiction?.field === row.key ? contradiction.sentence : undefined"
          :model-value="trial.weighings[row.key]"
          @update:model-value="(to) => put(row.key, to)"
        />
        <p class="small soft">{{ row.hint }}</p>
      </li>
    </ol>
    <p class="fields">
      <Button
        v-if="standIn && next"
        :label="`Weigh ${nextLabel}`"
        severity="secondary"
        @click="weigh"
      />
      <span v-if="standIn && next" class="small soft"
        >a stand-in for a public scale, in the demo only</span
      >
      <Button
        v-if="Object.keys(trial.weighings).length"
        severity="secondary"
        text
        label="Weigh again"
        @click="emit('set', { weighings: {} })"
      />
    </p>
    <LimitBars
      v-if="outcome.value"
      :limits="outcome.value.limits"
      :first="undefined"
      :system="system"
    />
    <p v-if="outcome.value && worked.value" class="large">
      We figured <span class="number">{{ show(worked.value.total) }}</span>, weighed
      <strong class="number">{{ show(outcome.value.total) }}</strong>
    </p>
    <AnswerFoot :outcome="outcome" :unit="unit" />
    <p class="small caution">
      Chock the wheels, keep clear of the coupler, and never weigh on a slope. If it’s over a
      rating, don’t tow it: unload first.
    </p>
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
  max-width: 820px;
}

.tickets {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 220px), 1fr));
  gap: 12px 20px;
}

.large {
  font: 500 18px var(--slab);
}

.caution {
  color: var(--brick);
}
</style>
