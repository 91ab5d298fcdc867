<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import SelectButton from 'primevue/selectbutton';
import { format } from 'date-fns';
import { computed, reactive, ref } from 'vue';
import {
  builtOn,
  dotWeek,
  formatQuantity,
  oddWheels,
  parseQuantity,
  readDotDate,
  sentence,
  textOf,
  typedSpec,
  wears,
  wellStates,
  wheelsOf,
  wheelStates,
  type Change,
  type SpecKey,
  type Wheel,
  type WheelKey,
  type WheelOn,
} from '@fair-gable/core';
import { useSession } from '../people/session.ts';
import PhotoStrip from '../photo/PhotoStrip.vue';
import { useSaving } from '../record/saving.ts';
import type { YardUnit } from '../yard/units.ts';

/** Tyres and wheels one by one, the spare too: each is its own story. */
const props = defineProps<{ unit: YardUnit }>();
const session = useSession();
const mayWrite = computed(() => session.may('record'));
const today = format(new Date(), 'yyyy-MM-dd');

const wheels = computed(() => wheelsOf(props.unit.record, today));
const odd = computed(() => new Set(oddWheels(wheels.value).map(({ key }) => key)));
const open = ref<WheelKey>();
const { problem, save } = useSaving(() => props.unit.id);

const typed = reactive({
  make: '',
  size: '',
  range: '',
  index: '',
  dot: '',
  outer: '',
  middle: '',
  inner: '',
  pressure: '',
  note: '',
});
/** What is typed of one wheel, in the order in which one reads it off the sidewall and then measures. */
const fields = [
  { key: 'make', label: 'Make', maxlength: 40 },
  {
    key: 'size',
    label: 'Size',
    maxlength: 24,
    placeholder: 'ST205/75R14',
    autocapitalize: 'characters',
  },
  { key: 'range', label: 'Load range', class: 'short', maxlength: 1, autocapitalize: 'characters' },
  { key: 'index', label: 'Load index, single', class: 'short', maxlength: 3, inputmode: 'numeric' },
  { key: 'dot', label: 'Date, last four after DOT', placeholder: '3625', inputmode: 'numeric' },
  { key: 'outer', label: 'Tread, outer (⁄32)', class: 'short', inputmode: 'numeric' },
  { key: 'middle', label: 'Tread, middle (⁄32)', class: 'short', inputmode: 'numeric' },
  { key: 'inner', label: 'Tread, inner (⁄32)', class: 'short', inputmode: 'numeric' },
  { key: 'pressure', label: 'Cold pressure', class: 'short', inputmode: 'decimal' },
] as const;
const chosen = reactive<Pick<Wheel, 'wear' | 'well' | 'wheel'>>({});

const thirtySeconds = (inches: number | undefined): string =>
  inches === undefined ? '' : String(Math.round(inches * 32));

const begin = ({ key, wheel }: WheelOn): void => {
  problem.value = '';
  open.value = open.value === key ? undefined : key;
  const [outer, middle, inner] = wheel.tread ?? [];
  Object.assign(typed, {
    make: wheel.make ?? '',
    size: wheel.size ?? '',
    range: wheel.range ?? '',
    index: wheel.index === undefined ? '' : String(wheel.index),
    dot: textOf(props.unit.record, `tyreDate${key}` as SpecKey) ?? '',
    outer: thirtySeconds(outer),
    middle: thirtySeconds(middle),
    inner: thirtySeconds(inner),
    pressure:
      wheel.pressure === undefined
        ? ''
        : formatQuantity(wheel.pressure, 'pressure', session.system),
    note: wheel.note ?? '',
  });
  Object.assign(chosen, { wear: wheel.wear, well: wheel.well, wheel: wheel.wheel });
};

/** A tread in thirty-seconds of an inch, or a length with its unit; undefined where it cannot be read. */
const tread = (text: string): number | undefined => {
  if (/^\d{1,2}$/.test(text.trim())) return Number(text) / 32;
  const read = parseQuantity(text, 'fineInches', session.system);
  return read.ok && read.value < 2 ? read.value : undefined;
};

const treadOf = (): Wheel['tread'] | 'bad' => {
  const texts = [typed.outer, typed.middle, typed.inner];
  if (texts.every((text) => text.trim() === '')) return undefined;
  const read = texts.map(tread);
  return read.every((n) => n !== undefined) ? (read as [number, number, number]) : 'bad';
};

const dateChange = (key: WheelKey): readonly Change[] | string => {
  const spec = `tyreDate${key}` as SpecKey;
  const had = textOf(props.unit.record, spec) ?? '';
  if (typed.dot.trim() === had) return [];
  const basedOn = props.unit.record.specs[spec]?.version ?? 0;
  if (typed.dot.trim() === '')
    return [{ part: 'specs', key: spec, value: null, how: 'read', basedOn } as Change];
  const read = typedSpec(spec, typed.dot, session.system);
  if (!read.ok) return sentence('Tire date', read.problem);
  const week = readDotDate(typed.dot);
  if (week.kind === 'good' && builtOn(week.date) > today)
    return `Tire date: ${dotWeek(week.date)} is still to come. Read the last four after DOT again.`;
  return [{ part: 'specs', key: spec, value: read.value, how: 'read', basedOn } as Change];
};

