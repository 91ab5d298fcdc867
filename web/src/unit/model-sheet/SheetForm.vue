<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import MultiSelect from 'primevue/multiselect';
import Textarea from 'primevue/textarea';
import ToggleSwitch from 'primevue/toggleswitch';
import { computed, ref } from 'vue';
import type { ModelSheet } from '@fair-gable/core/unit/model-sheet';
import { featureChoices, searched } from '../../base/controls/field-choices.ts';
import NumberField from '../../base/controls/NumberField.vue';
import { useSession } from '../../base/session/session.ts';
import { objectionIn, objectionLine } from './objections.ts';
import {
  addMidYear,
  addPackage,
  linesOf,
  otherPackages,
  placeOfMidYear,
  placeOfPackage,
  setMidYear,
  setPackage,
  textsWithoutMidYear,
  textsWithoutPackage,
  unreadOf,
  wantedOf,
  withoutMidYear,
  withoutPackage,
} from './sheet-edits.ts';
import { sheetName, useSheets } from './sheets.ts';
import ValuesEditor from './ValuesEditor.vue';

/** A model sheet being written. */
const props = defineProps<{ sheet: ModelSheet; busy: boolean }>();
/** What is being typed into its values, also while it can’t be read. */
const texts = defineModel<Record<string, string>>('texts', { required: true });
const emit = defineEmits<{ change: [sheet: ModelSheet]; look: []; cancel: [] }>();
const sheets = useSheets();
const session = useSession();

const set = (more: Partial<ModelSheet>): void => emit('change', { ...props.sheet, ...more });

const dropPackage = (at: number): void => {
  texts.value = textsWithoutPackage(texts.value, props.sheet.packages[at]?.key ?? '');
  emit('change', withoutPackage(props.sheet, at));
};
const dropMidYear = (at: number): void => {
  texts.value = textsWithoutMidYear(texts.value, at);
  emit('change', withoutMidYear(props.sheet, at));
};

const sisterChoices = computed(() =>
  sheets.plain
    .filter((s) => s.id !== props.sheet.id && s.floorPlan !== '')
    .map((s) => ({ key: s.id, label: sheetName(s) })),
);
const objectionsText = computed(() =>
  props.sheet.objections.map((objection) => objectionLine(objection)).join('\n'),
);
const setObjections = (text: string): void =>
  set({
    objections: linesOf(text).map((line) => objectionIn(line)),
  });

/** Texts of several lines are taken when one leaves them; till then they wait like any other. */
const writing = (of: string, text: string): void => {
  texts.value = { ...texts.value, [of]: text };
};
const written = (of: string, take: (text: string) => void): void => {
  const text = texts.value[of];
  if (text === undefined) return;
  texts.value = Object.fromEntries(Object.entries(texts.value).filter(([other]) => other !== of));
  take(text);
};

const unread = computed(() => unreadOf(texts.value, session.system));
/** What is wanted still; said once somebody wants to see what the sheet touches. */
const missing = computed(() => wantedOf(props.sheet));
const isAsked = ref(false);
const look = (): void => {
  isAsked.value = true;
  if (!unread.value && !missing.value) emit('look');
};
</script>

