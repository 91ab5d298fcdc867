<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core';
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { waitWords } from '@fair-gable/core/yard/people';
import { ask, Refused, reasonOf } from '../../base/api/client.ts';
import BrandMark from '../../base/controls/BrandMark.vue';
import { useSession } from '../../base/session/session.ts';

const session = useSession();
const route = useRoute();
const router = useRouter();
const email = ref('');
const password = ref('');
const problem = ref('');
const busy = ref(false);

onMounted(async () => {
  const { wanted } = await ask('GET /api/first-account').catch(() => ({
    wanted: false,
  }));
  if (wanted) await router.replace({ name: 'first-account' });
});

/** Where the person was going; only ever a path of our own. */
const then = (): string => {
  const wanted = String(route.query['then'] ?? '/yard');
  return wanted.startsWith('/') && !wanted.startsWith('//') ? wanted : '/yard';
};

/** After too many wrong tries the seconds are counted down, and the button waits with them. */
const wait = ref(0);
const { pause, resume } = useIntervalFn(
  () => {
    wait.value -= 1;
    if (wait.value > 0) return;
    pause();
    problem.value = '';
  },
  1000,
  { immediate: false },
);
const waitFor = (seconds: number): void => {
  wait.value = seconds;
  if (seconds > 0) resume();
};

const signIn = async (): Promise<void> => {
  busy.value = true;
  problem.value = '';
  const { isLapsed } = session;
  try {
    await session.signIn(email.value, password.value);
    // Whoever was here before may have been somebody else: nothing of theirs is in a page that is loaded anew.
    if (isLapsed) window.location.assign(then());
    else await router.replace(then());
  } catch (error) {
    problem.value = reasonOf(error);
    if (error instanceof Refused) waitFor(Number(error.more['wait'] ?? 0));
  } finally {
    busy.value = false;
  }
};
</script>

<template>
  <div class="page">
    <form @submit.prevent="signIn">
      <BrandMark />
      <h1>Every unit on the yard, and how well we know it</h1>
      <div>
        <label for="email">E-mail</label>
        <InputText id="email" v-model="email" type="email" autocomplete="username" required />
      </div>
      <div>
        <label for="password">Password</label>
        <InputText
          id="password"
          v-model="password"
          type="password"
          autocomplete="current-password"
          required
        />
      </div>
      <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
      <Button
        type="submit"
        :label="wait > 0 ? `Wait ${waitWords(wait)}` : 'Sign in'"
        :disabled="wait > 0"
        :loading="busy"
      />
      <p class="small soft">
        Forgot your password? Your yard’s manager can send you a link to set a new one.
      </p>
    </form>
    <svg class="scene" viewBox="0 0 560 190" aria-hidden="true">
      <path class="way" d="M8 166h544" />
      <path d="M96 140V44q0-10 10-10h318q26 0 40 34l12 34v38zM474 140l58 6" />
      <path d="M150 62h70v34h-70zM254 62h46v78h-46zM334 62h70v34h-70z" />
      <circle cx="222" cy="146" r="17" />
      <circle cx="176" cy="146" r="17" />
      <path class="tag" d="M286 104h4M424 118h22" />
    </svg>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  align-content: center;
  justify-items: center;
  gap: 34px;
  min-height: 100vh;
  padding: 24px;
}

form {
  display: grid;
  gap: 14px;
  width: min(400px, 100%);
}

form > div {
  display: grid;
  gap: 4px;
}

h1 {
  margin-bottom: 6px;
  font-size: 27px;
}

label {
  font-weight: 600;
}

.scene {
  width: min(560px, 100%);
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}

.scene circle {
  fill: var(--ink);
}

.way {
  stroke: var(--edge);
  stroke-dasharray: 0.1 8;
  stroke-linecap: round;
  stroke-width: 3;
}

.tag {
  stroke: var(--spruce);
  stroke-width: 4;
}
</style>
