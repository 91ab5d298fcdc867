<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { useAttempt } from '../../base/attempt/index.ts';
import { useDrafts } from '../../base/draft/index.ts';
import { useOutbox } from '../../base/device/index.ts';
import { useNews } from '../../base/controls/news.ts';
import { useEdits } from './edits.ts';

/**
 * Whether everything is saved, always true; what wants a decision, what was typed and not kept; and the last change, to be
 * taken back.
 */
const edits = useEdits();
const outbox = useOutbox();
const drafts = useDrafts();
const route = useRoute();
const news = useNews();
const { problem, attempt } = useAttempt();

const open = computed(() => outbox.waiting.clashes.length + outbox.waiting.declined.length);
const isSaved = computed(
  () => outbox.unsent === 0 && edits.saving === 0 && !news.text && open.value === 0,
);
const words = computed(() => {
  if (outbox.unsent > 0 && edits.saving === 0) return `◐ ${outbox.unsent} not sent yet`;
  if (edits.saving > 0) return '◌ saving';
  if (news.text) return `● ${news.text}`;
  return '● the rest is saved';
});

const undo = (): Promise<boolean> => attempt(() => edits.undo());

const loadAgain = (): void => window.location.reload();
</script>

<template>
  <p class="state" role="status">
    <button
      v-if="edits.lastUndo"
      type="button"
      :title="`Undo: ${edits.lastUndo.what}`"
      @click="undo"
    >
      Undo <span class="what">{{ edits.lastUndo.what }}</span>
    </button>
    <span v-if="problem" class="wrong">{{ problem }}</span>
    <RouterLink
      v-if="outbox.halt?.why === 'sign-in'"
      :to="{ name: 'sign-in', query: { then: route.fullPath } }"
      class="wrong"
      >{{ outbox.halt.text }}</RouterLink
    >
    <button
      v-else-if="outbox.halt?.why === 'version'"
      type="button"
      class="wrong"
      @click="loadAgain"
    >
      {{ outbox.halt.text }}
    </button>
    <span v-else-if="outbox.halt" class="wrong">{{ outbox.halt.text }}</span>
    <RouterLink v-if="open > 0" :to="{ name: 'unsent' }" class="open"
      >◆ {{ open }} to decide</RouterLink
    >
    <RouterLink
      v-if="drafts.list.length > 0"
      :to="{ name: 'unsent' }"
      :aria-label="`${drafts.list.length} typed and not saved yet`"
      >✎ {{ drafts.list.length }}<span class="what"> typed, not saved</span></RouterLink
    >
    <RouterLink
      v-if="outbox.unsent > 0 && edits.saving === 0"
      :to="{ name: 'unsent' }"
      class="words"
      >{{ words }}</RouterLink
    >
    <span v-else class="words"
      ><template v-if="isSaved">● <span class="what">everything </span>saved</template
      ><template v-else>{{ words }}</template></span
    >
  </p>
</template>

<style scoped>
.state {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: end;
  min-width: 0;
  gap: 2px 14px;
  font-size: 15px;
  color: var(--soft);
}

/* One line, of which only the words give way; what is wrong may take more. */
.state:not(:has(.wrong)) {
  flex-wrap: nowrap;
}

.state > * {
  flex: none;
}

.state > .words {
  flex: 0 1 auto;
  min-width: 0;
}

span.words {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

/* Taking back stands still at the near end, however the words at the far one change: whoever is quick hits it. */
.state > button:first-child {
  margin-right: auto;
}

.open {
  color: var(--brick);
  font-weight: 600;
}

button {
  min-height: 32px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  text-align: left;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

@media (width < 760px) {
  .what {
    display: none;
  }

  .state {
    gap: 2px 8px;
  }

  button,
  a {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
    padding: 0 4px;
  }
}
</style>
