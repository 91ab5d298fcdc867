<script setup lang="ts">
import Button from 'primevue/button';
import InputNumber from 'primevue/inputnumber';
import { computed, ref, watch } from 'vue';
import { useRouter } from 'vue-router';
import {
  isBasic,
  nameOf,
  operableOf,
  pointsOf,
  routeOf,
  stationEntry,
  totalSeconds,
  type Point,
} from '@fair-gable/core';
import OutlineStrip from '../outline/OutlineStrip.vue';
import { useSession } from '../people/session.ts';
import type { YardUnit } from '../yard/units.ts';
import { useWalk } from './walk.ts';

/** Plans a walk: what will be said, in the order of the walk, against the buyer's minutes. */
const props = defineProps<{ unit: YardUnit }>();
const session = useSession();
const walk = useWalk();
const router = useRouter();

const minutes = ref(15);
/** Begins with what every buyer is told; the rest is taken on where it matters to this one. */
const dropped = ref<ReadonlySet<string>>(new Set());
const busy = ref(false);
const problem = ref('');

const points = computed(() => pointsOf(props.unit.record, session.system, session.may('operate')));

const operable = computed(() => operableOf(props.unit.record));

const chosen = computed(() => points.value.filter((p) => !dropped.value.has(p.id)));
const seconds = computed(() => totalSeconds(chosen.value));
const over = computed(() => seconds.value - minutes.value * 60);

const others = computed(() => points.value.filter((p) => !isBasic(p)));
const basicsOnly = (): void => {
  dropped.value = new Set(others.value.map((p) => p.id));
};

watch(() => props.unit.id, basicsOnly, { immediate: true });

const stations = computed(() =>
  routeOf(props.unit.record)
    .map((key) => ({
      station: stationEntry(key),
      points: points.value.filter((p) => p.station === key),
    }))
    .filter(({ points: here }) => here.length > 0),
);

const spoken = (s: number): string =>
  s < 60 ? `${s} s` : `${Math.floor(s / 60)} min${s % 60 ? ` ${s % 60} s` : ''}`;

const toggle = (points: readonly Point[], on: boolean): void => {
  const next = new Set(dropped.value);
  for (const { id } of points) {
    if (on) next.delete(id);
    else next.add(id);
  }
  dropped.value = next;
};

const isOn = (here: readonly Point[]): boolean => here.some((p) => !dropped.value.has(p.id));

const start = async (): Promise<void> => {
  busy.value = true;
  const unit = { id: props.unit.id, name: nameOf(props.unit.record) };
  try {
    const id = await walk.plan(unit, minutes.value, chosen.value);
    await router.push({ name: 'give', params: { walk: id } });
  } catch {
    problem.value = 'This device could not keep the walk. Free some room on it, then start again.';
  } finally {
    busy.value = false;
  }
};
</script>

