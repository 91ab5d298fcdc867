<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core';
import SelectButton from 'primevue/selectbutton';
import { computed, ref, useId } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import type { System } from '@fair-gable/core/base/quantity';
import {
  isFitted,
  knownBy,
  type Feature,
  type FeatureState,
  type HowKnown as How,
} from '@fair-gable/core/unit/catalog';
import { knownOtherwise, type Change, type UnitRecord } from '@fair-gable/core/unit/record';
import { vOneTab } from '../../base/controls/one-tab.ts';
import EvidenceMark from '../../base/evidence/EvidenceMark.vue';
import HowKnown from '../../base/evidence/HowKnown.vue';
import { isKeyAlone } from '../../base/keys/keys.ts';
import type { KeepField } from './field-row.ts';
import FieldRow from './FieldRow.vue';
import {
  afterTap,
  afterTrying,
  hasFewStates,
  stateOfDigit,
  statesOffered,
  type Tapped,
} from './tapped-feature.ts';

/** One feature of a station: its state in one tap or one digit, and more when opened. */
const props = defineProps<{
  unit: string;
  feature: Feature;
  record: UnitRecord;
  system: System;
  open: boolean;
  /** What was said against the last try, of the feature and of its place. */
  refusal: string;
  placeRefusal: string;
  mayWrite: boolean;
  keep: KeepField;
}>();
const emit = defineEmits<{ toggle: [] }>();

const id = useId();
const entry = computed(() => props.record.features[props.feature.key]);
const state = computed<FeatureState | undefined>(() => entry.value?.value.state);
const word = computed(
  () => knownBy.find((row) => row.key === entry.value?.how)?.word ?? 'not checked',
);
const tries = [
  { key: 'works', label: 'Tried: works', brief: ' · tried, works' },
  { key: 'faulty', label: 'Tried: faulty', brief: ' · tried, faulty' },
] as const;
/** A label or a proof is there or not; it does nothing that could be tried. */
const canBeTried = computed(() => {
  const { kind = 'equipment' } = props.feature;
  return isFitted(state.value) && (kind === 'equipment' || kind === 'comes');
});
const triedWord = computed(
  () => tries.find(({ key }) => key === entry.value?.value.tried)?.brief ?? '',
);

/** On the phone the two likeliest choices stand in one row; the others open beside them. */
const isNarrow = useMediaQuery('(width < 760px)');
const showAll = ref(false);
const options = computed(() =>
  statesOffered(state.value, !isNarrow.value || showAll.value, props.feature.kind),
);

const keepChange = (change: Change): void => void props.keep(change, inText(props.feature.label));
const save = ({ value, how }: Tapped): void => {
  const basedOn = entry.value?.version ?? 0;
  keepChange({ part: 'features', key: props.feature.key, value, how, basedOn });
};
const choose = (next: FeatureState | null): void => {
  if (props.mayWrite) save(afterTap(entry.value, next));
};
const setHow = (to: How): void => {
  if (entry.value) keepChange(knownOtherwise('features', props.feature.key, entry.value, to));
};
const setTried = (value: 'works' | 'faulty'): void => {
  const tapped = afterTrying(entry.value, value);
  if (tapped) save(tapped);
};

/** A digit is a state while the row itself has the focus: never in a field that is open in it. */
const onDigit = (event: KeyboardEvent): void => {
  const picked = isKeyAlone(event) ? stateOfDigit(event.key, props.feature.kind) : undefined;
  if (picked !== undefined) choose(picked);
};
</script>

<template>
  <FieldRow
    :unit="unit"
    part="features"
    :entry="feature"
    :record="record"
    :system="system"
    :open="open"
    :refusal="refusal"
    :place-refusal="placeRefusal"
    :may-write="mayWrite"
    :keep="keep"
    @toggle="emit('toggle')"
    @key="onDigit"
  >
    <template #head>
      <span>{{ feature.label }}</span>
      <span class="small soft source">
        <EvidenceMark :how="entry?.how" bare />
        {{ word }}{{ triedWord }}<template v-if="entry?.filed">, from a file</template>
      </span>
    </template>
    <template #beside>
      <div class="choice">
        <SelectButton
          v-one-tab
          :model-value="state ?? null"
          :options="options"
          option-label="label"
          option-value="key"
          :disabled="!mayWrite"
          :aria-label="`${feature.label}: state`"
          class="states"
          @update:model-value="choose"
        >
          <template #option="{ option }">
            <span :data-state="option.key">{{ option.label }}</span>
          </template>
        </SelectButton>
        <button
          v-if="isNarrow && mayWrite && !hasFewStates(feature.kind)"
          type="button"
          class="other"
          :aria-expanded="showAll"
          @click="showAll = !showAll"
        >
          {{ showAll ? 'fewer' : 'other…' }}
        </button>
      </div>
    </template>
    <template #margin><slot /></template>
    <template #editor>
      <template v-if="entry && mayWrite">
        <HowKnown :model-value="entry.how" :name="`${id}-how`" @update:model-value="setHow" />
        <div v-if="canBeTried" class="tried">
          <span class="small soft">Tried?</span>
          <button
            v-for="{ key, label } in tries"
            :key="key"
            type="button"
            :aria-pressed="entry.value.tried === key"
            @click="setTried(key)"
          >
            {{ label }}
          </button>
        </div>
      </template>
    </template>
  </FieldRow>
</template>

<style scoped>
.choice {
  padding: 4px 12px 4px 0;
}

.source {
  display: flex;
  align-items: center;
  gap: 5px;
  line-height: 1.1;
}

.source :deep(svg) {
  width: 15px;
  height: 15px;
}

.states :deep(.p-togglebutton) {
  min-height: 34px;
  font-size: 14px;
  font-weight: 500;
}

.states :deep(.p-togglebutton:has([data-state='none']).p-togglebutton-checked) {
  background: var(--soft);
  border-color: var(--soft);
}

.states :deep(.p-togglebutton:has([data-state='prep']).p-togglebutton-checked),
.states :deep(.p-togglebutton:has([data-state='room']).p-togglebutton-checked) {
  background: repeating-linear-gradient(-45deg, var(--spruce) 0 5px, var(--spruce-pale) 5px 8px);
}

.tried {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
}

.tried > button {
  min-height: 40px;
  padding: 0 12px;
  border: 1px solid var(--edge);
  border-radius: 5px;
  background: var(--leaf);
  cursor: pointer;
}

.tried > button[aria-pressed='true'] {
  border: 2px solid var(--ink);
  font-weight: 700;
}

@media (width < 760px) {
  .choice {
    display: flex;
    gap: 8px;
    padding: 0 10px 8px;
  }

  .states {
    display: grid;
    flex: 1;
    grid-template-columns: repeat(auto-fit, minmax(88px, 1fr));
    gap: 8px;
  }

  .states :deep(.p-togglebutton) {
    min-height: var(--thumb);
    border: 1px solid var(--edge);
    border-radius: 6px;
    font-size: 16px;
  }

  .other {
    min-width: 84px;
    min-height: var(--thumb);
    border: 1px solid var(--edge);
    border-radius: 6px;
    background: var(--paper);
    cursor: pointer;
  }
}
</style>
