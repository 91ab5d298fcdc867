<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { ratesOf, waterStyles, type YardWater } from '@fair-gable/core/numbers/water';
import type { WaterRates } from '@fair-gable/core/unit/record';
import { ask } from '../../base/api/client.ts';
import WaterRatesFields from '../../numbers/benches/WaterRatesFields.vue';
import FormNews from '../../base/controls/FormNews.vue';
import { useAttempt } from '../../base/attempt/index.ts';
import { useSession } from '../../base/session/session.ts';

/** How much water a person uses in a day, as this yard reckons it; every new question about nights starts from it. */
const emit = defineEmits<{ changed: [] }>();
const session = useSession();
const water = ref<YardWater>({ ...session.session?.yard.water });
const { busy, done, problem, attempt } = useAttempt();

const rows = computed(() =>
  waterStyles.map((style) => ({
    style,
    rates: water.value[style.key] ?? ratesOf(style),
    own: water.value[style.key] !== undefined,
  })),
);
const put = (key: keyof YardWater, rates: WaterRates): void => {
  water.value = { ...water.value, [key]: rates };
};
const usual = (key: keyof YardWater): void => {
  water.value = Object.fromEntries(Object.entries(water.value).filter(([style]) => style !== key));
};
const keep = (): Promise<boolean> =>
  attempt(async () => {
    const yard = session.session?.yard;
    if (!yard) return;
    const { name, system } = yard;
    await ask('PUT /api/yard', { body: { name, system, water: water.value } });
    await session.reload();
    emit('changed');
  }, 'Saved. New questions about nights start from it.');
</script>

<template>
  <section aria-labelledby="water-title">
    <h2 id="water-title">Water without a hookup</h2>
    <form @submit.prevent="keep">
      <div v-for="{ style, rates, own } in rows" :key="style.key" class="field">
        <strong>{{ style.label }}</strong>
        <WaterRatesFields
          :rates="rates"
          :own="own"
          :system="session.system"
          @set="(to) => put(style.key, to)"
          @usual="usual(style.key)"
        />
      </div>
      <div><Button type="submit" severity="secondary" label="Save" :loading="busy" /></div>
      <FormNews :done="done" :problem="problem" />
    </form>
  </section>
</template>