/** Size, load range and index as the sidewall has them, or the sentence that says which of them cannot be so. */
const figuresOf = (): Pick<Wheel, 'size' | 'range' | 'index'> | string => {
  const size = typed.size.trim().toUpperCase();
  const range = typed.range.trim().toUpperCase();
  const index = typed.index.trim();
  if (range && !/^[B-G]$/.test(range)) return 'Load range: a letter from B to G, off the sidewall.';
  if (index && !(/^\d{2,3}$/.test(index) && Number(index) >= 60 && Number(index) <= 126))
    return 'Load index: a number from 60 to 126, the one for a single tire.';
  return {
    ...(size ? { size } : {}),
    ...(range ? { range } : {}),
    ...(index ? { index: Number(index) } : {}),
  };
};

/** What was typed of a wheel, or the sentence that says what of it cannot be read. */
const typedWheel = (): Wheel | string => {
  const read = treadOf();
  if (read === 'bad') {
    return 'Tread: give all three as thirty-seconds of an inch, such as 8, 8 and 7, or with a unit.';
  }
  const pressure = typed.pressure.trim()
    ? parseQuantity(typed.pressure, 'pressure', session.system)
    : undefined;
  if (pressure && !pressure.ok) return sentence('Pressure', pressure.problem);
  const figures = figuresOf();
  if (typeof figures === 'string') return figures;
  const given: Wheel = {
    make: typed.make.trim() || undefined,
    ...figures,
    tread: read,
    pressure: pressure?.value,
    note: typed.note.trim() || undefined,
    ...chosen,
  };
  return Object.fromEntries(
    Object.entries(given).filter(([, value]) => value !== undefined && value !== null),
  );
};

const keep = async ({ key, label }: WheelOn): Promise<void> => {
  problem.value = '';
  const [value, date] = [typedWheel(), dateChange(key)];
  if (typeof value === 'string' || typeof date === 'string') {
    problem.value = [value, date].find((one) => typeof one === 'string') ?? '';
    return;
  }
  const basedOn = props.unit.record.wheels[key]?.version ?? 0;
  const had = { typed: { ...typed }, chosen: { ...chosen } };
  const next = wheels.value[wheels.value.findIndex((wheel) => wheel.key === key) + 1];
  open.value = undefined;
  if (next) begin(next);
  const changes: Change[] = [{ part: 'wheels', key, value, how: 'seen', basedOn }, ...date];
  if (await save(changes, `wheel, ${label}`)) return;
  // It could not be kept: it is opened again as it was typed.
  open.value = key;
  Object.assign(typed, had.typed);
  Object.assign(chosen, had.chosen);
};

const treadText = ({ tread: inches }: Wheel): string =>
  inches ? `${inches.map(thirtySeconds).join(' / ')} ⁄32` : '—';
const choices = [
  { key: 'wear', label: 'Worn', options: [...wears] },
  { key: 'well', label: 'Wheel well', options: [...wellStates] },
  { key: 'wheel', label: 'Wheel', options: [...wheelStates] },
] as const;
</script>

<template>
  <section aria-labelledby="wheels-title">
    <header class="page-head">
      <h2 id="wheels-title">Tires and wheels</h2>
      <p class="soft">Each by itself, cold, the spare too. Whatever the tread, age counts.</p>
    </header>
    <p v-if="odd.size > 0" class="page-part amber">
      One is not like the others. Note it as a finding, “tire unlike the others”: the look into it
      asks what to look at.
      <RouterLink :to="{ name: 'condition', params: { id: unit.id } }">To the findings</RouterLink>
    </p>
    <ol>
      <li
        v-for="on in wheels"
        :key="on.key"
        :class="{ open: open === on.key }"
        :data-wheel="on.key"
      >
        <button type="button" class="head" :aria-expanded="open === on.key" @click="begin(on)">
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
          <span v-if="odd.has(on.key)" class="small amber">not like the others</span>
        </button>
        <form v-if="open === on.key && mayWrite" class="body fields" @submit.prevent="keep(on)">
          <div v-for="{ key, label, ...more } in fields" :key="key">
            <label :for="`${on.key}-${key}`">{{ label }}</label>
            <InputText :id="`${on.key}-${key}`" v-model="typed[key]" v-bind="more" />
          </div>
          <div v-for="choice in choices" :key="choice.key" class="wide">
            <span :id="`${on.key}-${choice.key}`" class="label">{{ choice.label }}</span>
            <SelectButton
              v-model="chosen[choice.key]"
              :options="[...choice.options]"
              option-label="label"
              option-value="key"
              :aria-labelledby="`${on.key}-${choice.key}`"
            />
          </div>
          <div class="wide">
            <label :for="`${on.key}-note`">In a few words</label>
            <InputText :id="`${on.key}-note`" v-model="typed.note" maxlength="300" />
          </div>
          <p v-if="problem" class="wide wrong" role="alert">{{ problem }}</p>
          <Button type="submit" label="Keep it, next wheel" />
          <PhotoStrip
            :unit="unit.id"
            :record="unit.record"
            :target="`wheels.${on.key}`"
            :may-write="mayWrite"
          />
        </form>
      </li>
    </ol>
    <p class="page-part small soft">
      Watch from five years, replace by seven, whatever the tread: common practice. The maker’s
      label and whoever works on tires decide.
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

.body {
  padding: 4px 24px 18px;
}

.body :deep(.short) {
  width: 6.5rem;
}

.amber {
  color: var(--amber);
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

  .body {
    padding-inline: 16px;
  }

  .body :deep(.p-togglebutton) {
    min-height: var(--thumb);
  }
}
</style>
