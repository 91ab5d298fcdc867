<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core';
import { computed, onMounted, onScopeDispose, ref, shallowRef } from 'vue';
import { useRoute } from 'vue-router';
import type { ScreenView } from '@fair-gable/core/show/screen';
import { stationEntry } from '@fair-gable/core/unit/catalog';
import { ask, Refused, reasonOf } from '../../base/api/client.ts';
import FigureText from '../../base/controls/FigureText.vue';
import OutlineStrip from '../../unit/outline/OutlineStrip.vue';

/** What the buyer looks at: a picture, where one stands, the numbers. It follows the walk by itself. */
const route = useRoute();
const token = computed(() => route.hash.slice(1));
const view = shallowRef<ScreenView>();
const problem = ref('');
const isOver = ref(false);
const path = computed(() => `/api/screens/${token.value}`);

const look = async (): Promise<void> => {
  try {
    view.value = await ask('GET /api/screens/:token', { params: { token: token.value } });
    problem.value = '';
  } catch (error) {
    isOver.value = error instanceof Refused && error.status < 500;
    problem.value = reasonOf(error);
    if (isOver.value) source?.close();
  }
};

let source: EventSource | undefined;
onMounted(async () => {
  await look();
  if (isOver.value) return;
  source = new EventSource(`${path.value}/live`);
  for (const news of ['open', 'walk', 'unit', 'catch-up']) {
    source.addEventListener(news, () => void look());
  }
});
onScopeDispose(() => source?.close());

/** Several photos of one thing take turns. */
const turn = ref(0);
useIntervalFn(() => turn.value++, 6000);
const photo = computed(() => {
  const photos = view.value?.photos ?? [];
  const id = photos[turn.value % Math.max(photos.length, 1)];
  return id && `${path.value}/photos/${id}`;
});
const stateWords: Readonly<Record<ScreenView['state'], string>> = {
  waiting: 'We’ll start in a moment.',
  walking: '',
  paused: 'We’ll be right back.',
  finished: 'Thanks for looking at it with us.',
};
</script>

<template>
  <div class="screen">
    <div v-if="isOver || !view" class="alone">
      <h1>{{ isOver ? 'This screen is closed' : 'One moment' }}</h1>
      <p v-if="problem" role="alert">{{ problem }}</p>
    </div>
    <template v-else>
      <header>
        <strong>{{ view.unit }}</strong>
        <span v-if="view.station && view.title" class="soft">{{
          stationEntry(view.station).label
        }}</span>
        <span v-if="problem" class="soft" role="status">waiting for the network</span>
      </header>
      <div v-if="view.state !== 'walking'" class="alone">
        <h1>{{ stateWords[view.state] }}</h1>
      </div>
      <div v-else class="card" aria-live="polite">
        <img v-if="photo" :src="photo" alt="" />
        <div>
          <h1>{{ view.title ?? (view.station && stationEntry(view.station).label) }}</h1>
          <dl>
            <div v-for="number in view.numbers" :key="number.label">
              <dd><FigureText :text="number.text" /></dd>
              <dt>{{ number.label }}</dt>
            </div>
          </dl>
        </div>
      </div>
      <OutlineStrip
        class="strip"
        :class="{ large: !photo }"
        :drawing="view.drawing"
        :system="view.system"
        label="Where we stand beside the unit, hitch to the left"
        v-bind="view.station ? { here: view.station } : {}"
      />
    </template>
  </div>
</template>

<style scoped>
.screen {
  display: grid;
  grid-template-rows: auto 1fr auto;
  min-height: 100dvh;
  background: var(--leaf);
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  align-items: baseline;
  padding: 16px 28px;
  border-bottom: 2px solid var(--ink);
  font-size: 19px;
}

header strong {
  font: 700 24px var(--slab);
}

.alone {
  display: grid;
  align-content: center;
  gap: 12px;
  padding: 28px;
}

h1 {
  font-size: clamp(28px, 4vw, 48px);
}

.card {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(360px, 100%), 1fr));
  align-items: center;
  gap: 28px;
  padding: 20px 28px;
}

img {
  width: 100%;
  max-height: 56dvh;
  object-fit: contain;
}

dl {
  display: flex;
  flex-wrap: wrap;
  gap: 18px 40px;
  padding-top: 22px;
}

dd {
  font: 700 clamp(34px, 5vw, 64px) / 1.1 var(--slab);
}

dt {
  color: var(--soft);
  font-size: 19px;
}

.strip {
  height: 24dvh;
  padding: 0 28px 12px;
}

.strip.large {
  height: 52dvh;
}
</style>
