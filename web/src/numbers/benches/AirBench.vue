<script setup lang="ts">
import { inText } from '@fair-gable/core/base/words';
import type { System } from '@fair-gable/core/base/quantity';
import { drag, type DragInput } from '@fair-gable/core/numbers/tow';
import { givenOf } from '@fair-gable/core/unit/outcome';
import { nameOf, type UnitRecord } from '@fair-gable/core/unit/record';
import { briefIn } from '@fair-gable/core/yard/summary';
import { computed, onMounted, ref } from 'vue';
import SelectField from '../../base/controls/SelectField.vue';
import { useUnits } from '../../unit/units/units.ts';

/** What the air on this box is against that on another of the yard: a comparison, no prediction. */
const props = defineProps<{ unit?: string | undefined; record: UnitRecord; system: System }>();
const units = useUnits();
onMounted(() => {
  if (!units.loaded) void units.load();
});

const others = computed(() =>
  units.list
    .filter(({ id }) => id !== props.unit)
    .map((unit) => ({ key: unit.id, label: nameOf(unit.record), record: briefIn(unit) }))
    .filter(({ record }) => record.specs.heightWithAc && record.specs.width),
);
const chosen = ref<string>();
const other = computed(() => others.value.find(({ key }) => key === chosen.value));
const outcome = computed(() => {
  if (!other.value) return undefined;
  const entries = {
    height: givenOf(props.record, 'heightWithAc'),
    width: givenOf(props.record, 'width'),
    otherHeight: givenOf(other.value.record, 'heightWithAc'),
    otherWidth: givenOf(other.value.record, 'width'),
  };
  const known = Object.fromEntries(Object.entries(entries).filter(([, given]) => given));
  return drag({ ...known, speed: 60 } as DragInput, props.system);
});
</script>

<template>
  <section class="air">
    <div class="fields">
      <SelectField
        v-model="chosen"
        label="Air drag compared with"
        :choices="others"
        placeholder="a unit on the yard"
      />
    </div>
    <template v-if="outcome">
      <p role="status">
        {{
          outcome.value
            ? outcome.sentence
            : `First: ${outcome.missing.map(({ label }) => inText(label)).join(', ')}.`
        }}
      </p>
      <dl class="small">
        <div v-for="step in outcome.steps" :key="step.what">
          <dt class="soft">{{ step.what }}</dt>
          <dd>{{ step.arithmetic }}</dd>
        </div>
      </dl>
      <p v-for="one in outcome.assumptions" :key="one" class="small soft">{{ one }}</p>
    </template>
  </section>
</template>

<style scoped>
.air {
  display: grid;
  gap: 8px;
  padding-top: 10px;
  border-top: var(--line) solid var(--hairline);
}
</style>
