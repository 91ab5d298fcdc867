<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import {
  entryFor,
  isFeatureKey,
  isSpecKey,
  specEntry,
  type Feature,
  type FeatureKey,
  type FeatureState,
  type Spec,
  type SpecKey,
} from '@fair-gable/core/unit/catalog';
import { sheetStatesOf, type SheetValues } from '@fair-gable/core/unit/model-sheet';
import { emptyRecord } from '@fair-gable/core/unit/record';
import ChoiceList from '../../base/controls/ChoiceList.vue';
import { useSession } from '../../base/session/session.ts';
import FieldFinder from '../record/FieldFinder.vue';
import SpecInput from '../record/SpecInput.vue';
import { asTyped, readTyped } from '../record/typing.ts';
import { rowsByStation, withField } from './draft.ts';

/**
 * What a sheet, a package or a change says: its fields, to be changed, added and taken out. A field stays where it is
 * while one types in it, and is taken on Enter or on leaving.
 */
const props = defineProps<{ name: string }>();
const values = defineModel<SheetValues>({ required: true });
/** What is typed and not taken yet, or can’t be read. */
const texts = defineModel<Record<string, string>>('texts', { required: true });
const session = useSession();
const root = ref<HTMLElement>();

type Key = SpecKey | FeatureKey;
const textKey = (key: Key): string => `${props.name}.${key}`;

const known = (key: SpecKey): string => {
  const value = values.value.specs[key];
  const entry = value && { value, how: 'sheet' as const, by: '', at: '', version: 1 };
  return asTyped(specEntry(key), entry, session.system);
};
const typedOf = (key: SpecKey): string => texts.value[textKey(key)] ?? known(key);

const without = (key: Key): void => {
  texts.value = Object.fromEntries(
    Object.entries(texts.value).filter(([of]) => of !== textKey(key)),
  );
};

/** Takes what is typed; what can’t be read stays as typed. An empty field says nothing. */
const take = (key: SpecKey): void => {
  const text = texts.value[textKey(key)];
  if (text === undefined) return;
  const { value, problem } = readTyped(specEntry(key), text, session.system);
  if (problem) return;
  if (text !== known(key)) values.value = withField(values.value, key, value);
  without(key);
};

const type = (key: SpecKey, text: string): void => {
  texts.value = { ...texts.value, [textKey(key)]: text };
  // A choice is made at once.
  if (specEntry(key).value.kind === 'choice') take(key);
};

const drop = (key: Key): void => {
  without(key);
  values.value = withField(values.value, key, undefined);
  added.value = added.value.filter((other) => other !== key);
};

/** Found and added here: they stand at the head, in the order in which they were added, until one leaves. */
const added = ref<readonly Key[]>([]);
const focusOn = async (key: Key): Promise<void> => {
  await nextTick();
  const field = root.value?.querySelector<HTMLElement>(`[data-sheet-field="${key}"]`);
  field?.closest('details')?.setAttribute('open', '');
  field?.querySelector<HTMLElement>('input, select, button')?.focus();
};
const add = ({ key }: Spec | Feature): void => {
  if (entryFor(key).unitOnly) return;
  const isThere = isSpecKey(key)
    ? values.value.specs[key] !== undefined
    : values.value.features[key] !== undefined;
  if (!isThere && !added.value.includes(key)) added.value = [key, ...added.value];
  if (!isThere && isFeatureKey(key)) values.value = withField(values.value, key, 'standard');
  void focusOn(key);
};

const groups = computed(() =>
  rowsByStation(values.value, session.system)
    .map(({ station, rows }) => ({
      station,
      rows: rows.filter(({ key }) => !added.value.includes(key)),
    }))
    .filter(({ rows }) => rows.length > 0),
);
</script>

<template>
  <div ref="root" class="values">
    <FieldFinder :name="`${props.name}-add`" :record="emptyRecord" @go="add" />
    <component
      :is="group ? 'details' : 'div'"
      v-for="group in [undefined, ...groups]"
      :key="group?.station.key ?? 'added'"
    >
      <summary v-if="group">
        {{ group.station.number }} {{ group.station.label }}
        <span class="soft">· {{ group.rows.length }}</span>
      </summary>
      <div
        v-for="key in group ? group.rows.map((row) => row.key) : added"
        :key="key"
        class="field"
        :data-sheet-field="key"
      >
        <SpecInput
          v-if="isSpecKey(key)"
          :model-value="typedOf(key)"
          :spec="specEntry(key)"
          :system="session.system"
          @update:model-value="(text) => type(key as SpecKey, text)"
          @focusout="take(key as SpecKey)"
          @keydown.enter.prevent="take(key as SpecKey)"
        />
        <template v-else>
          <span :id="`${props.name}-${key}`" class="label">{{ entryFor(key).label }}</span>
          <ChoiceList
            :model-value="values.features[key]"
            :choices="[...sheetStatesOf(key)]"
            :aria-labelledby="`${props.name}-${key}`"
            @update:model-value="
              (s: FeatureState | undefined) => (values = withField(values, key, s))
            "
          />
        </template>
        <button type="button" class="out" @click="drop(key)">
          Not listed<span class="visually-hidden"> of {{ entryFor(key).label }}</span>
        </button>
      </div>
    </component>
  </div>
</template>

<style scoped>
summary {
  min-height: 44px;
  padding-top: 10px;
  border-top: 1px solid var(--hairline);
  font-weight: 600;
  cursor: pointer;
}

.field {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 6px 14px;
  padding: 6px 0;
}

.label {
  font-weight: 600;
  font-size: 15px;
}

.field > :deep(.list) {
  grid-row: 2;
}

.out {
  min-height: 44px;
  border: 0;
  background: none;
  color: var(--soft);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
</style>
