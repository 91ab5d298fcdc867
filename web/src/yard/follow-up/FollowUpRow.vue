<script setup lang="ts">
import { X } from '@lucide/vue';
import InputText from 'primevue/inputtext';
import { computed } from 'vue';
import { formatDate } from '@fair-gable/core/base/dates';
import { followUpKinds, lateness, type FollowUp } from '@fair-gable/core/yard/follow-up';
import TickBox from '../../base/controls/TickBox.vue';
import { useClock } from '../../base/clock/index.ts';
import { useDraft } from '../../base/draft/index.ts';

/** Something left to do: until when, by whom, and whether it is done. */
const props = defineProps<{ followUp: FollowUp; mayWrite: boolean; busy: boolean }>();
const emit = defineEmits<{ keep: [followUp: FollowUp]; drop: [] }>();

const clock = useClock();
const late = computed(() => lateness(props.followUp, clock.today));
const kind = computed(
  () => followUpKinds.find(({ key }) => key === props.followUp.kind)?.label ?? '',
);
const set = (more: Partial<FollowUp>): void => emit('keep', { ...props.followUp, ...more });
/** Taken on leaving the field, or on Enter: a year that is half typed is no year. */
const { draft } = useDraft({
  place: () => `follow-up.${props.followUp.id}`,
  what: () => `To follow up: ${props.followUp.text}`,
  fresh: () => ({ due: props.followUp.due, who: props.followUp.who }),
});
const keepDue = (): void => {
  const { due } = draft.value;
  if (due && due >= '2000' && due !== props.followUp.due) set({ due });
};
const keepWho = (): void => {
  const who = draft.value.who.trim();
  if (who !== props.followUp.who) set({ who });
};
const setDone = (is: boolean): void => {
  const { done: _done, ...open } = props.followUp;
  emit('keep', is ? { ...open, done: clock.today } : open);
};
const dueWords = computed(() => {
  if (late.value === 'late') return `late, was due ${formatDate(props.followUp.due)}`;
  return late.value === 'today' ? 'today' : formatDate(props.followUp.due);
});
</script>

<template>
  <li :class="late">
    <label class="what">
      <TickBox
        :ticked="followUp.done !== undefined"
        :deciding="busy"
        :disabled="!mayWrite || busy"
        @tick="setDone"
      />
      <span
        ><span class="kind">{{ kind }}</span> {{ followUp.text }}</span
      >
    </label>
    <template v-if="mayWrite && !followUp.done">
      <InputText
        v-model="draft.due"
        type="date"
        max="9999-12-31"
        :aria-label="`Due: ${followUp.text}`"
        @blur="keepDue"
        @keydown.enter="keepDue"
      />
      <InputText
        v-model="draft.who"
        maxlength="80"
        placeholder="who"
        :aria-label="`Who does it: ${followUp.text}`"
        @blur="keepWho"
        @keydown.enter="keepWho"
      />
      <button
        type="button"
        class="drop"
        :aria-label="`Remove: ${followUp.text}`"
        @click="emit('drop')"
      >
        <X aria-hidden="true" />
      </button>
    </template>
    <p class="when small">
      <slot />
      <span v-if="followUp.done">done {{ formatDate(followUp.done) }}</span>
      <span v-else :class="{ wrong: late === 'late' }">{{ dueWords }}</span>
    </p>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 150px 130px 44px;
  gap: 2px 10px;
  align-items: center;
  padding: 6px 0;
  border-bottom: 1px solid var(--hairline);
}

.what {
  display: flex;
  gap: 10px;
  align-items: baseline;
  min-height: 44px;
  padding: 10px 0 0;
  cursor: pointer;
}

input[type='checkbox'] {
  flex: none;
  width: 20px;
  height: 20px;
  accent-color: var(--spruce);
}

.kind {
  font-weight: 700;
}

.done .what > span {
  color: var(--soft);
  text-decoration: line-through;
}

.when {
  display: flex;
  gap: 14px;
  grid-column: 1 / -1;
  padding-left: 30px;
  color: var(--soft);
}

:deep(.p-inputtext) {
  width: 100%;
  min-width: 0;
}

.drop {
  display: grid;
  place-items: center;
  width: 44px;
  height: 44px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--soft);
  cursor: pointer;
}

@media (width < 760px) {
  li {
    grid-template-columns: minmax(0, 3fr) minmax(0, 2fr) 44px;
  }

  .what {
    grid-column: 1 / -1;
  }
}
</style>
