<script setup lang="ts">
import { PenLine } from '@lucide/vue';
import type { Point } from '@fair-gable/core/show/cards';
import TickBox from '../../base/controls/TickBox.vue';
import EvidenceMark from '../../base/evidence/EvidenceMark.vue';

/** A card in the plan: whether it is given, how long it takes or why it is left out, and a pen to word it otherwise. */
defineProps<{
  point: Point;
  given: boolean;
  /** Whether the plan is being worked out anew. */
  planning: boolean;
  /** Seconds where it is given, else why it is not. */
  says: string;
  mayWord: boolean;
}>();
const emit = defineEmits<{ wish: [isIn: boolean]; word: [] }>();
</script>

<template>
  <li :class="{ off: !given }">
    <label>
      <TickBox :ticked="given" :deciding="planning" @tick="(to) => emit('wish', to)" />
      <span
        ><em v-if="point.asked" class="asked">{{ point.asked }}</em
        >{{ point.sentence
        }}<EvidenceMark v-if="point.how === 'sheet'" class="how" :how="point.how" /><small
          v-if="point.changed"
          class="changed"
          >the record has changed since</small
        ><small v-else-if="point.wordedBy" class="soft">{{
          point.wordedBy === 'unit' ? 'our words' : 'the model’s words'
        }}</small></span
      >
    </label>
    <span class="small soft number">{{ says }}</span>
    <button
      v-if="mayWord"
      type="button"
      class="pen"
      :aria-label="`Reword it: ${point.label}`"
      title="Reword it"
      @click="emit('word')"
    >
      <PenLine aria-hidden="true" />
    </button>
  </li>
</template>

<style scoped>
li {
  display: flex;
  gap: 14px;
  align-items: center;
  min-height: 40px;
  border-bottom: 1px solid var(--hairline);
}

label {
  display: flex;
  flex: 1;
  gap: 10px;
  align-items: center;
  cursor: pointer;
}

input {
  flex: none;
  width: 20px;
  height: 20px;
  accent-color: var(--spruce);
}

.number {
  flex: none;
  font-weight: 500;
}

.off {
  color: var(--soft);
}

.off .number {
  max-width: 46%;
  text-align: right;
}

.how {
  margin-left: 8px;
  vertical-align: -2px;
}

.asked {
  display: block;
  color: var(--soft);
}

small {
  display: block;
  font-size: 14px;
}

.changed {
  color: var(--amber);
  font-weight: 600;
}

.pen {
  display: grid;
  flex: none;
  place-items: center;
  width: 44px;
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--soft);
  cursor: pointer;
}

.pen svg {
  width: 18px;
  height: 18px;
}

@media (width < 900px) {
  li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 44px;
    gap: 0 10px;
    padding: 4px 0;
  }

  label {
    min-height: 40px;
  }

  .number {
    grid-row: 2;
    padding-left: 37px;
  }

  .off .number {
    max-width: none;
    text-align: left;
  }

  .pen {
    grid-row: 1;
    grid-column: 2;
  }
}
</style>
