<script setup lang="ts">
import Button from 'primevue/button';
import Checkbox from 'primevue/checkbox';
import Textarea from 'primevue/textarea';
import { computed, useId, watch } from 'vue';
import {
  findingKind,
  findingKinds,
  gravities,
  isStationKey,
  stations,
  technicianDecides,
  type FindingKindKey,
  type Gravity,
  type StationKey,
} from '@fair-gable/core/unit/catalog';
import { isUsuallyFirst } from '@fair-gable/core/unit/condition';
import type { Finding, Spot } from '@fair-gable/core/unit/record';
import SelectField from '../../base/controls/SelectField.vue';
import { vTakesFocus } from '../../base/controls/takes-focus.ts';
import { useDraft } from '../../base/draft/index.ts';

/** What was found, how bad it is, and where. */
const props = defineProps<{
  finding?: Finding | undefined;
  /** Its version; 0 of a new one. */
  version?: number;
  /** Where it was tapped on the outline. */
  spot?: Spot | undefined;
  /** The station that is nearest to the spot. */
  near?: StationKey | undefined;
  /** Of whose draft: that of a new one, or of the finding that is changed. */
  place: string;
  /** Keeps it; false where that was refused. */
  keep: (finding: Finding, basedOn: number) => Promise<boolean>;
}>();
const emit = defineEmits<{ cancel: [] }>();

const id = useId();
const { draft, clear, keepWith } = useDraft({
  place: () => props.place,
  what: () => 'A finding',
  fresh: () => ({
    kind: props.finding?.kind,
    gravity: props.finding?.gravity ?? 'cosmetic',
    station: props.finding?.station,
    note: props.finding?.note ?? '',
    saidFirst: props.finding?.saidFirst ?? false,
    // What others do meanwhile is not overwritten.
    basedOn: props.version ?? 0,
  }),
  typed: ({ basedOn: _, ...rest }) => rest,
});

const row = computed(() => draft.value.kind && findingKind(draft.value.kind));
const setKind = (key: FindingKindKey | undefined): void => {
  draft.value.kind = key;
  if (key) setGravity(findingKind(key).usually);
};
const setGravity = (to: Gravity): void => {
  draft.value.gravity = to;
  draft.value.saidFirst = isUsuallyFirst(to);
};
watch(
  () => props.near,
  (near) => {
    if (near && !props.finding) draft.value.station = near;
  },
);
const cancel = (): void => {
  clear();
  emit('cancel');
};

const kinds = findingKinds.map(({ key, label, also }) => ({ key, label, words: also.join(', ') }));
const all = [...gravities];
const places = stations.filter(({ key }) => isStationKey(key));

const keepIt = (): void => {
  const { kind, gravity, station, note, saidFirst, basedOn = props.version ?? 0 } = draft.value;
  if (!kind || !station) return;
  const { at, answers, repaired } = props.finding ?? {};
  const spot = props.spot ?? at;
  const words = note.trim();
  const finding: Finding = {
    kind,
    gravity,
    station,
    saidFirst,
    ...(spot ? { at: { ...spot } } : {}),
    ...(words ? { note: words } : {}),
    ...(answers ? { answers: { ...answers } } : {}),
    ...(repaired ? { repaired: { ...repaired } } : {}),
  };
  void keepWith(() => props.keep(finding, basedOn));
};
</script>

<template>
  <form v-takes-focus class="fields" @submit.prevent="keepIt">
    <SelectField
      :model-value="draft.kind"
      label="What"
      :choices="kinds"
      filter
      placeholder="Choose what it is"
      @update:model-value="setKind"
    />
    <SelectField
      v-model="draft.station"
      label="Station"
      :choices="places"
      placeholder="Choose a station"
    />
    <SelectField
      :model-value="draft.gravity"
      label="How bad"
      :choices="all"
      @update:model-value="setGravity"
    />
    <p v-if="row" class="wide small soft">
      {{ row.explain }}
      <template v-if="technicianDecides.has(row.concern)"
        >A technician decides on it; this program never clears it.</template
      >
    </p>
    <div class="wide">
      <label :for="`${id}-note`">In a few words: which, how big, on what</label>
      <Textarea :id="`${id}-note`" v-model="draft.note" rows="2" maxlength="500" auto-resize />
    </div>
    <div class="wide check">
      <Checkbox v-model="draft.saidFirst" binary :input-id="`${id}-first`" />
      <label :for="`${id}-first`">Disclose first: the buyer hears it before anything else</label>
    </div>
    <Button type="submit" label="Save finding" :disabled="!draft.kind || !draft.station" />
    <Button type="button" severity="secondary" label="Leave it" @click="cancel" />
    <p v-if="!spot && !finding?.at" class="small soft">
      Tap on the outline where it is; otherwise only the station is saved.
    </p>
  </form>
</template>

<style scoped>
.fields :deep(textarea) {
  width: 100%;
}

.fields > .check {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 44px;
}

.check label {
  color: var(--ink);
  font-size: 16px;
}
</style>
