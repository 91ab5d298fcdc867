<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import { formatQuantity } from '@fair-gable/core/base/quantity';
import type { WheelKey } from '@fair-gable/core/unit/catalog';
import { oddWheels, wheelsOf, type WheelOn } from '@fair-gable/core/unit/condition';
import type { Change, Wheel, YardUnit } from '@fair-gable/core/unit/record';
import { useClock } from '../../base/clock/index.ts';
import { DraftMark } from '../../base/draft/index.ts';
import { useSession } from '../../base/session/session.ts';
import { useFieldSaving } from '../record/saving.ts';
import { thirtySeconds } from './typed-wheel.ts';
import WheelEditor from './WheelEditor.vue';

/** Tires and wheels one by one, the spare too: each is its own story. */
const props = defineProps<{ unit: YardUnit }>();
const session = useSession();
const mayWrite = computed(() => session.may('record'));
const clock = useClock();

const wheels = computed(() => wheelsOf(props.unit.record, clock.today));
const odd = computed(() => new Set(oddWheels(wheels.value).map(({ key }) => key)));
const open = ref<WheelKey>();
const { refusalOf, save } = useFieldSaving(() => props.unit.id);

const toggle = ({ key }: WheelOn): void => {
  open.value = open.value === key ? undefined : key;
};
/** Back to the row itself, from where the keys go on. */
const leave = async ({ key }: WheelOn): Promise<void> => {
  open.value = undefined;
  await nextTick();
  document.querySelector<HTMLElement>(`[data-wheel="${key}"] .head`)?.focus();
};

/** On to the next wheel at once. Where it could not be kept its row says so, and nobody is taken from the wheel in hand. */
const keep = async ({ key, label }: WheelOn, changes: readonly Change[]): Promise<boolean> => {
  open.value = wheels.value[wheels.value.findIndex((wheel) => wheel.key === key) + 1]?.key;
  return save(key, changes, `wheel, ${label}`);
};

const treadText = ({ tread: inches }: Wheel): string =>
  inches ? `${inches.map(thirtySeconds).join(' / ')} ⁄32` : '—';
</script>

<template>
  <section aria-labelledby="wheels-title">
    <header class="page-head">
      <h2 id="wheels-title">Tires and wheels</h2>
      <p class="soft">Check each one cold, the spare too. Age counts, whatever the tread.</p>
    </header>
    <p v-if="odd.size > 0" class="page-part amber">
      One doesn’t match the others. Add it as a finding, “Tire doesn’t match the others”; it asks
      what to check.
      <RouterLink :to="{ name: 'condition', params: { id: unit.id } }">Go to findings</RouterLink>
    </p>
    <ol>
      <li
        v-for="on in wheels"
        :key="on.key"
        :class="{ open: open === on.key }"
        :data-wheel="on.key"
      >
        <button type="button" class="head" :aria-expanded="open === on.key" @click="toggle(on)">
          <strong>{{ on.label }}</strong>
          <span>{{ [on.wheel.make, on.wheel.size].filter(Boolean).join(', ') || '—' }}</span>
          <span class="number">{{ treadText(on.wheel) }}</span>
          <span class="number">{{
            on.wheel.pressure === undefined
              ? '—'
              : formatQuantity(on.wheel.pressure, 'pressure', session.system)
          }}</span>
          <span
            class="small age"
            :class="{ amber: (on.age ?? 0) >= 5, wrong: (on.age ?? 0) >= 7 }"
            >{{ on.ageText }}</span
          >
          <span v-if="odd.has(on.key)" class="small amber">doesn’t match the others</span>
        </button>
        <template v-if="open !== on.key">
          <DraftMark :place="`${unit.id}.wheels.${on.key}`" class="waits" />
          <p v-if="refusalOf(on.key)" class="waits wrong" role="alert">{{ refusalOf(on.key) }}</p>
        </template>
        <WheelEditor
          v-else-if="mayWrite"
          :unit="unit.id"
          :record="unit.record"
          :on="on"
          :system="session.system"
          :keep="(changes: readonly Change[]) => keep(on, changes)"
          :refusal="refusalOf(on.key)"
          @leave="leave(on)"
        />
      </li>
    </ol>
    <p class="page-part small soft">
      Watch from five years, replace by seven, whatever the tread: common practice. Go by the
      maker’s label and your tire shop.
    </p>
  </section>
</template>

<style scoped>
li {
  border-bottom: var(--line) solid var(--hairline);
}

li.open {
  background: var(--leaf);
  box-shadow: inset 3px 0 0 var(--ink);
}

.head {
  display: grid;
  grid-template-columns: minmax(150px, 1fr) minmax(90px, 0.7fr) 130px 90px minmax(0, 1.6fr) auto;
  align-items: baseline;
  gap: 2px 14px;
  width: 100%;
  min-height: 52px;
  padding: 8px 24px;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
}

strong {
  font: 700 17px var(--slab);
}

.waits {
  padding: 0 24px 8px;
}

@media (width < 760px) {
  .head {
    grid-template-columns: minmax(0, 1fr) auto auto;
    padding-inline: 16px;
  }

  strong,
  .age {
    grid-column: 1 / -1;
  }

  .waits {
    padding-inline: 16px;
  }
}
</style>
