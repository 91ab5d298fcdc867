<script setup lang="ts">
import { ArrowRight, EqualNot, TriangleAlert } from '@lucide/vue';
import type { Feature, Spec } from '@fair-gable/core';

/** What a field means, how to check it on the lot, what it is not, and where it can hurt. */
defineProps<{ entry: Spec | Feature }>();
</script>

<template>
  <dl class="help">
    <div>
      <dt class="visually-hidden">What it is</dt>
      <dd>{{ entry.explain }}</dd>
    </div>
    <div>
      <dt>
        <ArrowRight aria-hidden="true" /><span class="visually-hidden">How to check it: </span>
      </dt>
      <dd>{{ entry.check }}</dd>
    </div>
    <div v-if="entry.notToBeConfused">
      <dt class="not">
        <EqualNot aria-hidden="true" /><span class="visually-hidden">Not to be confused: </span>
      </dt>
      <dd>{{ entry.notToBeConfused }}</dd>
    </div>
    <div v-if="entry.caution" class="caution">
      <dt><TriangleAlert aria-hidden="true" /><span class="visually-hidden">Caution: </span></dt>
      <dd>{{ entry.caution }}</dd>
    </div>
  </dl>
</template>

<style scoped>
.help {
  display: grid;
  gap: 2px;
  font-size: 15px;
}

.help > div {
  display: flex;
  gap: 8px;
}

dt {
  flex: none;
}

dt svg {
  width: 18px;
  height: 18px;
  margin-top: 2px;
}

.help > div:first-child dt {
  display: none;
}

.not {
  color: var(--amber);
}

.caution {
  color: var(--brick);
  font-weight: 600;
}
</style>
