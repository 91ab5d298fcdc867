<script setup lang="ts">
import { computed, watch } from 'vue';
import { emptyRecord } from '@fair-gable/core/unit/record';
import { useOutbox, type OwnClash } from '../../base/device/index.ts';
import { useSession } from '../../base/session/session.ts';
import { useUnits } from '../units/units.ts';
import ClashNote from './ClashNote.vue';
import { useEdits } from './edits.ts';
import { useFieldSaving } from './saving.ts';

/** Where somebody else was faster: both values and the choice, wherever one meets them. */
const props = defineProps<{
  /** Of one unit; all where it is left out. */
  unit?: string;
  /** Of these fields alone: `specs.gvwr`. */
  fields?: readonly string[];
  /** Of all but these. */
  without?: readonly string[];
}>();
const outbox = useOutbox();
const edits = useEdits();
const units = useUnits();
const session = useSession();
const { refusalOf, guarded } = useFieldSaving(() => props.unit ?? '');

const fieldOf = ({ change }: OwnClash): string => `${change.part}.${change.key}`;
/** Of several units the same field may be open. */
const nameOf = (clash: OwnClash): string => `${clash.unit}.${fieldOf(clash)}`;
const clashes = computed(() =>
  outbox.waiting.clashes
    .filter((clash) => props.unit === undefined || clash.unit === props.unit)
    .filter((clash) => props.fields?.includes(fieldOf(clash)) ?? true)
    .filter((clash) => !props.without?.includes(fieldOf(clash))),
);
/** Where clashes of several units stand together, none of them need have been opened. */
watch(
  () => [...new Set(clashes.value.map(({ unit }) => unit))].join(' '),
  (ids) => {
    for (const id of ids.split(' ').filter(Boolean)) void units.open(id).catch(() => undefined);
  },
  { immediate: true },
);
const recordOf = (unit: string) => units.units.get(unit)?.record ?? emptyRecord;
const choose = (clash: OwnClash, mine: boolean): Promise<boolean> =>
  guarded(nameOf(clash), () => edits.settle(clash, mine));
</script>

<template>
  <div v-for="clash in clashes" :key="nameOf(clash)" class="clash-of">
    <slot name="before" :clash="clash" />
    <ClashNote
      :clash="clash"
      :record="recordOf(clash.unit)"
      :system="session.system"
      :problem="refusalOf(nameOf(clash))"
      @settle="(mine) => choose(clash, mine)"
    />
  </div>
</template>
