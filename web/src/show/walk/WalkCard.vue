<script setup lang="ts">
import { ArrowRight, EqualNot, RefreshCw, TriangleAlert } from '@lucide/vue';
import type { Point } from '@fair-gable/core/show/cards';
import FigureText from '../../base/controls/FigureText.vue';
import EvidenceMark from '../../base/evidence/EvidenceMark.vue';

/** One thing to say, large enough to read at arm's length; its numbers, what to show, what it is not. */
defineProps<{
  point: Point;
  place: string;
  /** What was planned to be said, where the record has changed since. */
  was?: string | undefined;
  /** The record no longer has it. */
  gone?: boolean | undefined;
}>();
</script>

<template>
  <article class="card" aria-live="polite">
    <p class="soft place">
      {{ place }}<EvidenceMark v-if="point.how" class="how" :how="point.how" />
    </p>
    <p v-if="gone" class="news" role="status">
      <TriangleAlert aria-hidden="true" /><span
        >The record no longer has this. Don’t mention it until you’ve checked.</span
      >
    </p>
    <p v-else-if="was" class="news" role="status">
      <RefreshCw aria-hidden="true" /><span>Changed since you planned it; it was: {{ was }}</span>
    </p>
    <p v-else-if="point.changed" class="news" role="status">
      <RefreshCw aria-hidden="true" /><span
        >The record has changed since we wrote this. It now says: {{ point.changed }}</span
      >
    </p>
    <p v-if="point.asked" class="asked">{{ point.asked }}</p>
    <h1 :class="{ gone }">
      {{ point.sentence }}
    </h1>
    <dl v-if="point.numbers.length" class="numbers">
      <div v-for="number in point.numbers" :key="number.label">
        <dt>
          <EvidenceMark :how="number.how" />
          {{ number.label }}
        </dt>
        <dd v-if="number.text">
          <FigureText :text="number.text" />
        </dd>
        <dd v-else class="unknown">? <small>do not say</small></dd>
      </div>
    </dl>
    <p v-if="point.caution" class="line caution">
      <TriangleAlert aria-hidden="true" /><span
        ><span class="visually-hidden">Caution: </span>{{ point.caution }}</span
      >
    </p>
    <p v-if="point.show" class="line">
      <ArrowRight aria-hidden="true" /><span
        ><span class="visually-hidden">Show: </span>{{ point.show }}</span
      >
    </p>
    <p v-if="point.not" class="line not">
      <EqualNot aria-hidden="true" /><span
        ><span class="visually-hidden">Easily confused: </span>{{ point.not }}</span
      >
    </p>
  </article>
</template>

<style scoped>
.card {
  padding: 10px 18px;
}

.place .how {
  margin-left: 10px;
  vertical-align: -3px;
}

.place {
  font-size: 16px;
}

h1 {
  padding: 4px 0 12px;
  font-size: clamp(24px, 6.9vw, 32px);
  line-height: 1.22;
}

h1.gone {
  text-decoration: line-through;
  text-decoration-thickness: 2px;
}

.asked {
  font-size: 19px;
  font-style: italic;
}

.news {
  display: flex;
  gap: 12px;
  margin: 6px 0;
  padding: 8px 12px;
  border: 2px solid var(--amber);
  border-radius: 6px;
  font-size: 17px;
}

.news svg {
  flex: none;
  width: 22px;
  height: 22px;
  color: var(--amber);
}

.numbers {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 22px;
  padding: 10px 0;
  border-top: 1px solid var(--hairline);
}

.numbers > div {
  display: flex;
  flex-direction: column-reverse;
}

dt {
  display: flex;
  align-items: center;
  gap: 6px;
  font-size: 16px;
  color: var(--soft);
}

dd {
  font-size: 27px;
  font-weight: 700;
  line-height: 1.2;
}

.unknown {
  font-style: italic;
}

small {
  font-size: 16px;
  font-weight: 400;
}

.line {
  display: flex;
  gap: 12px;
  padding: 9px 2px;
  border-top: 1px solid var(--hairline);
  font-size: 18px;
}

.line svg {
  flex: none;
  width: 22px;
  height: 22px;
  margin-top: 2px;
}

.caution {
  color: var(--brick);
  font-weight: 600;
}

.not svg {
  color: var(--amber);
}
</style>
