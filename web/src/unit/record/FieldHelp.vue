<script setup lang="ts">
import { ArrowRight, CircleCheck, EqualNot, TriangleAlert, UsersRound } from '@lucide/vue';
import { computed } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import {
  audienceRow,
  schoolEntry,
  wordsFor,
  type Feature,
  type Spec,
} from '@fair-gable/core/unit/catalog';
import { adviceFor, type UnitRecord } from '@fair-gable/core/unit/record';
import { useSession } from '../../base/session/session.ts';

/** What a field means, how to check it on the lot, what it is not, and where it can hurt. */
const props = defineProps<{ entry: Spec | Feature; record: UnitRecord }>();
const session = useSession();

const words = computed(() => wordsFor(props.entry.key));
/** Look-alikes and cautions are those of the kind this unit has. */
const not = computed(() => adviceFor(props.record, words.value.notToBeConfused));
const caution = computed(() => adviceFor(props.record, words.value.caution));
const audiences = computed(() =>
  props.entry.audiences.map((key) => inText(audienceRow(key).label)).join(', '),
);
const school = computed(() => props.entry.school && schoolEntry(props.entry.school));
/** The yard’s house view first, and said to be so. */
const sides = computed(() => {
  const house = props.entry.school && session.houseView(props.entry.school);
  return (school.value?.sides ?? [])
    .map((side) => ({ ...side, isHouse: side.key === house }))
    .toSorted((a, b) => Number(b.isHouse) - Number(a.isHouse));
});
</script>

<template>
  <dl class="help">
    <div>
      <dt class="visually-hidden">What it is</dt>
      <dd>{{ words.explain }}</dd>
    </div>
    <div>
      <dt>
        <ArrowRight aria-hidden="true" /><span class="visually-hidden">How to check it: </span>
      </dt>
      <dd>{{ words.check }}</dd>
    </div>
    <div v-if="not">
      <dt class="not">
        <EqualNot aria-hidden="true" /><span class="visually-hidden">Easily confused: </span>
      </dt>
      <dd>{{ not }}</dd>
    </div>
    <div v-if="words.normal">
      <dt><CircleCheck aria-hidden="true" /><span class="visually-hidden">Normal: </span></dt>
      <dd>{{ words.normal }}</dd>
    </div>
    <div v-if="caution" class="caution">
      <dt><TriangleAlert aria-hidden="true" /><span class="visually-hidden">Caution: </span></dt>
      <dd>{{ caution }}</dd>
    </div>
    <div v-if="audiences">
      <dt><UsersRound aria-hidden="true" /><span class="visually-hidden">Who cares: </span></dt>
      <dd class="soft">{{ audiences }}</dd>
    </div>
  </dl>
  <section v-if="school" class="school" :data-school="school.key" :aria-label="school.about">
    <strong>{{ school.about }}</strong>
    <ul>
      <li v-for="side in sides" :key="side.key">
        <span
          ><em>{{ side.label }}</em
          ><span v-if="side.isHouse" class="house"> · our view</span></span
        >
        <span>For: {{ side.for }}</span>
        <span>Against: {{ side.against }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.help {
  display: grid;
  gap: 2px;
  font-size: 15px;
}

.help > div {
  display: flex;
  gap: 8px;
}

dt {
  flex: none;
}

dt svg {
  width: 18px;
  height: 18px;
  margin-top: 2px;
}

.help > div:first-child dt {
  display: none;
}

.not {
  color: var(--amber);
}

.school {
  font-size: 15px;
}

.school ul {
  display: grid;
  gap: 4px;
  margin-top: 2px;
}

.school li {
  display: grid;
  padding-left: 10px;
  border-left: 2px solid var(--hairline);
}

.school em {
  font-style: normal;
  font-weight: 600;
}

.house {
  color: var(--spruce);
  font-weight: 600;
}

.caution {
  color: var(--brick);
  font-weight: 600;
}
</style>
