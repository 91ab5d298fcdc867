<script setup lang="ts">
import Button from 'primevue/button';
import Drawer from 'primevue/drawer';
import { computed, ref, watch } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import type { Point } from '@fair-gable/core/show/cards';
import { replan } from '@fair-gable/core/show/plan';
import type { Mark } from '@fair-gable/core/show/walk';
import { stationEntry, type StationKey } from '@fair-gable/core/unit/catalog';
import NumberField from '../../base/controls/NumberField.vue';
import MarkForm from './MarkForm.vue';
import { markButtons, markPlace, type Sheet } from './sheet.ts';
import { useWalk } from './walk.ts';

/** The sheet over a card: where to jump, what was missed, or words to a mark. */
const props = defineProps<{ mark: Mark; answers: readonly Point[] }>();
const sheet = defineModel<Sheet>();
const emit = defineEmits<{
  jump: [station: StationKey];
  turnTo: [point: Point];
  mark: [words: string, spoken: Blob | undefined];
  replan: [minutes: number, keep: readonly string[]];
}>();

const walks = useWalk();

const title = computed(() => {
  if (sheet.value === 'jump') return 'Jump to a station';
  if (sheet.value === 'missed') return 'Missed so far';
  if (sheet.value === 'replan') return 'How much time is left?';
  return markButtons.find((m) => m.key === props.mark)?.label ?? '';
});

/** “Eight minutes left”: the best of what is left in them. */
const minutesLeft = ref(5);
watch(sheet, (now) => {
  if (now !== 'replan') return;
  const total = walks.state?.minutes ?? 0;
  minutesLeft.value = Math.max(1, Math.round(total - walks.worked / 60_000));
});
const anew = computed(() => {
  const { walk, state } = walks;
  if (sheet.value !== 'replan' || !walk || !state) return undefined;
  return replan(walk.plan, state, minutesLeft.value * 60);
});
/** So many are named; all of them stand under “missed”. */
const named = 5;
const leftWords = computed(() => {
  const labels = anew.value?.leftOut.map(({ point }) => inText(point.label)) ?? [];
  const more = labels.length > named ? ` and ${labels.length - named} more` : '';
  return `${labels.slice(0, named).join(', ')}${more}`;
});
const keepAnew = (): void => {
  if (!anew.value) return;
  const total = Math.round(walks.worked / 60_000 + minutesLeft.value);
  emit(
    'replan',
    Math.min(Math.max(total, 1), 240),
    anew.value.points.map(({ id }) => id),
  );
};

const stations = computed(() => {
  const points = walks.walk?.plan.points ?? [];
  return [...new Set(points.map((p) => p.station))].map((key) => ({
    station: stationEntry(key),
    left: points.filter((p) => p.station === key && walks.isOpen(p)).length,
    total: points.filter((p) => p.station === key).length,
  }));
});
</script>

<template>
  <Drawer
    :visible="sheet !== undefined"
    position="bottom"
    class="sheet"
    :header="title"
    :pt="{ root: { 'aria-label': title } }"
    @update:visible="sheet = undefined"
  >
    <ul v-if="sheet === 'jump'">
      <li v-for="{ station, left, total } in stations" :key="station.key">
        <button type="button" :disabled="left === 0" @click="emit('jump', station.key)">
          <span>{{ station.number }} {{ station.label }}</span>
          <span class="soft">{{ left === 0 ? 'all done' : `${left} of ${total} left` }}</span>
        </button>
      </li>
    </ul>
    <ul v-if="sheet === 'missed'">
      <li v-for="p in walks.state?.missed" :key="p.id">
        <button type="button" @click="emit('turnTo', p)">
          <span>{{ p.label }}</span>
          <span class="soft"
            >{{ stationEntry(p.station).label
            }}{{ walks.state?.cards.get(p.id) === 'later' ? ', to come back to' : '' }}</span
          >
        </button>
      </li>
    </ul>
    <template v-if="sheet === 'missed' && walks.state?.leftOut.length">
      <h3>Left out now</h3>
      <ul>
        <li v-for="p in walks.state.leftOut" :key="p.id">
          <button type="button" @click="emit('turnTo', p)">
            <span>{{ p.label }}</span>
            <span class="soft">{{ stationEntry(p.station).label }}</span>
          </button>
        </li>
      </ul>
    </template>
    <form v-else-if="sheet === 'replan' && anew" @submit.prevent="keepAnew">
      <label for="left">Minutes left</label>
      <NumberField
        :model-value="minutesLeft"
        name="Minutes left"
        input-id="left"
        :from="1"
        :to="120"
        show-buttons
        button-layout="horizontal"
        @update:model-value="(to) => (minutesLeft = to ?? minutesLeft)"
      />
      <p role="status">
        <strong>{{ anew.points.length }} cards fit.</strong>{{ ' ' }}
        <template v-if="anew.over > 0"
          >What has to be said takes {{ Math.ceil(anew.over / 60) }} min more than that.</template
        >
        <template v-else-if="anew.leftOut.length">
          {{ anew.leftOut.length }} left out: {{ leftWords }}.
        </template>
      </p>
      <Button type="submit" label="Use this plan" />
    </form>
    <MarkForm
      v-else-if="sheet === 'mark'"
      :answers="mark === 'asked' ? answers : []"
      :place="markPlace(walks.walk?.plan.id, walks.state?.current?.id, mark)"
      @keep="(words, spoken) => emit('mark', words, spoken)"
    />
  </Drawer>
</template>

<style>
/* The drawer is moved to the end of the body, out of the reach of scoped styles. */
.p-drawer-bottom .p-drawer.sheet {
  width: 100%;
  max-width: 620px;
  height: auto;
  max-height: 78dvh;
  margin: 0 auto;
  border-radius: 10px 10px 0 0;
}

.sheet ul button {
  display: flex;
  justify-content: space-between;
  gap: 14px;
  width: 100%;
  min-height: 52px;
  align-items: center;
  padding: 0;
  border: 0;
  border-bottom: 1px solid var(--hairline);
  background: none;
  font-size: 17px;
  text-align: left;
  cursor: pointer;
}

.sheet ul button:disabled {
  color: var(--soft);
  cursor: default;
}

.sheet form {
  display: grid;
  gap: 10px;
}

.sheet form .p-button {
  min-height: 56px;
}
</style>
