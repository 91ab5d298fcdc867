<script setup lang="ts">
import { keyGroups } from './keys.ts';

/** All keys, by the place where they are pressed. */
</script>

<template>
  <div class="keys">
    <section v-for="group in keyGroups" :key="group.place">
      <h3>{{ group.place }}</h3>
      <dl>
        <div v-for="row in group.rows" :key="row.does">
          <dt>
            <kbd v-for="key in row.keys" :key="key">{{ key }}</kbd>
          </dt>
          <dd>{{ row.does }}</dd>
        </div>
      </dl>
    </section>
  </div>
</template>

<style scoped>
.keys {
  columns: 2 320px;
  column-gap: 36px;
}

section {
  break-inside: avoid;
  padding-bottom: 16px;
}

h3 {
  font: 600 16px var(--slab);
}

dl > div {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr);
  gap: 10px;
  align-items: baseline;
  padding: 5px 0;
  border-bottom: 1px solid var(--hairline);
}

dt {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
</style>
