<script setup lang="ts">
import KeyList from '../../base/keys/KeyList.vue';

/** The keys, folded away: who has none needs none. */
</script>

<template>
  <section aria-labelledby="keys">
    <h2 id="keys">Keys</h2>
    <details>
      <summary>Every key, and what it does</summary>
      <KeyList />
    </details>
  </section>
</template>

<style scoped>
summary {
  display: list-item;
  align-content: center;
  min-height: var(--thumb);
  cursor: pointer;
}
</style>
