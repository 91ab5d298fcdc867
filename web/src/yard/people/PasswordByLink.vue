<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { onMounted, ref } from 'vue';
import { useRoute } from 'vue-router';
import type { LinkFor } from '@fair-gable/core/yard/people';
import { ask } from '../../base/api/client.ts';
import BrandMark from '../../base/controls/BrandMark.vue';
import FormNews from '../../base/controls/FormNews.vue';
import { useAttempt } from '../../base/attempt/index.ts';
import { useSession } from '../../base/session/session.ts';

/**
 * Opens a one-time link: sets a password, or accepts an invitation, with the account one has or with a new one. The token is
 * behind the #, which no server log ever sees.
 */
const route = useRoute();
const session = useSession();
const token = route.hash.slice(1);
const link = ref<LinkFor>();
const password = ref('');
const isSet = ref(false);
const { busy, problem, attempt } = useAttempt();

onMounted(async () => {
  if (!token) return;
  await session.load();
  await attempt(async () => {
    link.value = await ask('POST /api/links/look', { body: { token } });
  }, '');
});

const set = async (): Promise<void> => {
  const given = { token, password: password.value };
  isSet.value = await attempt(() => ask('POST /api/password', { body: given }), 'Saved.');
};
const accept = (): Promise<boolean> =>
  attempt(async () => {
    await ask('POST /api/invitations/accept', { body: { token } });
    // Another yard: everything is read anew.
    window.location.assign('/yard');
  }, '');
</script>

<template>
  <div class="page">
    <div v-if="isSet" class="card">
      <BrandMark />
      <h1>{{ link?.kind === 'invitation' ? 'You’re on the yard' : 'Your password is set' }}</h1>
      <RouterLink :to="{ name: 'sign-in' }">Sign in with your password</RouterLink>
    </div>
    <form v-else class="card" @submit.prevent="set">
      <BrandMark />
      <p v-if="!token" class="wrong" role="alert">
        The link was cut off. Open the whole link, or ask your manager for another.
      </p>
      <template v-if="link?.kind === 'invitation'">
        <h1>{{ link.yard }} invites you as {{ link.role }}</h1>
        <div v-if="session.session">
          <p>You are signed in as {{ session.session.person.email }}.</p>
          <Button type="button" label="Accept" :loading="busy" @click="accept" />
        </div>
        <template v-else>
          <p>
            You have an account here already?
            <RouterLink :to="{ name: 'sign-in', query: { then: route.fullPath } }"
              >Sign in to accept it</RouterLink
            >
          </p>
          <h2>Or with a password</h2>
          <p class="small soft">
            Use your password if this address has an account here; otherwise choose one.
          </p>
        </template>
      </template>
      <h1 v-else>Set your password</h1>
      <div v-if="link && !(link.kind === 'invitation' && session.session)">
        <label for="password"
          >{{ link.kind === 'invitation' ? 'Password' : 'New password' }}
          <span class="soft small">at least 12 characters</span></label
        >
        <InputText
          id="password"
          v-model="password"
          type="password"
          :autocomplete="link.kind === 'invitation' ? 'current-password' : 'new-password'"
          minlength="12"
          required
        />
      </div>
      <FormNews done="" :problem="problem" />
      <Button
        v-if="link && !(link.kind === 'invitation' && session.session)"
        type="submit"
        :label="link.kind === 'invitation' ? 'Accept' : 'Set password'"
        :loading="busy"
      />
    </form>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  place-items: center;
  min-height: 100vh;
  padding: 24px;
}

.card {
  display: grid;
  gap: 14px;
  width: min(400px, 100%);
}

.card > div {
  display: grid;
  gap: 4px;
}

label {
  font-weight: 600;
}
</style>
