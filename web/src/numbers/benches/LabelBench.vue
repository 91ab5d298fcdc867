<script setup lang="ts">
import { label } from '@fair-gable/core/numbers/trial';
import { formatQuantity } from '@fair-gable/core/base/quantity';
import { explanationWords } from '@fair-gable/core/unit/cargo-label';
import { hasFeature } from '@fair-gable/core/unit/record';
import { computed } from 'vue';
import type { BenchEmits, BenchProps } from './bench.ts';
import AnswerFoot from './AnswerFoot.vue';

/** Whether the capacity on the label follows from the weights, what explains it, and how far its line is. */
const props = defineProps<BenchProps>();
defineEmits<BenchEmits>();
const outcome = computed(() => props.asking.of(label.work));
const show = (pounds: number): string => formatQuantity(pounds, 'weight', props.system);
const value = computed(() => outcome.value.value);
const fitted = computed(() => (value.value?.line ?? 0) - (value.value?.toLine ?? 0));
const share = computed(() => Math.min(fitted.value / (value.value?.line ?? 1), 1));
/** What would explain the gap; two of the same size are both told. */
const explained = computed(() => explanationWords(value.value?.explained ?? [], show));
const corrected = computed(() => hasFeature(props.record, 'weightCorrection'));
</script>

<template>
  <div class="bench">
    <dl v-if="value" class="sums">
      <div>
        <dt>GVWR minus UVW</dt>
        <dd class="number">{{ show(value.left) }}</dd>
      </div>
      <div>
        <dt>The label says</dt>
        <dd class="number">{{ show(value.left - value.difference) }}</dd>
      </div>
      <div :class="{ wrong: !value.agrees && !explained }">
        <dt>Difference</dt>
        <dd>
          <span class="number">{{ show(Math.abs(value.difference)) }}</span>
          {{ value.agrees ? 'within rounding' : explained || 'nothing usual explains it' }}
        </dd>
      </div>
      <div>
        <dt>Rule</dt>
        <dd>{{ value.rule }}, from memory</dd>
      </div>
    </dl>
    <figure v-if="value?.line !== undefined && value.toLine !== undefined">
      <figcaption>
        Added here: <strong class="number">{{ show(fitted) }}</strong> of
        {{ show(value.line) }} before the label needs a correction<template v-if="corrected"
          >; it’s been corrected</template
        >
      </figcaption>
      <div class="bar" :class="{ over: value.toLine < 0 }" aria-hidden="true">
        <span :style="{ width: `${share * 100}%` }"></span>
      </div>
      <RouterLink v-if="unit" :to="{ name: 'aboard', params: { id: unit } }"
        >What we added here</RouterLink
      >
    </figure>
    <AnswerFoot :outcome="outcome" :unit="unit" />
    <p class="small caution">
      The seller corrects the label by the rule in force. Don’t load by a sum from this page; go by
      the label on the trailer.
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

.sums > div {
  display: grid;
  grid-template-columns: minmax(150px, 0.5fr) minmax(0, 1fr);
  gap: 12px;
  padding: 6px 0;
  border-bottom: var(--line) solid var(--hairline);
}

figure {
  display: grid;
  gap: 6px;
  margin: 0;
}

.bar {
  height: 14px;
  background: var(--sand);
}

.bar > span {
  display: block;
  height: 100%;
  background: var(--spruce);
}

.over > span {
  background: repeating-linear-gradient(-45deg, var(--brick) 0 5px, transparent 5px 8px);
}

figure a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}

.caution {
  color: var(--brick);
}
</style>
