<script setup lang="ts">
import InputText from 'primevue/inputtext';
import { computed, defineAsyncComponent, ref } from 'vue';
import { counted } from '@fair-gable/core/base/words';
import { sentenceOf, wholeYard, type SavedView, type YardView } from '@fair-gable/core/yard/list';
import { useAttempt } from '../../base/attempt/index.ts';
import { useSession } from '../../base/session/session.ts';

// Its lists to choose from are heavy, and most days nobody opens it.
const YardFilterForm = defineAsyncComponent(() => import('./YardFilterForm.vue'));

/** What is looked at of the yard, as a sentence; opened, its words can be changed. */
const props = defineProps<{
  view: YardView;
  count: number;
  /** Left out because a figure that is asked for is not known. */
  unsure: number;
  saved: readonly SavedView[];
  keep: (name: string) => Promise<void>;
  drop: (name: string) => Promise<void>;
}>();
const emit = defineEmits<{ set: [more: Partial<YardView>]; whole: [] }>();
const session = useSession();

const isOpen = ref(false);
const name = ref('');
const { problem, attempt } = useAttempt();

const isWhole = computed(() => JSON.stringify(props.view) === JSON.stringify(wholeYard));
const emptied = async (work: () => Promise<void>): Promise<void> => {
  if (await attempt(work)) name.value = '';
};
</script>

<template>
  <div class="filter" role="search" aria-label="Which units">
    <div class="line">
      <InputText
        :model-value="view.text"
        placeholder="Search all text"
        aria-label="Find units by any text in their record"
        type="search"
        maxlength="80"
        @update:model-value="(text) => emit('set', { text: text ?? '' })"
      />
      <button type="button" class="sentence" :aria-expanded="isOpen" @click="isOpen = !isOpen">
        {{ sentenceOf(view, session.system) }}
      </button>
      <span class="soft number" role="status"
        >{{ counted(count, 'unit')
        }}<template v-if="unsure"
          >; {{ unsure }} skipped, not known {{ unsure === 1 ? 'its' : 'their' }} figure</template
        ></span
      >
      <button v-if="!isWhole" type="button" class="plain" @click="emit('whole')">
        Show all units
      </button>
      <span v-for="s in saved" :key="s.name" class="saved">
        <button type="button" @click="emit('set', s.view)">{{ s.name }}</button>
        <button
          v-if="isOpen"
          type="button"
          :aria-label="`Delete the view ${s.name}`"
          @click="emptied(() => drop(s.name))"
        >
          ×
        </button>
      </span>
    </div>
    <YardFilterForm
      v-if="isOpen"
      v-model:name="name"
      :view="view"
      :system="session.system"
      :problem="problem"
      @set="(more) => emit('set', more)"
      @keep="(as) => emptied(() => keep(as))"
    />
  </div>
</template>

<style scoped>
.filter {
  padding: 10px 24px;
  border-bottom: 1px solid var(--hairline);
}

.line {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 6px 16px;
}

.line :deep(.p-inputtext) {
  width: 210px;
}

.sentence {
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  font: 600 18px var(--slab);
  text-align: left;
  text-decoration: underline;
  text-decoration-style: dotted;
  text-underline-offset: 5px;
  cursor: pointer;
}

.plain,
.saved button {
  min-height: 36px;
  padding: 0 2px;
  border: 0;
  background: none;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

@media (width < 760px) {
  .filter {
    padding-inline: 16px;
  }

  .line :deep(.p-inputtext) {
    width: 100%;
  }
}
</style>
