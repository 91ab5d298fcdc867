<script setup lang="ts">
import { computed } from 'vue';
import {
  entryFor,
  stationEntry,
  type Change,
  type FeatureKey,
  type Objection,
  type SpecKey,
  type StationKey,
} from '@fair-gable/core';
import { useOutbox, type OwnClash } from '../outbox/index.ts';
import { useSession } from '../people/session.ts';
import type { YardUnit } from '../yard/units.ts';
import ClashNote from './ClashNote.vue';
import { useEdits } from './edits.ts';
import MarginNote from './MarginNote.vue';
import { useFieldSaving } from './saving.ts';

/** The margin of a station: what clashes, what is objected to here, and where else something is. */
const props = defineProps<{
  unit: YardUnit;
  here: StationKey;
  objections: readonly Objection[];
  mayWrite: boolean;
}>();
const emit = defineEmits<{
  go: [station: StationKey];
  field: [way: { readonly field: SpecKey | FeatureKey }];
}>();
const session = useSession();
const outbox = useOutbox();
const edits = useEdits();
const { refusalOf, guarded, save } = useFieldSaving(() => props.unit.id);

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

/** Where somebody else was faster, both values stand in the margin until one is chosen. */
const clashes = computed(() => outbox.shelf.clashes.filter((c) => c.unit === props.unit.id));
const choose = (clash: OwnClash, mine: boolean): Promise<boolean> =>
  guarded(clash.change.key, () => edits.settle(clash, mine));

/** Lets an objection stand for a reason, with the inputs it stands for; without one it is open again. */
const settle = (objection: Objection, reason: string | null): void => {
  const change: Change = {
    part: 'settlements',
    key: objection.id,
    value: reason === null ? null : { reason, inputs: objection.inputs },
    how: 'told',
    basedOn: props.unit.record.settlements[objection.id]?.version ?? 0,
  };
  void save(objection.id, [change], `note “${objection.title.toLowerCase()}”`);
};
</script>

<template>
  <section class="margin" aria-label="Notes in the margin">
    <ClashNote
      v-for="clash in clashes"
      :key="`${clash.change.part}.${clash.change.key}`"
      :clash="clash"
      :record="unit.record"
      :system="session.system"
      :problem="refusalOf(clash.change.key)"
      @settle="(mine) => choose(clash, mine)"
    />
    <MarginNote
      v-for="objection in notesHere"
      :key="objection.id"
      :objection="objection"
      :may-write="mayWrite"
      :problem="refusalOf(objection.id)"
      @enter="(o, way) => save(o.id, way.changes, o.title.toLowerCase())"
      @go="(way) => emit('field', way)"
      @settle="settle"
      @reopen="(o) => settle(o, null)"
    />
    <p v-if="notesHere.length + clashes.length === 0" class="soft small">
      Nothing to object to at this station.
    </p>
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
