<script setup lang="ts">
import { computed } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import { clock, type WalksSummary } from '@fair-gable/core/show/walk';
import BarsChart from './BarsChart.vue';

/** What many walks have in common, as pictures and as tables. */
const props = defineProps<{ summary: WalksSummary }>();
const most = 8;

const skipped = computed(() =>
  props.summary.skipped.slice(0, most).map(({ label, planned, skipped: n }) => ({
    label,
    values: [planned, n],
  })),
);
const stations = computed(() =>
  props.summary.stations
    .slice(0, most)
    .map(({ label, planned, taken }) => ({ label, values: [planned, taken] })),
);
const pace = computed(() =>
  props.summary.pace.slice(0, 12).map(({ model, planned, walked }, i) => ({
    label: `${i + 1} ${model}`,
    values: [planned, walked],
  })),
);
const cared = computed(() =>
  props.summary.cared.slice(0, 10).map(({ who, label, liked, asked }) => ({
    label: `${who}: ${inText(label)}`,
    values: [liked + asked],
  })),
);
const asked = computed(() =>
  props.summary.asked.slice(0, most).map(({ model, times }) => ({ label: model, values: [times] })),
);
const minutes = (value: number): string => `${Math.round(value)} min`;
</script>

<template>
  <section aria-labelledby="many-title">
    <h2 id="many-title">Over {{ summary.walks }} walks</h2>
    <p class="soft">
      {{ summary.finished }} of them finished; only those show what was left out and how long it
      took.
    </p>
    <p v-if="summary.finished === 0" class="soft">
      Finish a walk, and what was skipped, asked and liked adds up here.
    </p>
    <div v-else class="charts">
      <BarsChart
        v-if="skipped.length"
        label="Most left out"
        :heads="['card', 'planned', 'left out']"
        :rows="skipped"
      />
      <BarsChart
        label="Time at stations"
        :heads="['station', 'planned', 'taken']"
        :rows="stations"
        :format="clock"
      />
      <BarsChart
        label="Pace"
        :heads="['walk', 'planned', 'walked']"
        :rows="pace"
        :format="minutes"
      />
      <BarsChart
        v-if="cared.length"
        label="What people cared about"
        :heads="['who and what', 'liked or asked']"
        :rows="cared"
      />
      <BarsChart
        v-if="asked.length"
        label="Questions by model"
        :heads="['model', 'questions']"
        :rows="asked"
      />
    </div>
    <template v-if="summary.questions.length">
      <h3>What was asked</h3>
      <ul>
        <li v-for="question in summary.questions" :key="`${question.model} ${question.label}`">
          <span>{{ question.model }}</span>
          <span
            >{{ question.label.replace(/[.?!]$/, '')
            }}<template v-if="question.notes.length"
              >: {{ question.notes.map((note) => `“${note}”`).join(' ') }}</template
            ></span
          >
          <span class="soft number">{{ question.times > 1 ? `${question.times} times` : '' }}</span>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
section {
  padding: 18px 24px 50px;
}

h2 {
  font-size: 21px;
}

.charts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 430px), 1fr));
  gap: 26px 48px;
  padding-top: 16px;
}

h3 {
  padding: 26px 0 6px;
  border-bottom: 1px solid var(--ink);
  font-size: 17px;
}

li {
  display: grid;
  grid-template-columns: 150px 1fr auto;
  gap: 14px;
  padding: 8px 0;
  border-bottom: 1px solid var(--hairline);
}

@media (width < 760px) {
  section {
    padding-inline: 16px;
  }

  li {
    grid-template-columns: 1fr;
    gap: 2px;
  }
}
</style>
