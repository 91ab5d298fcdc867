<script setup lang="ts">
import Button from 'primevue/button';
import { onMounted, ref } from 'vue';
import { formatDate } from '@fair-gable/core/base/dates';
import { keepDays, type KeptBuyer } from '@fair-gable/core/yard/follow-up';
import NumberField from '../../base/controls/NumberField.vue';
import { ask, Plain } from '../../base/api/client.ts';
import { useBuyers } from '../follow-up/buyers.ts';
import { useDraft } from '../../base/draft/index.ts';
import FormNews from '../../base/controls/FormNews.vue';
import { useAttempt } from '../../base/attempt/index.ts';
import { useSession } from '../../base/session/session.ts';

/** Buyers’ names: for how long they are kept, given out to whoever they are of, and forgotten when they ask. */
const emit = defineEmits<{ changed: [] }>();
const session = useSession();
const buyers = useBuyers();
const { all } = buyers;
onMounted(buyers.load);
const { draft: days, keepWith } = useDraft<number | null>({
  place: () => 'settings.buyers',
  what: () => 'Days we keep names and contacts',
  fresh: () => session.session?.yard.keepBuyers ?? keepDays.usual,
});
const { busy, done, problem, attempt } = useAttempt();

const keep = (): Promise<boolean> =>
  keepWith(() =>
    attempt(async () => {
      const yard = session.session?.yard;
      if (!yard) return;
      const { name, system } = yard;
      const keepBuyers = days.value;
      if (keepBuyers === null) throw new Plain('Days: enter how many.');
      await ask('PUT /api/yard', { body: { name, system, keepBuyers } });
      await session.reload();
      emit('changed');
    }, 'Saved. It applies to buyers added from now on.'),
  );

/** A file of all that is kept of somebody, to be handed to them. */
const give = ({ buyer }: KeptBuyer): Promise<boolean> =>
  attempt(async () => {
    const everything = JSON.stringify(await buyers.everything(buyer.id), null, 2);
    const url = URL.createObjectURL(new Blob([everything], { type: 'application/json' }));
    const link = document.createElement('a');
    link.href = url;
    link.download = `what-we-keep-of-${buyer.name.toLowerCase().replaceAll(/\W+/g, '-')}.json`;
    link.click();
    URL.revokeObjectURL(url);
  }, `Saved as a file: everything we have on ${buyer.name}.`);

/** What cannot be taken back is asked first. */
const asked = ref<string>();
const forget = ({ buyer }: KeptBuyer): Promise<boolean> =>
  attempt(async () => {
    await buyers.forget(buyer.id);
    asked.value = undefined;
    emit('changed');
  }, 'Deleted.');
</script>

<template>
  <section aria-labelledby="buyers-title">
    <h2 id="buyers-title">Buyers</h2>
    <form @submit.prevent="keep">
      <div class="field">
        <label for="keep-buyers">Days we keep names and contacts</label>
        <NumberField
          v-model="days"
          name="Days"
          input-id="keep-buyers"
          :from="keepDays.least"
          :to="keepDays.most"
        />
        <span class="small soft"
          >After that they’re deleted automatically, with the messages to them.</span
        >
      </div>
      <div><Button type="submit" severity="secondary" label="Save" :loading="busy" /></div>
    </form>
    <FormNews :done="done" :problem="problem || buyers.problem.value" />
    <p v-if="all?.length === 0" class="soft">No names on file right now.</p>
    <ul>
      <li v-for="one in all" :key="one.buyer.id">
        <span
          ><strong>{{ one.buyer.name }}</strong>
          <span class="small soft">, until {{ formatDate(one.keepUntil) }}</span></span
        >
        <span v-if="asked === one.buyer.id" class="doors">
          Name, contact, notes, memos and messages are deleted for good.
          <button type="button" class="plain" @click="forget(one)">
            Delete {{ one.buyer.name }}
          </button>
          <button type="button" class="plain" @click="asked = undefined">Keep them</button>
        </span>
        <span v-else class="doors">
          <button type="button" class="plain" @click="give(one)">Save a copy</button>
          <button type="button" class="plain" @click="asked = one.buyer.id">Delete…</button>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 2px 16px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--hairline);
}

.doors {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  align-items: center;
}
</style>