<template>
  <form class="form" @submit.prevent="look">
    <fieldset>
      <legend>Which model</legend>
      <label for="series">Series</label>
      <InputText
        id="series"
        :model-value="sheet.series"
        @update:model-value="(v) => set({ series: v ?? '' })"
      />
      <label for="plan"
        >Floor plan <span class="small soft">empty for the whole series</span></label
      >
      <InputText
        id="plan"
        :model-value="sheet.floorPlan"
        @update:model-value="(v) => set({ floorPlan: v ?? '' })"
      />
      <label for="year">Model year</label>
      <NumberField
        input-id="year"
        name="Model year"
        :model-value="sheet.year"
        :use-grouping="false"
        :from="1950"
        :to="2100"
        @update:model-value="(v) => set({ year: v ?? sheet.year })"
      />
      <label for="source">Where it comes from</label>
      <InputText
        id="source"
        :model-value="sheet.source"
        placeholder="Maker’s sheet of January 2026"
        @update:model-value="(v) => set({ source: v ?? '' })"
      />
      <label id="sisters">Sister models</label>
      <MultiSelect
        :model-value="[...sheet.sisters]"
        :options="sisterChoices"
        option-label="label"
        option-value="key"
        aria-labelledby="sisters"
        placeholder="none"
        @update:model-value="(v) => set({ sisters: v })"
      />
    </fieldset>
    <fieldset>
      <legend>What every unit has</legend>
      <ValuesEditor
        v-model:texts="texts"
        name="values"
        :model-value="sheet.values"
        @update:model-value="(values) => set({ values })"
      />
    </fieldset>
    <fieldset>
      <legend>Packages and options</legend>
      <details v-for="(pack, i) in sheet.packages" :key="pack.key">
        <summary>{{ pack.name }}</summary>
        <label :for="`pack-${i}`">Name</label>
        <InputText
          :id="`pack-${i}`"
          :model-value="pack.name"
          @update:model-value="(v) => emit('change', setPackage(sheet, i, { name: v ?? '' }))"
        />
        <div class="switch">
          <ToggleSwitch
            :input-id="`standard-${i}`"
            :model-value="pack.standard"
            @update:model-value="(v) => emit('change', setPackage(sheet, i, { standard: v }))"
          />
          <label :for="`standard-${i}`">On every unit</label>
        </div>
        <p class="label">Adds and changes</p>
        <ValuesEditor
          v-model:texts="texts"
          :name="placeOfPackage(pack.key)"
          :model-value="pack.adds"
          @update:model-value="(adds) => emit('change', setPackage(sheet, i, { adds }))"
        />
        <label :id="`replaces-${i}`">Replaces</label>
        <MultiSelect
          :model-value="[...pack.replaces]"
          :options="featureChoices"
          option-label="label"
          option-value="key"
          filter
          :filter-fields="searched"
          auto-filter-focus
          reset-filter-on-hide
          :aria-labelledby="`replaces-${i}`"
          placeholder="nothing"
          @update:model-value="(v) => emit('change', setPackage(sheet, i, { replaces: v }))"
        />
        <label :id="`forbids-${i}`">Not with</label>
        <MultiSelect
          :model-value="[...pack.forbids]"
          :options="[...otherPackages(sheet, i)]"
          option-label="label"
          option-value="key"
          :aria-labelledby="`forbids-${i}`"
          placeholder="no other"
          @update:model-value="(v) => emit('change', setPackage(sheet, i, { forbids: v }))"
        />
        <label :for="`note-${i}`">Worth saying</label>
        <InputText
          :id="`note-${i}`"
          :model-value="pack.note ?? ''"
          @update:model-value="
            (v) => emit('change', setPackage(sheet, i, { note: v || undefined }))
          "
        />
        <Button
          type="button"
          severity="secondary"
          size="small"
          label="Remove this package"
          @click="dropPackage(i)"
        />
      </details>
      <Button
        type="button"
        severity="secondary"
        label="Add a package"
        @click="emit('change', addPackage(sheet))"
      />
    </fieldset>
    <fieldset>
      <legend>Mid-year changes</legend>
      <details v-for="(change, i) in sheet.midYear" :key="i">
        <summary>From {{ change.from }}</summary>
        <label :for="`from-${i}`">Built from</label>
        <InputText
          :id="`from-${i}`"
          :model-value="change.from"
          placeholder="2026-02"
          @update:model-value="(v) => emit('change', setMidYear(sheet, i, { from: v ?? '' }))"
        />
        <label :for="`says-${i}`">In a few words</label>
        <InputText
          :id="`says-${i}`"
          :model-value="change.says"
          @update:model-value="(v) => emit('change', setMidYear(sheet, i, { says: v ?? '' }))"
        />
        <ValuesEditor
          v-model:texts="texts"
          :name="placeOfMidYear(i)"
          :model-value="change.values"
          @update:model-value="(values) => emit('change', setMidYear(sheet, i, { values }))"
        />
        <label :id="`without-${i}`">No longer there</label>
        <MultiSelect
          :model-value="[...change.without]"
          :options="featureChoices"
          option-label="label"
          option-value="key"
          filter
          :filter-fields="searched"
          auto-filter-focus
          reset-filter-on-hide
          :aria-labelledby="`without-${i}`"
          placeholder="nothing"
          @update:model-value="(v) => emit('change', setMidYear(sheet, i, { without: v }))"
        />
        <Button
          type="button"
          severity="secondary"
          size="small"
          label="Remove this change"
          @click="dropMidYear(i)"
        />
      </details>
      <Button
        type="button"
        severity="secondary"
        label="Add a change"
        @click="emit('change', addMidYear(sheet))"
      />
    </fieldset>
    <fieldset>
      <legend>What to say about it</legend>
      <label for="objections"
        >Objections and honest answers
        <span class="small soft"
          >one per line: what they say = the answer = the spec or feature it’s about</span
        ></label
      >
      <Textarea
        id="objections"
        :model-value="texts['objections'] ?? objectionsText"
        rows="5"
        @update:model-value="(text) => writing('objections', text ?? '')"
        @blur="written('objections', setObjections)"
      />
      <label for="would-change-text">We’d change <span class="small soft">a line each</span></label>
      <Textarea
        id="would-change-text"
        :model-value="texts['would-change'] ?? sheet.wouldChange.join('\n')"
        rows="3"
        @update:model-value="(text) => writing('would-change', text ?? '')"
        @blur="written('would-change', (text) => set({ wouldChange: linesOf(text) }))"
      />
    </fieldset>
    <footer>
      <p v-if="unread || (isAsked && missing)" class="wrong" role="alert">
        {{ unread || missing }}
      </p>
      <Button type="submit" label="See what changes" :loading="busy" />
      <Button type="button" severity="secondary" label="Cancel" @click="emit('cancel')" />
    </footer>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(420px, 100%), 1fr));
  gap: 0 36px;
  padding: 6px 24px 90px;
}

fieldset {
  display: grid;
  gap: 6px;
  align-content: start;
  min-width: 0;
  margin: 0;
  padding: 14px 0;
  border: 0;
}

legend {
  padding: 0;
  font: 700 18px var(--slab);
}

label,
.label {
  padding-top: 6px;
  font-weight: 600;
  font-size: 15px;
}

details {
  display: grid;
  gap: 6px;
  border-top: 1px solid var(--hairline);
}

details[open] {
  padding-bottom: 14px;
}

details > * {
  width: 100%;
}

summary {
  min-height: 44px;
  padding-top: 10px;
  font-weight: 600;
  cursor: pointer;
}

.switch {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 44px;
}

.switch label {
  padding: 0;
}

footer {
  position: fixed;
  inset: auto 0 0;
  z-index: 3;
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 10px;
  padding: 12px 24px;
  border-top: 1px solid var(--hairline);
  background: var(--leaf);
}
</style>
