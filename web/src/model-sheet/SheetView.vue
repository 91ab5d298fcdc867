<script setup lang="ts">
import { Download } from '@lucide/vue';
import Button from 'primevue/button';
import { computed, onMounted, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import type { ModelSheet, Offer } from '@fair-gable/core';
import { saying } from '../api/client.ts';
import LostView from '../base/LostView.vue';
import { useSession } from '../people/session.ts';
import { blankSheet, offerText, withOffer } from './draft.ts';
import SheetForm from './SheetForm.vue';
import SheetReading from './SheetReading.vue';
import { sheetName, useSheets, type Touched } from './sheets.ts';
import TouchedUnits from './TouchedUnits.vue';

/** One model sheet: read, changed, and kept once one has seen which units that touches. */
const props = defineProps<{ sheet: string }>();
const sheets = useSheets();
const session = useSession();
const router = useRouter();

const isNew = computed(() => props.sheet === 'new');
const kept = computed(() => sheets.all.find(({ sheet }) => sheet.id === props.sheet));
const draft = ref<ModelSheet>();
const touched = ref<readonly Touched[]>();
/** Offers that the draft takes over; off the list once it is kept. */
const taken = ref<readonly Offer[]>([]);
const problem = ref('');
const busy = ref(false);
const isDropping = ref(false);

const begin = (): void => {
  if (isNew.value) draft.value = blankSheet(crypto.randomUUID(), new Date().getFullYear());
};
onMounted(async () => {
  await sheets.load();
  begin();
});
watch(isNew, begin);

const guarded = async (work: () => Promise<void>): Promise<void> => {
  busy.value = true;
  problem.value = '';
  try {
    await work();
  } catch (error) {
    problem.value = saying(error);
  } finally {
    busy.value = false;
  }
};

const change = (sheet: ModelSheet): void => {
  draft.value = sheet;
  touched.value = undefined;
};

const takeOver = (offer: Offer): void => {
  const under = draft.value ?? kept.value?.sheet;
  if (!under) return;
  change(withOffer(under, offer));
  taken.value = [...taken.value, offer];
};

const look = (): Promise<void> =>
  guarded(async () => {
    if (draft.value) touched.value = await sheets.preview(draft.value);
  });

const keep = (units: readonly string[]): Promise<void> =>
  guarded(async () => {
    const sheet = draft.value;
    if (!sheet) return;
    await sheets.put(sheet, kept.value?.version ?? 0, units);
    for (const offer of taken.value) await sheets.dropOffer(sheet.id, offer.id);
    leave();
    if (isNew.value) await router.replace({ name: 'model-sheet', params: { sheet: sheet.id } });
  });

const leave = (): void => {
  draft.value = undefined;
  touched.value = undefined;
  taken.value = [];
};

const cancel = (): void => {
  leave();
  if (isNew.value) void router.push({ name: 'model-sheets' });
};

const drop = (): Promise<void> =>
  guarded(async () => {
    await sheets.drop(props.sheet);
    await router.push({ name: 'model-sheets' });
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
          :label="isDropping ? 'Yes, take this sheet away' : 'Take away'"
          @click="isDropping ? drop() : (isDropping = true)"
        />
        <Button v-if="isDropping" severity="secondary" label="Back" @click="isDropping = false" />
        <Button label="Change it" @click="change(kept.sheet)" />
      </div>
    </header>
    <p v-if="isDropping" class="notice">Units keep what they took over from it.</p>
    <p v-if="problem || sheets.problem" class="notice wrong" role="alert">
      {{ problem || sheets.problem }}
    </p>
    <section v-if="openOffers.length" class="offers" aria-labelledby="offers">
      <h2 id="offers">Found on units, and offered to this sheet</h2>
      <ul>
        <li v-for="offer in openOffers" :key="offer.id">
          <strong>{{ offerText(offer, session.system) }}</strong>
          <span class="small soft">{{ offer.unitName }}, {{ offer.by }}</span>
          <template v-if="session.may('manage')">
            <Button size="small" label="Take it over" @click="takeOver(offer)" />
            <Button
              size="small"
              severity="secondary"
              label="Leave it"
              @click="guarded(() => sheets.dropOffer(props.sheet, offer.id))"
            />
          </template>
        </li>
      </ul>
    </section>
    <template v-if="draft">
      <TouchedUnits
        v-if="touched"
        :units="touched"
        :busy="busy"
        @keep="keep"
        @back="touched = undefined"
      />
      <SheetForm
        v-else
        :sheet="draft"
        :busy="busy"
        @change="change"
        @look="look"
        @cancel="cancel"
      />
    </template>
    <SheetReading v-else-if="kept" :sheet="kept.sheet" />
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
