<script setup lang="ts">
import { knownBy, type HowKnown } from '@fair-gable/core/unit/catalog';
import EvidenceMark from './EvidenceMark.vue';

/** Says how a value is known: six marks as one choice. */
defineProps<{ name: string }>();
const how = defineModel<HowKnown>({ required: true });
</script>

<template>
  <fieldset class="how">
    <legend class="small soft">How do you know?</legend>
    <label
      v-for="row in knownBy"
      :key="row.key"
      :title="`${row.word} (Alt+${row.letter.toUpperCase()})`"
      :class="{ chosen: how === row.key }"
    >
      <input v-model="how" type="radio" :name="name" :value="row.key" class="visually-hidden" />
      <EvidenceMark :how="row.key" bare />
      <span>{{ row.label }}</span>
    </label>
  </fieldset>
</template>

<style scoped>
.how {
  display: grid;
  grid-template-columns: repeat(6, 1fr);
  gap: 6px;
  margin: 0;
  padding: 0;
  border: 0;
}

legend {
  padding: 0 0 4px;
}

label {
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 6px;
  min-height: 40px;
  padding: 2px 6px;
  border: 1px solid var(--edge);
  border-radius: 5px;
  background: var(--leaf);
  cursor: pointer;
}

label.chosen {
  border: 2px solid var(--ink);
  font-weight: 700;
}

label:has(:focus-visible) {
  outline: 3px solid var(--water);
  outline-offset: 2px;
}

@media (width < 760px) {
  .how {
    grid-template-columns: repeat(3, 1fr);
  }

  label {
    min-height: var(--thumb);
  }
}
</style>
