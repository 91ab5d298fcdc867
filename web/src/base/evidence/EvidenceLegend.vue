<script setup lang="ts">
import { knownBy } from '@fair-gable/core/unit/catalog';
import EvidenceMark from './EvidenceMark.vue';
</script>

<template>
  <ul class="legend small soft" aria-label="How values are known">
    <li v-for="row in knownBy" :key="row.key">
      <EvidenceMark :how="row.key" bare /> {{ row.word }}
    </li>
    <li><EvidenceMark :how="undefined" bare /> not known</li>
  </ul>
</template>

<style scoped>
.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  padding-top: 22px;
}

li {
  display: flex;
  align-items: center;
  gap: 5px;
}
</style>
