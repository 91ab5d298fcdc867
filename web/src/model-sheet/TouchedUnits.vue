<script setup lang="ts">
import Button from 'primevue/button';
import Checkbox from 'primevue/checkbox';
import { onMounted, ref } from 'vue';
import { fieldLabel, fieldText, followsSheet, type Change } from '@fair-gable/core';
import { useSession } from '../people/session.ts';
import { useUnits } from '../yard/units.ts';
import type { Touched } from './sheets.ts';

/** The units that a sheet would touch, before it is kept: which of them are to follow it. */
const props = defineProps<{ units: readonly Touched[]; busy: boolean }>();
const emit = defineEmits<{ keep: [units: readonly string[]]; back: [] }>();
const session = useSession();
const yard = useUnits();

/** Units that follow the sheet already go on following; others are asked for. */
const isFollowing = ({ id }: Touched): boolean => {
  const record = yard.units.get(id)?.record;
  return record !== undefined && followsSheet(record);
};
const chosen = ref<string[]>([]);
/** Opened by its address, the page has to fetch the yard's units before it knows which of them follow. */
onMounted(async () => {
  if (!yard.loaded) await yard.load();
  chosen.value = props.units.filter(isFollowing).map(({ id }) => id);
});

const shown = 6;
const textOf = ({ part, key, value, how }: Change): string =>
  `${fieldLabel(part, key)}: ${fieldText(part, key, value, how, session.system)}`;
</script>

<template>
  <section class="touched" aria-labelledby="touched-title">
    <h2 id="touched-title">
      {{
        units.length === 0
          ? 'No unit of this yard is touched'
          : `What this touches: ${units.length} ${units.length === 1 ? 'unit' : 'units'}`
      }}
    </h2>
    <p class="soft">
      What was read, measured or seen on a unit stays shown there; the sheet stands beside it.
    </p>
    <ul>
      <li v-for="unit in units" :key="unit.id">
        <Checkbox v-model="chosen" :input-id="`touch-${unit.id}`" :value="unit.id" />
        <label :for="`touch-${unit.id}`">
          <strong>{{ unit.name }}</strong> {{ unit.stockNumber ?? '' }}
          <span class="small soft"
            >{{ unit.changes.length }} {{ unit.changes.length === 1 ? 'field' : 'fields'
            }}{{ isFollowing(unit) ? '' : ', did not follow the sheet so far' }}</span
          >
          <span
            v-for="change in unit.changes.slice(0, shown)"
            :key="`${change.part}${change.key}`"
            class="change small"
            >{{ textOf(change) }}</span
          >
          <span v-if="unit.changes.length > shown" class="small soft"
            >and {{ unit.changes.length - shown }} more</span
          >
        </label>
      </li>
    </ul>
    <div class="actions">
      <Button
        :label="
          chosen.length === 0
            ? 'Keep the sheet, change no unit'
            : `Keep the sheet and change ${chosen.length} ${chosen.length === 1 ? 'unit' : 'units'}`
        "
        :loading="busy"
        @click="emit('keep', chosen)"
      />
      <Button severity="secondary" label="Back to the sheet" @click="emit('back')" />
    </div>
  </section>
</template>

<style scoped>
.touched {
  display: grid;
  gap: 10px;
  max-width: 860px;
  padding: 16px 24px 40px;
}

li {
  display: grid;
  grid-template-columns: 28px 1fr;
  align-items: start;
  padding: 10px 0;
  border-top: 1px solid var(--hairline);
}

label {
  display: grid;
  gap: 2px;
  min-height: 32px;
  cursor: pointer;
}

.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}

@media (width < 760px) {
  .touched {
    padding-inline: 16px;
  }
}
</style>
