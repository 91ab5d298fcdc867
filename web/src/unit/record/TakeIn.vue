<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { counted, inText } from '@fair-gable/core/base/words';
import { knownBy, specEntry, type HowKnown as How } from '@fair-gable/core/unit/catalog';
import { emptyRecord, type Change } from '@fair-gable/core/unit/record';
import { useAttempt } from '../../base/attempt/index.ts';
import SelectField from '../../base/controls/SelectField.vue';
import { useDraft } from '../../base/draft/index.ts';
import HowKnown from '../../base/evidence/HowKnown.vue';
import OutlineStrip from '../outline/OutlineStrip.vue';
import { useSession } from '../../base/session/session.ts';
import { drafted, objectionsTo } from '../units/units.ts';
import { useEdits } from './edits.ts';
import MarginNote from './MarginNote.vue';
import SpecInput from './SpecInput.vue';
import { emptyUnit, textsOf, unitGroups, unitTyped, waysHere } from './typed-unit.ts';
import { useStillHere } from '../../base/controls/still-here.ts';

/** A new unit from nothing, by typing what its labels say. */
const edits = useEdits();
const session = useSession();
const router = useRouter();
const isStillHere = useStillHere();
const newId = crypto.randomUUID();

const { draft, isTyped, clear, keepWith } = useDraft({
  place: () => 'take-in',
  what: () => 'A unit being added',
  fresh: () => emptyUnit(newId),
  typed: ({ typed }) => typed,
});
const { busy, problem, attempt } = useAttempt();
/** Groups whose fields say one by one how they are known. */
const oneByOne = ref<readonly string[]>([]);
const toggleOneByOne = (title: string): void => {
  oneByOne.value = oneByOne.value.includes(title)
    ? oneByOne.value.filter((one) => one !== title)
    : [...oneByOne.value, title];
};

const setHow = (title: string, how: How): void => {
  draft.value.hows[title] = how;
};
const howChoices = knownBy.map(({ key, label }) => ({ key, label }));

const read = computed(() => unitTyped(draft.value, session.system));
const changes = computed(() => read.value.changes);
const unreadable = computed(() => read.value.unreadable);
const record = computed(() => drafted(emptyRecord, changes.value, 'you'));

/** What can be mended on this page; the rest is said on the record. */
const objections = computed(() =>
  objectionsTo(record.value, session.system).filter((o) => waysHere(o).length > 0),
);

/** A suggested value goes back into its field as it would be typed. */
const enter = (changed: readonly Change[]): void => {
  Object.assign(draft.value.typed, textsOf(record.value, changed, session.system));
};

const focusOn = (key: string): void =>
  document.querySelector<HTMLInputElement>(`[data-take="${key}"] input`)?.focus();

const emptyAll = (): void => {
  if (window.confirm('Clear all fields? What you typed isn’t saved anywhere else.')) clear();
};

const take = async (): Promise<void> => {
  const { id } = draft.value;
  const isTaken = await keepWith(() =>
    attempt(() => edits.create(id, changes.value, 'a unit taken in')),
  );
  if (isTaken && isStillHere())
    await router.push({ name: 'record', params: { id, station: 'labels' } });
};
</script>

<template>
  <form class="take-in" @submit.prevent="take">
    <header class="page-head">
      <h1>Add a unit</h1>
      <p class="soft">Type what its labels say. Skip what isn’t there: not known beats a guess.</p>
    </header>
    <div class="fields">
      <fieldset v-for="group in unitGroups" :key="group.title">
        <legend>{{ group.title }}</legend>
        <div v-for="key in group.keys" :key="key" :data-take="key">
          <SpecInput
            v-model="draft.typed[key] as string"
            :spec="specEntry(key)"
            :system="session.system"
          />
          <SelectField
            v-if="oneByOne.includes(group.title)"
            v-model="draft.own[key]"
            :label="`How you know ${inText(specEntry(key).label)}`"
            :choices="howChoices"
            :placeholder="`same as the others: ${draft.hows[group.title]}`"
            clearable
            class="own"
          />
        </div>
        <div class="hows">
          <HowKnown
            :model-value="draft.hows[group.title] ?? 'read'"
            :name="`take-in-${group.title}`"
            @update:model-value="(how) => setHow(group.title, how)"
          />
          <button
            type="button"
            class="each small"
            :aria-expanded="oneByOne.includes(group.title)"
            @click="toggleOneByOne(group.title)"
          >
            {{ oneByOne.includes(group.title) ? 'All known the same way' : 'Set one by one' }}
          </button>
        </div>
      </fieldset>
    </div>
    <aside>
      <OutlineStrip :record="record" :system="session.system" label="The unit as typed so far" />
      <p class="small soft">Dashed means not measured. Add positions at the stations.</p>
      <MarginNote
        v-for="objection in objections"
        :key="objection.id"
        :objection="{ ...objection, ways: waysHere(objection) }"
        may-write
        problem=""
        @enter="(_, way) => enter(way.changes)"
        @go="(way) => focusOn(way.field)"
      />
      <p v-if="unreadable.length" class="wrong" role="alert">
        {{
          unreadable.length === 1
            ? 'One field can’t be read yet; why is next to it.'
            : `${unreadable.length} fields can’t be read yet; why is next to each.`
        }}
      </p>
      <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
      <Button
        type="submit"
        :label="`Add it with ${counted(changes.length, 'value')}`"
        :disabled="changes.length === 0 || unreadable.length > 0"
        :loading="busy"
      />
      <Button
        v-if="isTyped"
        type="button"
        severity="secondary"
        label="Clear all fields"
        @click="emptyAll"
      />
    </aside>
  </form>
</template>

<style scoped>
.take-in {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 360px;
}

header {
  grid-column: 1 / -1;
}

.fields {
  border-right: 1px solid var(--hairline);
  padding: 8px 24px 40px;
}

fieldset {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 12px 18px;
  align-items: start;
  width: 100%;
  margin: 0;
  padding: 10px 0 18px;
  border: 0;
  border-bottom: 1px solid var(--hairline);
}

.hows {
  display: grid;
  grid-column: 1 / -1;
  justify-items: start;
  gap: 4px;
}

.hows :deep(.how) {
  width: 100%;
}

.each {
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--soft);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

legend {
  float: left;
  width: 100%;
  grid-column: 1 / -1;
  padding: 0;
  font: 700 18px var(--slab);
}

aside {
  position: sticky;
  top: 0;
  display: flex;
  flex-direction: column;
  align-self: start;
  gap: 16px;
  min-height: 80vh;
  padding: 18px 24px;
}

@media (width < 1000px) {
  .take-in {
    grid-template-columns: 1fr;
  }

  header,
  .fields,
  aside {
    padding-inline: 16px;
  }

  .fields {
    border: 0;
  }

  aside {
    position: static;
    min-height: 0;
  }

  aside :deep(.p-button) {
    min-height: 52px;
  }
}
</style>
