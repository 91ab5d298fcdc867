<script setup lang="ts">
/** A table that is wider than a phone: moved sideways by finger or by key, and never the page with it. */
defineProps<{ label: string }>();
</script>

<template>
  <div class="wide" role="group" tabindex="0" :aria-label="label"><slot /></div>
</template>

<style scoped>
.wide {
  overflow-x: auto;
}
</style>
