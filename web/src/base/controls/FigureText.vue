<script setup lang="ts">
import { computed } from 'vue';

/** A figure with its units set smaller: the number is what is read from afar. */
const props = defineProps<{ text: string }>();

const tokens = computed(() =>
  props.text.split(' ').map((token) => ({ token, isUnit: /^[A-Za-z/³°·]+$/.test(token) })),
);
</script>

<template>
  <span class="figure"
    ><template v-for="(t, i) in tokens" :key="i"
      >{{ i ? ' ' : '' }}<small v-if="t.isUnit">{{ t.token }}</small
      ><template v-else>{{ t.token }}</template></template
    ></span
  >
</template>

<style scoped>
small {
  font-size: 0.72em;
  font-weight: 400;
}
</style>
