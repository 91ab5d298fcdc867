<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import { formatDate } from '@fair-gable/core/base/dates';
import { disclosureOf } from '@fair-gable/core/show/disclosure';
import { nameOf, particularsOf, textOf, type YardUnit } from '@fair-gable/core/unit/record';
import { useClock } from '../../base/clock/index.ts';
import { useSession } from '../../base/session/session.ts';
import PhotoImage from '../photo/PhotoImage.vue';
import { photosOf } from '../photo/photos.ts';

/** What the buyer of a unit is told in writing: faults first, in plain words, with photos. Made to be printed. */
const props = defineProps<{ unit: YardUnit }>();
const session = useSession();
const clock = useClock();
const page = computed(() => {
  const { today, timeZone } = clock;
  return disclosureOf(props.unit.record, { system: session.system, today, timeZone });
});
const groups = computed(() =>
  [
    { key: 'faults', title: 'What’s wrong with it', rows: page.value.faults },
    { key: 'repaired', title: 'What’s been repaired', rows: page.value.repaired },
  ].filter(({ rows }) => rows.length > 0),
);
const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const print = (): void => window.print();
</script>

<template>
  <article class="paper" aria-labelledby="disclosure-title">
    <header>
      <p class="soft">{{ session.session?.yard.name }}, {{ formatDate(clock.today) }}</p>
      <h2 id="disclosure-title">{{ nameOf(unit.record) }}: what you should know first</h2>
      <p>
        {{ particularsOf(unit.record)
        }}<template v-if="textOf(unit.record, 'vin')">
          · VIN {{ textOf(unit.record, 'vin') }}</template
        >
      </p>
      <Button class="print" severity="secondary" label="Print" @click="print" />
    </header>
    <p v-if="page.faults.length === 0" class="none">
      Nothing’s wrong with what we’ve checked so far. What we haven’t checked is below.
    </p>
    <section v-for="group in groups" :key="group.key" :aria-label="group.title">
      <h3>{{ group.title }}</h3>
      <ol>
        <li v-for="row in group.rows" :key="row.id">
          <h4>
            {{ row.title }}
            <span class="soft"
              >· {{ row.where }}<template v-if="row.gravity"> · {{ row.gravity }}</template></span
            >
          </h4>
          <p>{{ row.text }}</p>
          <div class="photos">
            <figure v-for="{ id, photo } in photosOf(unit.record, `findings.${row.id}`)" :key="id">
              <PhotoImage
                :unit="unit.id"
                :photo="id"
                size="whole"
                :alt="photo.caption ?? row.title"
                :width="photo.width"
                :height="photo.height"
              />
              <figcaption v-if="photo.caption" class="small">{{ photo.caption }}</figcaption>
            </figure>
          </div>
        </li>
      </ol>
    </section>
    <section aria-label="Tires">
      <h3>Tires, one by one</h3>
      <ul class="tires">
        <li v-for="wheel in page.wheels" :key="wheel.key">
          <span>{{ wheel.label }}</span>
          <span>{{ wheel.text }}</span>
        </li>
      </ul>
    </section>
    <section v-if="page.moisture.length" aria-label="Moisture">
      <h3>Moisture, where it was measured</h3>
      <ul>
        <li v-for="reading in page.moisture" :key="reading">{{ reading }}</li>
      </ul>
    </section>
    <section aria-label="Inspection">
      <h3>Inspection</h3>
      <p>{{ page.inspection }}</p>
    </section>
    <section v-if="page.leftOut.length" aria-label="Not checked">
      <h3>Not checked yet</h3>
      <ul>
        <li v-for="one in page.leftOut" :key="one">{{ upperFirst(one) }}</li>
      </ul>
    </section>
    <p class="small silent">{{ page.silent }}</p>
    <p class="sign">Read by the buyer: <span></span> Date: <span></span></p>
  </article>
</template>

<style scoped>
.paper {
  max-width: 780px;
  margin: 0 auto;
  padding: 22px 24px 60px;
}

header {
  position: relative;
  padding-bottom: 10px;
  border-bottom: 2px solid var(--ink);
}

h2 {
  font-size: 26px;
}

h3 {
  padding: 22px 0 4px;
  font-size: 19px;
}

h4 {
  margin: 0;
  font: 700 17px var(--slab);
}

h4 span {
  font: 400 15px var(--plain);
}

ol > li {
  padding: 10px 0;
  border-bottom: var(--line) solid var(--hairline);
  break-inside: avoid;
}

.print {
  position: absolute;
  top: 0;
  right: 0;
}

.none {
  padding-top: 18px;
}

.photos {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  padding-top: 8px;
}

figure :deep(img) {
  height: auto;
}

figure {
  width: 220px;
  margin: 0;
}

.tires li {
  display: grid;
  grid-template-columns: 1fr 2.7fr;
  gap: 12px;
  padding: 5px 0;
  border-bottom: var(--line) solid var(--hairline);
}

.silent {
  padding-top: 20px;
}

.sign {
  padding-top: 36px;
}

.sign span {
  display: inline-block;
  width: 200px;
  margin-right: 30px;
  border-bottom: 1px solid var(--ink);
}

@media print {
  .print {
    display: none;
  }

  .paper {
    max-width: none;
    padding: 0;
  }
}

@media (width < 760px) {
  .paper {
    padding-inline: 16px;
  }

  .print {
    position: static;
    margin-top: 8px;
  }

  .sign span {
    width: 120px;
  }
}
</style>
