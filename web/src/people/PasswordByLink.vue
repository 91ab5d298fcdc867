<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { ref } from 'vue';
import { useRoute } from 'vue-router';
import { ask } from '../api/client.ts';
import BrandMark from '../base/BrandMark.vue';
import FormNews from './FormNews.vue';
import { useSaving } from './saved.ts';

/** Sets a password by a one-time link. The token is behind the #, which no server log ever sees. */
const token = useRoute().hash.slice(1);
const password = ref('');
const isSet = ref(false);
const { busy, problem, save } = useSaving();

const set = async (): Promise<void> => {
  const given = { token, password: password.value };
  isSet.value = await save(() => ask('POST', '/api/password', given), 'Set.');
};
</script>

<template>
  <div class="page">
    <div v-if="isSet" class="card">
      <BrandMark />
      <h1>Your password is set</h1>
      <RouterLink :to="{ name: 'sign-in' }">Sign in with it</RouterLink>
    </div>
    <form v-else class="card" @submit.prevent="set">
      <BrandMark />
      <h1>Set your password</h1>
      <p v-if="!token" class="wrong" role="alert">
        The link was cut short. Open the whole of it, or ask your manager for another.
      </p>
      <div>
        <label for="password"
          >New password <span class="soft small">at least 10 characters</span></label
        >
        <InputText
          id="password"
          v-model="password"
          type="password"
          autocomplete="new-password"
          minlength="10"
          required
        />
      </div>
      <FormNews done="" :problem="problem" />
      <Button type="submit" label="Set it" :loading="busy" :disabled="!token" />
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
