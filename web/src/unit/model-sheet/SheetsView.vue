<script setup lang="ts">
import Button from 'primevue/button';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import {
  readModelSheetFile,
  sheetFor,
  type KeptSheet,
  type ModelSheet,
} from '@fair-gable/core/unit/model-sheet';
import { Plain } from '../../base/api/client.ts';
import { useAttempt } from '../../base/attempt/index.ts';
import { when } from '../../base/clock/index.ts';
import { useDrafts } from '../../base/draft/index.ts';
import { jsonIn } from '../../base/files/json.ts';
import { useSession } from '../../base/session/session.ts';
import { useUnits } from '../units/units.ts';
import { changesOfSheet } from './changes.ts';
import { sheetName, useSheets } from './sheets.ts';
import { useStillHere } from '../../base/controls/still-here.ts';

/** What makers say of their models: the yard's sheets, and how many units follow each. */
const sheets = useSheets();
const units = useUnits();
const session = useSession();
const router = useRouter();
const isStillHere = useStillHere();
const drafts = useDrafts();
const { problem, attempt } = useAttempt();
const file = ref<HTMLInputElement>();

onMounted(() => {
  void sheets.load();
  if (!units.loaded) void units.load();
});

const followers = (id: string): string => {
  const of = units.list.filter(({ record }) => sheetFor(record, sheets.plain)?.id === id);
  if (of.length === 0) return 'no unit of it here';
  const following = of.filter(({ verdict }) => verdict.followsSheet).length;
  return `${of.length} here, ${following} ${following === 1 ? 'follows' : 'follow'} it`;
};

const series = computed(() => {
  const bySeries = new Map<string, KeptSheet[]>();
  for (const kept of sheets.all) {
    const name = kept.sheet.series;
    bySeries.set(name, [...(bySeries.get(name) ?? []), kept]);
  }
  return [...bySeries];
});

/** What the file says otherwise is a draft over the sheet that is here: seen, then kept or left. */
const draftOver = ({ version }: KeptSheet, sheet: ModelSheet, where: string): void =>
  drafts.put(`sheets.${sheet.id}`, {
    value: { sheet, texts: {}, basedOn: version, taken: [], isFromFile: true },
    what: `Model sheet ${sheetName(sheet)}, from a file`,
    where,
    at: new Date().toISOString(),
  });

/** Keeps a sheet that is not here, or puts it as a draft over the one that is. @throws Plain where there is nothing to look at */
const takeIn = async (sheet: ModelSheet, where: string): Promise<void> => {
  const there = sheets.all.find((kept) => kept.sheet.id === sheet.id);
  if (!there) await sheets.put(sheet, 0, []);
  else if (changesOfSheet(there.sheet, sheet, session.system).length > 0)
    draftOver(there, sheet, where);
  else throw new Plain(`${sheetName(sheet)} is here already, and says the same.`);
};

/** A sheet from a file becomes a draft of its own, looked at before it is kept. */
const takeFrom = async (chosen: File): Promise<void> => {
  const read = readModelSheetFile(await jsonIn(chosen, 'a model sheet'));
  if (!read.ok) throw new Plain(read.message);
  const address = router.resolve({ name: 'model-sheet', params: { sheet: read.sheet.id } });
  await takeIn(read.sheet, address.fullPath);
  if (isStillHere()) await router.push(address);
};
const bringIn = async (): Promise<void> => {
  const chosen = file.value?.files?.[0];
  if (!chosen) return;
  await attempt(() => takeFrom(chosen));
  if (file.value) file.value.value = '';
};
</script>

<template>
  <section class="sheets">
    <header class="page-head">
      <h1>Model sheets</h1>
      <p class="soft">What the maker says. Units start from it and show where they differ.</p>
      <div v-if="session.may('manage')" class="actions">
        <input
          ref="file"
          type="file"
          accept=".json"
          hidden
          aria-label="Model sheet file"
          @change="bringIn"
        />
        <Button severity="secondary" label="Import a sheet file" @click="file?.click()" />
        <Button
          label="New sheet"
          @click="router.push({ name: 'model-sheet', params: { sheet: 'new' } })"
        />
      </div>
    </header>
    <p v-if="problem || sheets.problem" class="notice wrong" role="alert">
      {{ problem || sheets.problem }}
    </p>
    <p v-else-if="sheets.loaded && sheets.all.length === 0" class="notice">
      No sheets yet. Write one from the maker’s spec sheet, or import a file from another yard. Then
      one tap fills a new unit, and you only check what differs.
    </p>
    <section v-for="[name, kept] in series" :key="name" :aria-label="name">
      <h2>{{ name }}</h2>
      <ul>
        <li v-for="{ sheet, version, by, at, offers } in kept" :key="sheet.id">
          <RouterLink :to="{ name: 'model-sheet', params: { sheet: sheet.id } }">
            <strong>{{ sheet.floorPlan || 'The whole series' }} · {{ sheet.year }}</strong>
            <span>{{
              [
                ...sheet.packages.map((p) => p.name),
                ...sheet.midYear.map((m) => `changed ${m.from}`),
              ].join(' · ') || 'no packages'
            }}</span>
            <span class="soft">{{
              sheet.floorPlan ? followers(sheet.id) : 'under every model that year'
            }}</span>
            <span v-if="offers.length" class="offers"
              >{{ offers.length }} found on units, to review</span
            >
            <span v-else class="small soft">version {{ version }}, {{ by }}, {{ when(at) }}</span>
          </RouterLink>
        </li>
      </ul>
    </section>
  </section>
</template>

<style scoped>
.notice {
  padding: 20px 24px;
  max-width: 60ch;
}

h2 {
  padding: 18px 24px 6px;
  font-size: 20px;
}

li a {
  display: grid;
  grid-template-columns: minmax(150px, 0.6fr) minmax(0, 1.6fr) minmax(130px, 0.8fr) minmax(
      150px,
      0.7fr
    );
  gap: 4px 16px;
  align-items: baseline;
  padding: 12px 24px;
  border-top: 1px solid var(--hairline);
  text-decoration: none;
}

li a:hover {
  background: var(--leaf);
  box-shadow: inset 3px 0 0 var(--ink);
}

strong {
  font: 700 18px var(--slab);
}

.offers {
  padding-left: 10px;
  border-left: 3px solid var(--amber);
}

@media (width < 760px) {
  h2,
  li a {
    padding-inline: 16px;
  }

  li a {
    grid-template-columns: 1fr;
  }
}
</style>
