<script setup lang="ts">
import Select from 'primevue/select';
import { computed } from 'vue';
import { useShown } from '../../base/controls/shown.ts';
import { useRouter } from 'vue-router';
import { ask } from '../../base/api/client.ts';
import { useAttempt } from '../../base/attempt/index.ts';
import { useSession } from '../../base/session/session.ts';
import { useUnits } from '../../unit/units/units.ts';

/** Which of one's yards one is at; not there for whoever has only one. */
const session = useSession();
const units = useUnits();
const router = useRouter();
const { busy, problem, attempt } = useAttempt();
const shown = useShown(
  () => session.session?.yard.id,
  () => busy.value,
);
const yards = computed(() => session.session?.yards ?? []);

const go = (yard: string): Promise<boolean> =>
  attempt(async () => {
    await ask('PUT /api/session/yard', { body: { yard } });
    await session.reload();
    units.leave();
    await units.load();
    await router.push({ name: 'yard' });
  });
</script>

<template>
  <Select
    v-if="yards.length > 1"
    v-model="shown"
    :options="[...yards]"
    option-label="name"
    option-value="id"
    size="small"
    aria-label="Yard"
    @update:model-value="go"
  />
  <span v-if="problem" class="wrong" role="alert">{{ problem }}</span>
</template>
