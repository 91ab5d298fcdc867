<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import Sortable from 'sortablejs';
import { ArrowDown, ArrowUp, GripVertical, X } from '@lucide/vue';
import { computed, nextTick, onBeforeUnmount, onMounted, ref } from 'vue';
import { inText } from '@fair-gable/core/base/words';
import {
  legs,
  movedLeg,
  routesOf,
  usualRoutes,
  type LegKey,
  type Route,
} from '@fair-gable/core/unit/route';
import SelectField from '../../base/controls/SelectField.vue';
import { ask } from '../../base/api/client.ts';
import { useDraft, useDrafts } from '../../base/draft/index.ts';
import FormNews from '../../base/controls/FormNews.vue';
import { useAttempt } from '../../base/attempt/index.ts';
import { useSession } from '../../base/session/session.ts';

/** The routes that this yard walks: the order of their parts, by drag or by key. */
const emit = defineEmits<{ changed: [] }>();
const session = useSession();
const { busy, done, problem, attempt } = useAttempt();

const own = computed<readonly Route[]>(() => session.session?.yard.routes ?? []);
const all = computed(() => routesOf(own.value));
const drafts = useDrafts();
const placeOf = (route: string): string => `settings.routes.${route}`;
const waits = (route: string): boolean => drafts.all.has(placeOf(route));
/** One that nobody has kept yet. */
const begun = 'new';
const firstKey = usualRoutes[0]?.key ?? '';
/** What was typed and not kept is there again. */
const key = ref([begun, ...all.value.map((route) => route.key)].find(waits) ?? firstKey);
/** The way whose parts a new one begins with. */
const like = ref(firstKey);
const blank = (): Route => ({
  key: begun,
  label: 'Our route',
  legs: all.value.find((route) => route.key === like.value)?.legs ?? [],
  endsClosed: false,
});
const choices = computed(() => [
  ...all.value.map((route) => ({
    key: route.key,
    label: waits(route.key) ? `${route.label} – typed, not saved yet` : route.label,
  })),
  ...(key.value === begun || waits(begun) ? [{ key: begun, label: 'A new route' }] : []),
]);
const {
  draft: editing,
  isTyped,
  clear,
  keepWith,
} = useDraft({
  place: () => placeOf(key.value),
  what: () => 'A route',
  fresh: (): { route?: Route | undefined } => ({
    route: key.value === begun ? blank() : all.value.find((route) => route.key === key.value),
  }),
});
const draft = computed({
  get: () => editing.value.route,
  set: (route) => {
    editing.value = { route };
  },
});
const isOwn = computed(() => own.value.some((route) => route.key === key.value));
const isUsual = computed(() => usualRoutes.some((route) => route.key === key.value));
const legLabel = (leg: LegKey): string => legs.find((row) => row.key === leg)?.label ?? leg;
const missing = computed(() => legs.filter((leg) => !draft.value?.legs.includes(leg.key)));

const rename = (label: string): void => {
  if (draft.value) draft.value = { ...draft.value, label };
};

const list = ref<HTMLElement>();
const put = (order: readonly LegKey[]): void => {
  if (draft.value) draft.value = { ...draft.value, legs: order };
};
const moved = (from: number, to: number): void => {
  if (draft.value) draft.value = movedLeg(draft.value, from, to);
};
/** Moved by key the focus goes along. */
const step = async (from: number, by: -1 | 1): Promise<void> => {
  moved(from, from + by);
  await nextTick();
  const name = by < 0 ? '.up' : '.down';
  list.value?.querySelectorAll<HTMLElement>(name)[from + by]?.focus();
};
const without = (leg: LegKey): void =>
  put((draft.value?.legs ?? []).filter((other) => other !== leg));

let sortable: Sortable | undefined;
onMounted(() => {
  if (!list.value) return;
  sortable = Sortable.create(list.value, {
    handle: '.grip',
    animation: 0,
    onEnd: ({ oldIndex, newIndex, item, from }) => {
      if (oldIndex === undefined || newIndex === undefined || oldIndex === newIndex) return;
      // Vue draws the list; what was dragged goes back to where Vue knows it.
      from.insertBefore(item, from.children[oldIndex + (newIndex < oldIndex ? 1 : 0)] ?? null);
      moved(oldIndex, newIndex);
    },
  });
});
onBeforeUnmount(() => sortable?.destroy());

