<script setup lang="ts">
import Button from 'primevue/button';
import { computed, onMounted } from 'vue';
import { nameOf } from '@fair-gable/core/unit/record';
import { onDay } from '../../base/clock/index.ts';
import DraftList from './DraftList.vue';
import { useSession } from '../../base/session/session.ts';
import OwnClashes from '../../unit/record/OwnClashes.vue';
import { useUnits } from '../../unit/units/units.ts';
import { describe } from '../../base/device/index.ts';
import { useOutbox } from '../../base/device/index.ts';
import type { KeptDeclined } from '../../base/device/index.ts';

/** What this person did on this device and the server does not have; and what wants a decision. */
const outbox = useOutbox();
const units = useUnits();
const session = useSession();

onMounted(() => {
  if (!units.loaded) void units.load();
});

const unitName = (id: string): string => {
  const unit = units.summaries.get(id);
  return unit ? nameOf(unit.record) : 'a unit on this yard';
};
const told = (item: Parameters<typeof describe>[0]) => describe(item, unitName, session.system);

const isSent = computed(
  () => outbox.unsent + outbox.waiting.clashes.length + outbox.waiting.declined.length === 0,
);

/** The entry as a file, for whoever can still do something with it. */
const saveAsFile = ({ item, reason, at }: KeptDeclined): void => {
  const text = JSON.stringify({ reason, at, item }, undefined, 2);
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type: 'application/json' }));
  link.download = `not-taken-${onDay(at)}.json`;
  link.click();
  URL.revokeObjectURL(link.href);
};

const leaveOut = (declined: KeptDeclined): void => {
  const question = `Discard “${told(declined.item).what}” for good? It isn’t saved anywhere else.`;
  if (window.confirm(question)) void outbox.takeUp([declined], false);
};
</script>

<template>
  <div class="unsent">
    <h1>Not sent yet</h1>
    <p v-if="isSent" class="empty">
      Everything’s on the server. What you do without a network waits here and sends itself.
    </p>
    <section v-if="outbox.waiting.clashes.length" aria-labelledby="clashes">
      <h2 id="clashes">Two values: choose one</h2>
      <OwnClashes>
        <template #before="{ clash }">
          <RouterLink :to="{ name: 'record', params: { id: clash.unit } }">{{
            unitName(clash.unit)
          }}</RouterLink>
        </template>
      </OwnClashes>
    </section>
    <DraftList />
    <section v-if="outbox.waiting.declined.length" aria-labelledby="declined">
      <h2 id="declined">Refused by the server</h2>
      <ul>
        <li v-for="one in outbox.waiting.declined" :key="one.key" class="declined">
          <span
            ><strong>{{ told(one.item).where }}</strong> {{ told(one.item).what }}</span
          >
          <span class="wrong">{{ one.reason }}</span>
          <span class="deeds">
            <Button
              size="small"
              severity="secondary"
              label="Try again"
              @click="outbox.takeUp([one], true)"
            />
            <Button
              size="small"
              severity="secondary"
              label="Save as a file"
              @click="saveAsFile(one)"
            />
            <Button size="small" severity="secondary" label="Discard" @click="leaveOut(one)" />
          </span>
        </li>
      </ul>
    </section>
    <section v-if="outbox.unsent" aria-labelledby="waiting">
      <h2 id="waiting">Waiting for the server</h2>
      <p class="soft">It’s saved on this device and sends itself as soon as the server answers.</p>
      <ol>
        <li v-for="{ key, item } in outbox.waiting.queue" :key="key">
          <strong>{{ told(item).where }}</strong>
          <span>{{ told(item).what }}</span>
        </li>
      </ol>
      <Button severity="secondary" label="Send now" @click="outbox.flush()" />
    </section>
  </div>
</template>

<style scoped>
.unsent {
  display: grid;
  gap: 20px;
  max-width: 900px;
  padding: 14px 24px 40px;
}

h1 {
  font-size: 26px;
}

h2 {
  padding-bottom: 4px;
  border-bottom: 1px solid var(--ink);
  font-size: 18px;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  padding: 8px 0;
  border-bottom: 1px solid var(--hairline);
}

.declined {
  display: grid;
  gap: 6px;
}

.deeds {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

section {
  display: grid;
  gap: 10px;
  justify-items: start;
}

ul,
ol,
h2 {
  width: 100%;
}

@media (width < 760px) {
  .unsent {
    padding: 12px 16px 40px;
  }

  .deeds :deep(.p-button) {
    min-height: var(--thumb);
  }
}
</style>
