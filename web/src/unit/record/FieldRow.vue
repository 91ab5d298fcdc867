<script setup lang="ts">
import { computed, ref, useId } from 'vue';
import type { System } from '@fair-gable/core/base/quantity';
import type { Feature, Spec } from '@fair-gable/core/unit/catalog';
import type { UnitRecord } from '@fair-gable/core/unit/record';
import { DraftMark } from '../../base/draft/index.ts';
import PhotoStrip from '../photo/PhotoStrip.vue';
import FieldHelp from './FieldHelp.vue';
import FieldHistory from './FieldHistory.vue';
import {
  draftPlaces,
  entryAt,
  mayBePlaced,
  otherStatements,
  type FieldPart,
  type KeepField,
} from './field-row.ts';
import PlaceEditor from './PlaceEditor.vue';

/**
 * One field of a station, whatever it is: its head, what others say of it, what could not be kept, and all that is behind it
 * when it is opened. What its own kind says and asks fills the slots.
 */
const props = defineProps<{
  unit: string;
  part: FieldPart;
  entry: Spec | Feature;
  record: UnitRecord;
  system: System;
  open: boolean;
  /** What was said against the last try, of the field and of its place. */
  refusal: string;
  placeRefusal: string;
  mayWrite: boolean;
  keep: KeepField;
}>();
const emit = defineEmits<{ toggle: []; key: [event: KeyboardEvent] }>();

const id = useId();
const head = ref<HTMLButtonElement>();
const target = computed(() => `${props.part}.${props.entry.key}`);
const version = computed(() => entryAt(props.record, props.part, props.entry)?.version ?? 0);
const others = computed(() => otherStatements(props.record, props.part, props.entry, props.system));

/** Back to the row itself, from where the keys go on. */
const leave = (): void => {
  emit('toggle');
  head.value?.focus();
};
</script>

<template>
  <li class="row" :class="{ open }" :data-field="entry.key">
    <div class="top" @keydown="emit('key', $event)">
      <button
        ref="head"
        type="button"
        class="head"
        :aria-expanded="open"
        :aria-controls="`${id}-body`"
        @click="emit('toggle')"
      >
        <slot name="head" />
      </button>
      <slot name="beside" />
    </div>
    <p v-for="text in others" :key="text" class="more small soft">{{ text }}</p>
    <p v-if="refusal" class="more wrong" role="alert">{{ refusal }}</p>
    <p v-if="placeRefusal && !open" class="more wrong" role="alert">{{ placeRefusal }}</p>
    <div class="more"><slot name="margin" /></div>
    <template v-if="!open">
      <DraftMark
        v-for="place in draftPlaces(unit, part, entry)"
        :key="place"
        :place="place"
        class="more"
      />
    </template>
    <div v-else :id="`${id}-body`" class="body" @keydown.esc="leave">
      <slot name="editor" />
      <div class="proof">
        <PhotoStrip :unit="unit" :record="record" :target="target" :may-write="mayWrite" />
        <RouterLink
          v-if="mayWrite"
          class="small"
          :to="{ name: 'questions', params: { id: unit }, query: { about: target } }"
          >Ask about it</RouterLink
        >
      </div>
      <FieldHelp :entry="entry" :record="record" />
      <FieldHistory
        :unit="unit"
        :part="part"
        :field="entry.key"
        :system="system"
        :version="version"
      />
      <PlaceEditor
        v-if="mayWrite && mayBePlaced(record, part, entry)"
        :entry="entry"
        :record="record"
        :system="system"
        :unit="unit"
        :refusal="placeRefusal"
        :keep="keep"
      />
    </div>
  </li>
</template>

<style scoped>
.row {
  border-bottom: 1px solid var(--hairline);
}

.row.open {
  background: var(--leaf);
  box-shadow: inset 3px 0 0 var(--ink);
}

.top {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  column-gap: 10px;
}

.head {
  width: 100%;
  min-height: 44px;
  padding: 4px 0 4px 10px;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
}

.body {
  display: grid;
  gap: 14px;
  padding: 4px 16px 16px;
}

.proof {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}

.more {
  padding: 0 12px 6px 24px;
}

.more:empty {
  display: none;
}

@media (width < 760px) {
  .top {
    grid-template-columns: minmax(0, 1fr);
    row-gap: 4px;
  }
}
</style>
