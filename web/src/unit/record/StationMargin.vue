<script setup lang="ts">
import { computed } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import {
  entryFor,
  stationEntry,
  type FeatureKey,
  type SpecKey,
  type StationKey,
} from '@fair-gable/core/unit/catalog';
import type { Objection } from '@fair-gable/core/unit/checks';
import type { Change, YardUnit } from '@fair-gable/core/unit/record';
import MarginNote from './MarginNote.vue';
import OwnClashes from './OwnClashes.vue';
import { useFieldSaving } from './saving.ts';

/** The margin of a station: what clashes, what is objected to here, and where else something is. */
const props = defineProps<{
  unit: YardUnit;
  here: StationKey;
  objections: readonly Objection[];
  mayWrite: boolean;
  /** Fields that stand here: what clashes there is shown there. */
  fields: readonly string[];
}>();
const emit = defineEmits<{
  go: [station: StationKey];
  field: [way: { readonly field: SpecKey | FeatureKey }];
}>();
const { refusalOf, save } = useFieldSaving(() => props.unit.id);

const stationOf = (o: Objection): StationKey => entryFor(o.field).station;
/** What wants an answer before what has one. */
const notesHere = computed(() =>
  props.objections
    .filter((o) => stationOf(o) === props.here)
    .toSorted((a, b) => Number(Boolean(a.settled)) - Number(Boolean(b.settled))),
);
const elsewhere = computed(() =>
  props.objections.filter((o) => stationOf(o) !== props.here && !o.settled),
);

/** Lets an objection stand for a reason, with the inputs it stands for; without one it is open again. */
const settle = (objection: Objection, reason: string | null): Promise<boolean> => {
  const change: Change = {
    part: 'settlements',
    key: objection.id,
    value: reason === null ? null : { reason, inputs: objection.inputs },
    how: 'told',
    basedOn: props.unit.record.settlements[objection.id]?.version ?? 0,
  };
  return save(objection.id, [change], `note “${inText(objection.title)}”`);
};
</script>

<template>
  <section class="margin" aria-label="Notes">
    <OwnClashes :unit="unit.id" :without="fields" />
    <MarginNote
      v-for="objection in notesHere"
      :key="objection.id"
      :objection="objection"
      :may-write="mayWrite"
      :problem="refusalOf(objection.id)"
      :settle="settle"
      @enter="(o, way) => save(o.id, way.changes, inText(o.title))"
      @go="(way) => emit('field', way)"
      @reopen="(o) => settle(o, null)"
    />
    <p v-if="notesHere.length === 0" class="soft small">No issues at this station.</p>
    <div v-if="elsewhere.length" class="elsewhere">
      <h3>At other stations</h3>
      <ul>
        <li v-for="o in elsewhere" :key="o.id">
          <button type="button" @click="emit('go', stationOf(o))">
            {{ stationEntry(stationOf(o)).number }} {{ o.title }}
          </button>
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
.margin {
  display: flex;
  flex-direction: column;
  gap: 18px;
  padding: 58px 24px 30px;
  border-left: 1px solid var(--hairline);
}

.elsewhere h3 {
  margin-bottom: 4px;
  font-size: 15px;
  color: var(--soft);
}

.elsewhere button {
  min-height: 36px;
  padding: 0;
  border: 0;
  background: none;
  text-align: left;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

@media (width < 1100px) {
  .margin {
    padding: 8px 20px 24px;
    border-left: 0;
  }
}
</style>
