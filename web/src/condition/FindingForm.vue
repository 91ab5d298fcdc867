<script setup lang="ts">
import Button from 'primevue/button';
import Checkbox from 'primevue/checkbox';
import Textarea from 'primevue/textarea';
import { computed, ref, useId, watch } from 'vue';
import {
  findingKind,
  findingKinds,
  gravities,
  isSaidFirst,
  isStationKey,
  stations,
  technicianDecides,
  type Finding,
  type FindingKindKey,
  type Gravity,
  type Spot,
  type StationKey,
} from '@fair-gable/core';
import SelectField from '../base/SelectField.vue';

/** What was found, how bad it is, and where. */
const props = defineProps<{
  finding?: Finding | undefined;
  /** Where it was tapped on the outline. */
  spot?: Spot | undefined;
  /** The station that is nearest to the spot. */
  near?: StationKey | undefined;
}>();
const emit = defineEmits<{ keep: [finding: Finding]; cancel: [] }>();

const id = useId();
const kind = ref<FindingKindKey | undefined>(props.finding?.kind);
const gravity = ref<Gravity>(props.finding?.gravity ?? 'cosmetic');
const station = ref<StationKey | undefined>(props.finding?.station ?? props.near);
const note = ref(props.finding?.note ?? '');
const saidFirst = ref(props.finding?.saidFirst ?? false);

const row = computed(() => kind.value && findingKind(kind.value));
watch(kind, (key) => {
  if (!key) return;
  gravity.value = findingKind(key).usually;
  saidFirst.value = isSaidFirst(gravity.value);
});
watch(gravity, (to) => (saidFirst.value = isSaidFirst(to)));
watch(
  () => props.near,
  (near) => {
    if (near && !props.finding) station.value = near;
  },
);

const kinds = [...findingKinds];
const all = [...gravities];
const places = stations.filter(({ key }) => isStationKey(key));

const keep = (): void => {
  if (!kind.value || !station.value) return;
  const { at, answers, repaired } = props.finding ?? {};
  const spot = props.spot ?? at;
  const words = note.value.trim();
  emit('keep', {
    kind: kind.value,
    gravity: gravity.value,
    station: station.value,
    saidFirst: saidFirst.value,
    ...(spot ? { at: { ...spot } } : {}),
    ...(words ? { note: words } : {}),
    ...(answers ? { answers: { ...answers } } : {}),
    ...(repaired ? { repaired: { ...repaired } } : {}),
  });
};
</script>

<template>
  <form class="fields" @submit.prevent="keep">
    <SelectField
      v-model="kind"
      label="What"
      :choices="kinds"
      filter
      placeholder="Choose what it is"
    />
    <SelectField
      v-model="station"
      label="Station"
      :choices="places"
      placeholder="Choose a station"
    />
    <SelectField v-model="gravity" label="How bad" :choices="all" />
    <p v-if="row" class="wide small soft">
      {{ row.explain }}
      <template v-if="technicianDecides.has(row.concern)"
        >A technician decides on it; the program never clears it.</template
      >
    </p>
    <div class="wide">
      <label :for="`${id}-note`">In a few words: which, how large, on what</label>
      <Textarea :id="`${id}-note`" v-model="note" rows="2" maxlength="500" auto-resize />
    </div>
    <div class="wide check">
      <Checkbox v-model="saidFirst" binary :input-id="`${id}-first`" />
      <label :for="`${id}-first`">Said first: the buyer hears it before anything else</label>
    </div>
    <Button type="submit" label="Keep the finding" :disabled="!kind || !station" />
    <Button type="button" severity="secondary" label="Leave it" @click="emit('cancel')" />
    <p v-if="!spot && !finding?.at" class="small soft">
      Tap on the outline where it is; without it the station alone is kept.
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
