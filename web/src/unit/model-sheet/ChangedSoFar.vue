<script setup lang="ts">
import { computed } from 'vue';
import type { ModelSheet } from '@fair-gable/core/unit/model-sheet';
import { useSession } from '../../base/session/session.ts';
import { changesOfSheet } from './changes.ts';

/** What a draft of a sheet changes: old and new, before anybody keeps it. */
const props = defineProps<{ from: ModelSheet; to: ModelSheet }>();
const session = useSession();
const lines = computed(() => changesOfSheet(props.from, props.to, session.system));
</script>

<template>
  <section class="so-far" aria-labelledby="so-far">
    <h2 id="so-far">{{ lines.length === 0 ? 'Nothing changed so far' : 'Changed so far' }}</h2>
    <ul>
      <li v-for="line in lines" :key="line">{{ line }}</li>
    </ul>
  </section>
</template>

<style scoped>
.so-far {
  padding: 12px 24px;
  border-bottom: 1px solid var(--hairline);
}

h2 {
  font-size: 18px;
}
</style>