const send = async (routes: readonly Route[], news: string): Promise<boolean> => {
  const yard = session.session?.yard;
  if (!yard) return false;
  const kept = await attempt(async () => {
    await ask('PUT /api/yard', { body: { name: yard.name, system: yard.system, routes } });
    await session.reload();
  }, news);
  if (kept) emit('changed');
  return kept;
};
const others = computed(() => own.value.filter((route) => route.key !== key.value));
const keep = async (): Promise<void> => {
  if (!draft.value) return;
  const route = { ...draft.value, key: key.value === begun ? crypto.randomUUID() : key.value };
  const put = () => send([...others.value, route], `${route.label} is saved.`);
  if (await keepWith(put)) key.value = route.key;
};
const back = async (): Promise<void> => {
  await send(others.value, isUsual.value ? 'Back to the usual order.' : 'Removed.');
  clear();
  if (!isUsual.value) key.value = firstKey;
};
const leave = (): void => {
  clear();
  if (key.value === begun) key.value = like.value;
};
const fresh = (): void => {
  if (key.value !== begun) like.value = key.value;
  key.value = begun;
};
</script>

<template>
  <section aria-labelledby="routes-title">
    <h2 id="routes-title">Routes</h2>
    <p class="soft">
      The order a walk goes in. Stations follow where things are on each unit; what a unit doesn’t
      have drops out.
    </p>
    <div class="fields">
      <SelectField v-model="key" label="Route" :choices="choices" />
      <Button severity="secondary" label="A route of your own" @click="fresh" />
    </div>
    <form v-if="draft" @submit.prevent="keep">
      <label for="route-name">Its name</label>
      <InputText
        id="route-name"
        :model-value="draft.label"
        maxlength="60"
        @update:model-value="(label) => rename(label ?? '')"
      />
      <ol ref="list" aria-label="Parts in walking order">
        <li v-for="(leg, i) in draft.legs" :key="leg">
          <GripVertical class="grip" aria-hidden="true" />
          <span>{{ legLabel(leg) }}</span>
          <button
            type="button"
            class="up"
            :disabled="i === 0"
            :aria-label="`${legLabel(leg)} earlier`"
            @click="step(i, -1)"
          >
            <ArrowUp aria-hidden="true" />
          </button>
          <button
            type="button"
            class="down"
            :disabled="i === draft.legs.length - 1"
            :aria-label="`${legLabel(leg)} later`"
            @click="step(i, 1)"
          >
            <ArrowDown aria-hidden="true" />
          </button>
          <button
            type="button"
            :disabled="draft.legs.length === 1"
            :aria-label="`Remove ${legLabel(leg)}`"
            @click="without(leg)"
          >
            <X aria-hidden="true" />
          </button>
        </li>
      </ol>
      <p v-if="missing.length" class="adds">
        <button
          v-for="leg in missing"
          :key="leg.key"
          type="button"
          @click="put([...draft.legs, leg.key])"
        >
          add {{ inText(leg.label) }}
        </button>
      </p>
      <label class="closed">
        <input
          type="checkbox"
          :checked="draft.endsClosed"
          @change="draft = { ...draft, endsClosed: !draft.endsClosed }"
        />
        End with the slide closed, to show what you can reach on the road
      </label>
      <p class="fields">
        <Button type="submit" label="Save route" :disabled="busy || !draft.label.trim()" />
        <Button
          v-if="isOwn"
          severity="secondary"
          :label="isUsual ? 'Reset to the usual order' : 'Remove'"
          :disabled="busy"
          @click="back"
        />
        <Button
          v-if="isTyped || key === begun"
          type="button"
          severity="secondary"
          label="Cancel"
          @click="leave"
        />
      </p>
    </form>
    <FormNews :done="done" :problem="problem" />
  </section>
</template>

<style scoped>
form {
  display: grid;
  gap: 8px;
}

li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto auto auto;
  align-items: center;
  gap: 8px;
  min-height: 44px;
  border-bottom: var(--line) solid var(--hairline);
  background: var(--paper);
}

.grip {
  width: 20px;
  color: var(--soft);
  cursor: grab;
  touch-action: none;
}

li button {
  display: grid;
  place-items: center;
  min-width: 44px;
  min-height: 44px;
  border: 0;
  background: none;
  cursor: pointer;
}

li button:disabled {
  opacity: 0.3;
  cursor: default;
}

li svg {
  width: 20px;
  height: 20px;
}

.adds {
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
}

.adds button {
  min-height: 44px;
  padding: 0;
  border: 0;
  background: none;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

.closed {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 44px;
}

.closed input {
  width: 20px;
  height: 20px;
  accent-color: var(--spruce);
}
</style>
