<script setup lang="ts">
import { Download } from '@lucide/vue';
import Button from 'primevue/button';
import { computed, onMounted, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import type { ModelSheet, Offer, Touched } from '@fair-gable/core/unit/model-sheet';
import { useClock } from '../../base/clock/index.ts';
import { useAttempt } from '../../base/attempt/index.ts';
import LostView from '../../base/controls/LostView.vue';
import { useDraft } from '../../base/draft/index.ts';
import { useSession } from '../../base/session/session.ts';
import SelectField from '../../base/controls/SelectField.vue';
import ChangedSoFar from './ChangedSoFar.vue';
import { blankSheet, offerText, sheetFrom, withOffer } from './draft.ts';
import SheetForm from './SheetForm.vue';
import SheetHistory from './SheetHistory.vue';
import SheetReading from './SheetReading.vue';
import { sheetName, useSheets } from './sheets.ts';
import TouchedUnits from './TouchedUnits.vue';
import { useStillHere } from '../../base/controls/still-here.ts';

/** One model sheet: read, changed, and kept once one has seen which units that touches. */
const props = defineProps<{ sheet: string }>();
const sheets = useSheets();
const session = useSession();
const router = useRouter();
const isStillHere = useStillHere();

const thisYear = Number(useClock().today.slice(0, 4));
const isNew = computed(() => props.sheet === 'new');
const kept = computed(() => sheets.all.find(({ sheet }) => sheet.id === props.sheet));
interface Drafted {
  sheet?: ModelSheet;
  /** What is typed into its values and not taken yet. */
  texts: Record<string, string>;
  /** The version it was begun from. */
  basedOn: number;
  /** Offers that it takes over; off the list once it is kept. */
  taken: readonly Offer[];
  /** It came from a file, over a sheet that is here. */
  isFromFile?: boolean;
}
/** As it is kept; a new one, as it was begun. */
const isAsItWas = (sheet: ModelSheet): boolean =>
  JSON.stringify(sheet) ===
  JSON.stringify(isNew.value ? blankSheet(sheet.id, thisYear) : kept.value?.sheet);
const {
  draft: editing,
  clear,
  keepWith,
} = useDraft<Drafted>({
  place: () => `sheets.${props.sheet}`,
  what: () => (kept.value ? `Model sheet ${sheetName(kept.value.sheet)}` : 'A new model sheet'),
  fresh: () => ({ texts: {}, basedOn: kept.value?.version ?? 0, taken: [] }),
  // One that is only opened was not typed.
  typed: ({ sheet, texts }) => [sheet && !isAsItWas(sheet) ? sheet : null, texts],
});
const draft = computed(() => editing.value.sheet);
const taken = computed(() => editing.value.taken);
const touched = ref<readonly Touched[]>();
const { busy, problem, attempt } = useAttempt();
const isDropping = ref(false);

const begin = (): void => {
  if (isNew.value && !draft.value) change(blankSheet(crypto.randomUUID(), thisYear));
};
onMounted(async () => {
  await sheets.load();
  begin();
});
watch(isNew, begin);

const change = (sheet: ModelSheet): void => {
  const basedOn = draft.value ? editing.value.basedOn : (kept.value?.version ?? 0);
  editing.value = { ...editing.value, sheet, basedOn };
  touched.value = undefined;
};

/** Where a new sheet may begin. */
const others = computed(() =>
  sheets.plain.map((sheet) => ({ key: sheet.id, label: sheetName(sheet) })),
);
const from = ref<string>();
watch(from, (id) => {
  const other = sheets.plain.find((sheet) => sheet.id === id);
  if (!other || !draft.value) return;
  const year = draft.value.year > other.year ? draft.value.year : other.year;
  const sheet = sheetFrom(other, draft.value.id, year);
  begunAs.value = JSON.stringify(sheet);
  change(sheet);
});
/** Once somebody wrote in it, nothing may take its place. */
const begunAs = ref('');
const isOnlyBegun = computed(
  () => draft.value && (isAsItWas(draft.value) || JSON.stringify(draft.value) === begunAs.value),
);

const takeOver = (offer: Offer): void => {
  const under = draft.value ?? kept.value?.sheet;
  if (!under) return;
  change(withOffer(under, offer));
  editing.value = { ...editing.value, taken: [...taken.value, offer] };
};

const look = (): Promise<boolean> =>
  attempt(async () => {
    if (draft.value) touched.value = await sheets.preview(draft.value);
  });

const keep = async (units: readonly string[]): Promise<void> => {
  const { sheet, basedOn, taken: over } = editing.value;
  if (!sheet) return;
  const isKept = await keepWith(() =>
    attempt(async () => {
      await sheets.put(sheet, basedOn, units);
      for (const offer of over) await sheets.dropOffer(sheet.id, offer.id);
    }),
  );
  if (!isKept) return;
  leave();
  if (isNew.value && isStillHere())
    await router.replace({ name: 'model-sheet', params: { sheet: sheet.id } });
};

const leave = (): void => {
  clear();
  touched.value = undefined;
};

const cancel = (): void => {
  leave();
  if (isNew.value) void router.push({ name: 'model-sheets' });
};

const drop = (): Promise<boolean> =>
  attempt(async () => {
    await sheets.drop(props.sheet);
    if (isStillHere()) await router.push({ name: 'model-sheets' });
  });

const openOffers = computed(() =>
  (kept.value?.offers ?? []).filter((offer) => !taken.value.some((t) => t.id === offer.id)),
);
</script>

<template>
  <LostView v-if="sheets.loaded && !isNew && !kept && !sheets.problem" />
  <section v-else class="sheet">
    <header class="page-head">
      <h1>{{ kept ? sheetName(kept.sheet) : 'A new model sheet' }}</h1>
      <p v-if="kept" class="soft">{{ kept.sheet.source }}</p>
      <a v-if="kept" class="file" :href="`/api/model-sheets/${kept.sheet.id}/file`" download
        ><Download aria-hidden="true" />Save as a file</a
      >
      <div v-if="session.may('manage') && kept && !draft" class="actions">
        <Button
          severity="secondary"
          :label="isDropping ? 'Yes, delete this sheet' : 'Delete'"
          @click="isDropping ? drop() : (isDropping = true)"
        />
        <Button v-if="isDropping" severity="secondary" label="Back" @click="isDropping = false" />
        <Button label="Change it" @click="change(kept.sheet)" />
      </div>
    </header>
    <p v-if="isDropping" class="notice">Units keep what they got from it.</p>
    <p v-if="problem || sheets.problem" class="notice wrong" role="alert">
      {{ problem || sheets.problem }}
    </p>
    <section v-if="openOffers.length" class="offers" aria-labelledby="offers">
      <h2 id="offers">Found on units and suggested for this sheet</h2>
      <ul>
        <li v-for="offer in openOffers" :key="offer.id">
          <strong>{{ offerText(offer, session.system) }}</strong>
          <span class="small soft">{{ offer.unitName }}, {{ offer.by }}</span>
          <template v-if="session.may('manage')">
            <Button size="small" label="Add it" @click="takeOver(offer)" />
            <Button
              size="small"
              severity="secondary"
              label="Leave it"
              @click="attempt(() => sheets.dropOffer(props.sheet, offer.id))"
            />
          </template>
        </li>
      </ul>
    </section>
    <template v-if="draft">
      <p v-if="editing.isFromFile" class="notice amber" role="status">
        This sheet is here already, and the file differs. See what changes, then save it or cancel.
      </p>
      <ChangedSoFar v-if="kept" :from="kept.sheet" :to="draft" />
      <SelectField
        v-if="isNew && others.length && isOnlyBegun"
        v-model="from"
        label="Start from a sister model or last year’s"
        :choices="others"
        placeholder="from nothing"
        filter
        class="notice begin"
      />
      <TouchedUnits
        v-if="touched"
        :sheet="draft"
        :before="kept?.sheet"
        :units="touched"
        :busy="busy"
        @keep="keep"
        @back="touched = undefined"
      />
      <SheetForm
        v-else
        v-model:texts="editing.texts"
        :sheet="draft"
        :busy="busy"
        @change="change"
        @look="look"
        @cancel="cancel"
      />
    </template>
    <template v-else-if="kept">
      <SheetReading :sheet="kept.sheet" />
      <SheetHistory
        :sheet="kept.sheet.id"
        :version="kept.version"
        :may-write="session.may('manage')"
        @back="change"
      />
    </template>
  </section>
</template>

<style scoped>
.file {
  display: inline-flex;
  align-items: center;
  gap: 5px;
  color: var(--soft);
  font-size: 15px;
}

.file svg {
  width: 17px;
  height: 17px;
}

.notice,
.offers {
  padding: 14px 24px;
}

.begin {
  display: grid;
  justify-items: start;
  gap: 3px;
}

.offers {
  border-bottom: 1px solid var(--hairline);
}

.offers h2 {
  font-size: 18px;
}

.offers li {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 6px 14px;
  padding: 8px 0 8px 14px;
  border-left: 3px solid var(--amber);
  margin-top: 8px;
}

@media (width < 760px) {
  .notice,
  .offers {
    padding-inline: 16px;
  }
}
</style>