<template>
  <div class="plan">
    <section class="cards" aria-label="Cards in walking order">
      <p v-if="points.length === 0" class="empty">
        There is nothing to say yet. Record what the labels read and tick what is fitted; each
        becomes a card.
      </p>
      <div v-for="{ station, points: here } in stations" :key="station.key" class="stop">
        <h2>
          <label>
            <input type="checkbox" :checked="isOn(here)" @change="toggle(here, !isOn(here))" />
            {{ station.number }} {{ station.label }}
          </label>
          <span class="small soft">{{
            spoken(totalSeconds(here.filter((p) => !dropped.has(p.id))))
          }}</span>
        </h2>
        <ul>
          <li v-for="point in here" :key="point.id" :class="{ off: dropped.has(point.id) }">
            <label>
              <input
                type="checkbox"
                :checked="!dropped.has(point.id)"
                @change="toggle([point], dropped.has(point.id))"
              />
              <span>{{ point.sentence }}</span>
            </label>
            <span class="small soft number">{{ spoken(point.seconds) }}</span>
          </li>
        </ul>
      </div>
    </section>
    <aside>
      <OutlineStrip
        :record="unit.record"
        :system="session.system"
        label="The unit, hitch to the left, door side below"
      />
      <p v-if="!operable.may" class="barred">
        <strong>Told, not operated.</strong> {{ operable.why }}
        <RouterLink :to="{ name: 'inspection', params: { id: unit.id } }"
          >To the inspection</RouterLink
        >
      </p>
      <h2>Hitch first, door side</h2>
      <p class="soft small">
        Round the unit by where its things are:
        {{ stations.map((s) => s.station.short).join(' → ') }}.
      </p>
      <div class="minutes">
        <label for="minutes">Minutes the buyer has</label>
        <InputNumber
          v-model="minutes"
          input-id="minutes"
          :min="1"
          :max="240"
          show-buttons
          button-layout="horizontal"
          :allow-empty="false"
        />
      </div>
      <p v-if="others.length" class="small soft choice">
        Chosen to begin with is what every buyer is told.
        <button type="button" @click="toggle(points, true)">Take all {{ points.length }}</button>
        <button type="button" @click="basicsOnly">Back to those</button>
      </p>
      <p class="sum">
        <strong
          >{{ chosen.length }} {{ chosen.length === 1 ? 'card' : 'cards' }}, about
          {{ spoken(seconds) }}</strong
        >
        <span v-if="over > 0" class="over"
          >{{ spoken(over) }} more than there is. Leave some out, or start and put them on the
          come-back pile.</span
        >
        <span v-else class="soft">{{ spoken(-over) }} left for questions.</span>
      </p>
      <Button
        v-if="session.may('present')"
        label="Start the walk"
        :disabled="chosen.length === 0"
        :loading="busy"
        @click="start"
      />
      <p v-else class="soft">Your role may look at the plan, not give the walk.</p>
      <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
      <p class="small soft">
        The walk and its cards are on this device from here on; it needs no network.
      </p>
    </aside>
  </div>
</template>

<style scoped>
.barred {
  padding: 8px 0 8px 12px;
  border-left: 3px solid var(--brick);
}

.plan {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
}

.cards {
  border-right: 1px solid var(--hairline);
  padding: 6px 24px 40px;
}

.choice button {
  min-height: 40px;
  padding: 0 6px 0 0;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

.empty {
  padding: 40px 0;
}

.stop h2 {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  padding: 16px 0 6px;
  border-bottom: 1px solid var(--ink);
  font-size: 18px;
}

label {
  display: flex;
  gap: 10px;
  align-items: center;
  cursor: pointer;
}

li {
  display: flex;
  justify-content: space-between;
  gap: 14px;
  min-height: 40px;
  align-items: center;
  border-bottom: 1px solid var(--hairline);
}

li .number {
  flex: none;
  font-weight: 500;
}

.off {
  color: var(--soft);
  text-decoration: line-through;
}

input[type='checkbox'] {
  width: 20px;
  height: 20px;
  flex: none;
  accent-color: var(--spruce);
}

aside {
  position: sticky;
  top: 0;
  display: flex;
  flex-direction: column;
  align-self: start;
  gap: 14px;
  min-height: 70vh;
  padding: 20px 24px;
}

aside h2 {
  font-size: 19px;
}

.minutes {
  display: grid;
  gap: 4px;
}

.minutes label {
  font-weight: 600;
}

.minutes :deep(.p-inputnumber-input) {
  width: 5rem;
  text-align: center;
  font-size: 20px;
  font-weight: 700;
}

.sum {
  display: grid;
  gap: 2px;
}

.sum strong {
  font: 700 20px var(--slab);
}

.over {
  color: var(--amber);
  font-weight: 600;
}

@media (width < 900px) {
  .plan {
    display: flex;
    flex-direction: column-reverse;
  }

  .cards {
    padding-inline: 16px;
    border: 0;
  }

  aside {
    position: static;
    align-self: stretch;
    min-height: 0;
    padding: 14px 16px;
  }

  aside :deep(.p-button) {
    min-height: 52px;
  }

  li {
    min-height: var(--thumb);
  }
}
</style>
