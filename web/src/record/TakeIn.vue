<script setup lang="ts">
import { useSessionStorage } from '@vueuse/core';
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import {
  emptyRecord,
  specEntry,
  type Change,
  type HowKnown as How,
  type Objection,
  type Spec,
  type SpecKey,
  type Way,
} from '@fair-gable/core';
import { saying } from '../api/client.ts';
import HowKnown from '../evidence/HowKnown.vue';
import OutlineStrip from '../outline/OutlineStrip.vue';
import { useSession } from '../people/session.ts';
import { drafted, objectionsTo } from '../yard/units.ts';
import { useEdits } from './edits.ts';
import MarginNote from './MarginNote.vue';
import SpecInput from './SpecInput.vue';
import { asTyped, readTyped } from './typing.ts';

/** A new unit from nothing, by typing what its labels say. */
const edits = useEdits();
const session = useSession();
const router = useRouter();

const groups: readonly { title: string; keys: readonly SpecKey[] }[] = [
  {
    title: 'What it is called',
    keys: ['stockNumber', 'series', 'floorPlan', 'modelYear', 'condition'],
  },
  {
    title: 'VIN and weight labels',
    keys: ['vin', 'gvwr', 'uvw', 'ccc', 'hitchWeight', 'axleRating'],
  },
  { title: 'Tyre label', keys: ['tyreSize', 'loadRange', 'coldPressure'] },
  { title: 'Size', keys: ['overallLength', 'boxLength', 'width', 'heightWithAc'] },
  {
    title: 'Tanks, propane, power',
    keys: ['freshTank', 'grayTank', 'blackTank', 'lpCylinders', 'shoreAmps'],
  },
];
const keys = groups.flatMap((group) => group.keys);

const blank = () => Object.fromEntries(keys.map((key) => [key, '']));
const typed = useSessionStorage<Record<string, string>>('take-in', blank(), {
  mergeDefaults: true,
});
// One id for all tries: sent twice, the unit is made once.
const newId = crypto.randomUUID();
const how = ref<How>('read');
const problem = ref('');
const busy = ref(false);

const readings = computed(() =>
  keys.map((key) => {
    const spec: Spec = specEntry(key);
    return { key, reading: readTyped(spec, typed.value[key] ?? '', session.system) };
  }),
);

const changes = computed<readonly Change[]>(() =>
  readings.value.flatMap(({ key, reading }) =>
    reading.value
      ? [{ part: 'specs', key, value: reading.value, how: how.value, basedOn: 0 } as const]
      : [],
  ),
);
const unreadable = computed(() => readings.value.filter(({ reading }) => reading.problem));
const record = computed(() => drafted(emptyRecord, changes.value, 'you'));

/** What can be mended on this page; the rest is said on the record. */
const objections = computed(() =>
  objectionsTo(record.value, session.system).filter((o) => waysHere(o).length > 0),
);

/** A suggested value goes back into its field as it would be typed. */
const enter = (changed: readonly Change[]): void => {
  for (const { key, part } of changed) {
    if (part !== 'specs') continue;
    const entry = drafted(record.value, changed, 'you').specs[key as SpecKey];
    typed.value = {
      ...typed.value,
      [key]: asTyped(specEntry(key as SpecKey), entry, session.system),
    };
  }
};

/** Ways that can be gone on this page: a reason is stated on the record, and only fields that stand here are gone to. */
const waysHere = ({ ways }: Objection): readonly Way[] =>
  ways.filter(
    (way) => way.kind === 'enter' || (way.kind === 'go' && String(way.field) in typed.value),
  );

const focusOn = (key: string): void =>
  document.querySelector<HTMLInputElement>(`[data-take="${key}"] input`)?.focus();

const take = async (): Promise<void> => {
  busy.value = true;
  problem.value = '';
  try {
    await edits.create(newId, changes.value, 'a unit taken in');
    typed.value = blank();
    await router.push({ name: 'record', params: { id: newId, station: 'labels' } });
  } catch (error) {
    problem.value = saying(error);
  } finally {
    busy.value = false;
  }
};
</script>

<template>
  <form class="take-in" @submit.prevent="take">
    <header class="page-head">
      <h1>Take in a unit</h1>
      <p class="soft">
        Type what its labels say. Leave out what is not there: not known is better than guessed.
      </p>
    </header>
    <div class="fields">
      <fieldset v-for="group in groups" :key="group.title">
        <legend>{{ group.title }}</legend>
        <SpecInput
          v-for="key in group.keys"
          :key="key"
          v-model="typed[key] as string"
          :data-take="key"
          :spec="specEntry(key)"
          :system="session.system"
        />
      </fieldset>
    </div>
    <aside>
      <OutlineStrip :record="record" :system="session.system" label="The unit as typed so far" />
      <p class="small soft">Dashed is not measured. Places are added at the stations.</p>
      <MarginNote
        v-for="objection in objections"
        :key="objection.id"
        :objection="{ ...objection, ways: waysHere(objection) }"
        may-write
        problem=""
        @enter="(_, way) => enter(way.changes)"
        @go="(way) => focusOn(way.field)"
      />
      <HowKnown v-model="how" name="take-in-how" />
      <p v-if="unreadable.length" class="wrong" role="alert">
        {{
          unreadable.length === 1
            ? 'One field cannot be read yet'
            : `${unreadable.length} fields cannot be read yet`
        }}; it stands beside the field.
      </p>
      <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
      <Button
        type="submit"
        :label="`Take it in with ${changes.length} ${changes.length === 1 ? 'value' : 'values'}`"
        :disabled="changes.length === 0 || unreadable.length > 0"
        :loading="busy"
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

aside :deep(.how) {
  grid-template-columns: repeat(3, 1fr);
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
