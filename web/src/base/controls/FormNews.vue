<script setup lang="ts">
/** What became of a form. */
defineProps<{ done: string; problem: string }>();
</script>

<template>
  <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
  <p v-else-if="done" class="good" role="status">{{ done }}</p>
</template>

<style scoped>
.good {
  color: var(--spruce);
}
</style>
