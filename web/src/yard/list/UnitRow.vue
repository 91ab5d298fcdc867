<script setup lang="ts">
import { formatQuantity, type System } from '@fair-gable/core/base/quantity';
import type { SpecKey } from '@fair-gable/core/unit/catalog';
import { amountOf, formatSpec, particularsOf } from '@fair-gable/core/unit/record';
import { columnLabels, type YardView } from '@fair-gable/core/yard/list';
import { computed } from 'vue';
import { useTurn } from '../../base/controls/turn.ts';
import OutlineStrip from '../../unit/outline/OutlineStrip.vue';
import type { YardRow } from './view.ts';

/**
 * A unit of the yard: drawn to one scale with the others, with its figures and what it needs next. The drawing
 * and the checks come in their turn; until then a bar of the unit's length stands for it.
 */
const props = defineProps<{
  row: YardRow;
  view: YardView;
  system: System;
  /** Inches to draw across. */
  longest: number;
}>();

const isTime = useTurn();
/** A column of one’s own may be any of its fields. */
const brief = computed(() => props.row.brief());
const need = computed(() => (isTime.value ? props.row.need() : undefined));
const station = computed(() => need.value?.station ?? 'hitch');

const text = (key: SpecKey): string => {
  const entry = brief.value.specs[key];
  return entry ? formatSpec(key, entry.value, props.system, entry.how) : '—';
};
const isGuess = (key: SpecKey): boolean => brief.value.specs[key]?.how === 'guessed';

/** Number and mark of a weight: a guess is set in its own hand here too. */
const weights = computed(() =>
  (['uvw', 'gvwr'] as const).map((key) => {
    const amount = amountOf(brief.value, key);
    const shown = amount === undefined ? '—' : formatQuantity(amount, 'weight', props.system);
    return { key, guess: isGuess(key), text: shown.split(' ')[0] };
  }),
);
</script>

<template>
  <RouterLink
    :to="{ name: 'record', params: { id: row.unit.id, station } }"
    :class="{ many: view.columns.length > 1 }"
    :style="{ '--columns': view.columns.length }"
  >
    <span class="drawing">
      <OutlineStrip
        v-if="isTime"
        :record="brief"
        :system="system"
        :scale-to="longest"
        :label="`Outline of ${row.name}`"
      />
      <svg v-else :viewBox="`-26 -54 ${longest + 56} 108`" aria-hidden="true">
        <rect y="-48" height="96" :width="amountOf(row.record, 'overallLength') ?? longest / 2" />
      </svg>
    </span>
    <span class="length number" :class="{ guess: isGuess('overallLength') }">{{
      text('overallLength')
    }}</span>
    <span class="name">
      <strong>{{ row.name }}</strong>
      <span class="small soft">{{ particularsOf(row.record) }}</span>
    </span>
    <span v-if="view.columns.length" class="own">
      <span v-for="(key, i) in view.columns" :key="key">
        <span class="small soft">{{ columnLabels(view)[i] }}</span>
        <span class="number" :class="{ guess: isGuess(key) }">{{ text(key) }}</span>
      </span>
    </span>
    <span v-else class="weight">
      <span class="number">
        <template v-for="({ key, guess, text: figure }, i) in weights" :key="key"
          >{{ i > 0 ? ' / ' : '' }}<span :class="{ guess }">{{ figure }}</span></template
        >
      </span>
      <span class="small soft">{{ system === 'us' ? 'lb' : 'kg' }} UVW / GVWR</span>
    </span>
    <span class="need" :class="need?.urgency">{{ need?.text ?? '…' }}</span>
  </RouterLink>
</template>

<style scoped>
a {
  display: grid;
  grid-template-columns: minmax(200px, 300px) 84px minmax(120px, 1.1fr) minmax(120px, 0.8fr) minmax(
      150px,
      1.4fr
    );
  align-items: center;
  gap: 14px;
  padding: 8px 20px 8px 24px;
  border-bottom: 1px solid var(--hairline);
  text-decoration: none;
}

/* Columns of one's own stand beside one another: the drawing gives them its room. */
.many {
  grid-template-columns: minmax(110px, 170px) 76px minmax(110px, 0.8fr) minmax(0, 2.6fr) minmax(
      120px,
      0.9fr
    );
}

.many .own {
  display: grid;
  grid-template-columns: repeat(var(--columns), minmax(0, 1fr));
  align-items: end;
  gap: 2px 12px;
}

a:hover {
  background: var(--leaf);
  box-shadow: inset 3px 0 0 var(--ink);
}

.drawing :deep(svg) {
  display: block;
  width: 100%;
  height: auto;
}

.drawing > svg > rect {
  fill: var(--hairline);
}

.length {
  color: var(--soft);
  font-weight: 500;
}

.name,
.weight,
.own > span {
  display: grid;
}

.own {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
}

strong {
  font: 700 18px var(--slab);
}

.weight .number {
  font-size: 17px;
}

.need {
  padding-left: 10px;
  border-left: 3px solid var(--spruce);
}

.need.now {
  border-left-color: var(--brick);
  border-left-style: double;
  border-left-width: 6px;
}

.need.soon {
  border-left-color: var(--amber);
}

@media (width < 760px) {
  .many .own {
    grid-template-columns: repeat(2, minmax(0, 1fr));
    grid-column: 1 / -1;
  }

  a {
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 2px 12px;
    padding: 10px 16px;
  }

  .drawing,
  .need {
    grid-column: 1 / -1;
  }

  .length {
    grid-row: 2;
    grid-column: 2;
    text-align: right;
  }

  .weight {
    justify-items: end;
  }

  .name {
    grid-row: 2 / span 2;
  }

  .need {
    margin-top: 4px;
  }
}
</style>
