<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core';
import SelectButton from 'primevue/selectbutton';
import { computed, ref, useId } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import type { System } from '@fair-gable/core/base/quantity';
import {
  featureStates,
  isFitted,
  knownBy,
  type Feature,
  type FeatureState,
  type HowKnown as How,
} from '@fair-gable/core/unit/catalog';
import {
  fieldText,
  knownOtherwise,
  type Change,
  type UnitRecord,
} from '@fair-gable/core/unit/record';
import { vOneTab } from '../../base/controls/one-tab.ts';
import { DraftMark } from '../../base/draft/index.ts';
import EvidenceMark from '../../base/evidence/EvidenceMark.vue';
import HowKnown from '../../base/evidence/HowKnown.vue';
import { isKeyAlone } from '../../base/keys/keys.ts';
import PhotoStrip from '../photo/PhotoStrip.vue';
import FieldHelp from './FieldHelp.vue';
import FieldHistory from './FieldHistory.vue';
import PlaceEditor from './PlaceEditor.vue';
import { afterTap, afterTrying, type Tapped } from './tapped-feature.ts';

/** One feature of a station: its state in one tap or one digit, and more when opened. */
const props = defineProps<{
  unit: string;
  feature: Feature;
  record: UnitRecord;
  system: System;
  open: boolean;
  refusal: string;
  mayWrite: boolean;
  /** Keeps a change of it; false where that was refused. */
  keep: (change: Change, what: string) => Promise<boolean>;
}>();
const emit = defineEmits<{ toggle: [] }>();

const id = useId();
const name = ref<HTMLButtonElement>();
/** Back to the row itself, from where the keys go on. */
const leave = (): void => {
  emit('toggle');
  name.value?.focus();
};
const entry = computed(() => props.record.features[props.feature.key]);
const state = computed<FeatureState | undefined>(() => entry.value?.value.state);
const how = computed<How>(() => entry.value?.how ?? 'seen');
const word = computed(
  () => knownBy.find((row) => row.key === entry.value?.how)?.word ?? 'not checked',
);
const tried = ref(['works', 'faulty'] as const);

const all = featureStates.map(({ key, label }) => ({ key, label }));

/** On the phone the two likeliest choices stand in one row; the others open beside them. */
const isNarrow = useMediaQuery('(width < 760px)');
const showAll = ref(false);
const options = computed(() => {
  if (!isNarrow.value || showAll.value) return all;
  const likely = state.value && state.value !== 'none' ? state.value : 'standard';
  return all.filter((o) => o.key === likely || o.key === 'none');
});

const save = ({ value, how: known }: Tapped): void => {
  const { key, label } = props.feature;
  const basedOn = entry.value?.version ?? 0;
  void props.keep({ part: 'features', key, value, how: known, basedOn }, inText(label));
};
const choose = (next: FeatureState | null): void => {
  if (props.mayWrite) save(afterTap(entry.value, next));
};

const setHow = (to: How): void => {
  if (!entry.value) return;
  const { key, label } = props.feature;
  void props.keep(knownOtherwise('features', key, entry.value, to), inText(label));
};

const besides = computed(() =>
  (entry.value?.others ?? []).map(({ value, how: known, by }) => {
    const source = knownBy.find((row) => row.key === known)?.word ?? known;
    const said = fieldText('features', props.feature.key, value, known, props.system);
    return `${said}, ${source}, ${by.split(' ')[0]}`;
  }),
);

/** A digit is a state while the row itself has the focus: never in a field that is open in it. */
const onDigit = (event: KeyboardEvent): void => {
  if (!isKeyAlone(event)) return;
  const picked = featureStates[Number(event.key) - 1];
  if (event.key === '0') choose(null);
  else if (picked && /^[1-9]$/.test(event.key)) choose(picked.key);
};

const setTried = (value: 'works' | 'faulty'): void => {
  const tapped = afterTrying(entry.value, value);
  if (tapped) save(tapped);
};

const triedWord = computed(() => {
  const value = entry.value?.value.tried;
  if (!value) return '';
  return value === 'works' ? ' · tried, works' : ' · tried, faulty';
});
</script>

<template>
  <li class="row" :class="{ open }" :data-field="feature.key">
    <div class="head" @keydown="onDigit">
      <button
        ref="name"
        type="button"
        class="name"
        :aria-expanded="open"
        :aria-controls="`${id}-body`"
        @click="emit('toggle')"
      >
        <span>{{ feature.label }}</span>
        <span class="small soft source">
          <EvidenceMark :how="entry?.how" bare />
          {{ word }}{{ triedWord }}<template v-if="entry?.filed">, from a file</template>
        </span>
      </button>
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
          v-if="isNarrow && mayWrite"
          type="button"
          class="other"
          :aria-expanded="showAll"
          @click="showAll = !showAll"
        >
          {{ showAll ? 'fewer' : 'other…' }}
        </button>
      </div>
    </div>
    <p v-for="text in besides" :key="text" class="beside small soft">also: {{ text }}</p>
    <p v-if="refusal" class="wrong refusal" role="alert">{{ refusal }}</p>
    <div class="beside"><slot /></div>
    <DraftMark v-if="!open" :place="`${unit}.places.${feature.key}`" class="beside" />
    <div v-if="open" :id="`${id}-body`" class="body" @keydown.esc="leave">
      <template v-if="entry && mayWrite">
        <HowKnown :model-value="how" :name="`${id}-how`" @update:model-value="setHow" />
        <div v-if="isFitted(state)" class="tried">
          <span class="small soft">Tried?</span>
          <button
            v-for="value in tried"
            :key="value"
            type="button"
            :aria-pressed="entry.value.tried === value"
            @click="setTried(value)"
          >
            {{ value === 'works' ? 'Tried and works' : 'Tried and faulty' }}
          </button>
        </div>
      </template>
      <div class="tried">
        <PhotoStrip
          :unit="unit"
          :record="record"
          :target="`features.${feature.key}`"
          :may-write="mayWrite"
        />
        <RouterLink
          v-if="mayWrite"
          class="small"
          :to="{
            name: 'questions',
            params: { id: unit },
            query: { about: `features.${feature.key}` },
          }"
          >Ask about it</RouterLink
        >
      </div>
      <FieldHelp :entry="feature" :record="record" />
      <FieldHistory
        :unit="unit"
        part="features"
        :field="feature.key"
        :system="system"
        :version="entry?.version ?? 0"
      />
      <PlaceEditor
        v-if="feature.located && isFitted(state) && mayWrite"
        :entry="feature"
        :record="record"
        :system="system"
        :unit="unit"
        :keep="keep"
      />
    </div>
  </li>
</template>

<style scoped>
.beside {
  padding: 0 12px 6px 24px;
}

.beside:empty {
  display: none;
}

.row {
  border-bottom: 1px solid var(--hairline);
}

.row.open {
  background: var(--leaf);
  box-shadow: inset 3px 0 0 var(--ink);
}

.head {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 10px;
  padding: 4px 12px 4px 0;
}

.name {
  display: grid;
  justify-items: start;
  min-height: 44px;
  align-content: center;
  padding: 0 0 0 10px;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
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

.body {
  display: grid;
  gap: 14px;
  padding: 4px 16px 16px;
}

.refusal {
  padding: 0 12px 8px;
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
  .head {
    grid-template-columns: 1fr;
    padding: 8px 10px;
  }

  .name {
    padding: 0;
  }

  .choice {
    display: flex;
    gap: 8px;
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
