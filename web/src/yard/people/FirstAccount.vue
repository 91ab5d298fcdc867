<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { reactive } from 'vue';
import { useRouter } from 'vue-router';
import { useAttempt } from '../../base/attempt/index.ts';
import BrandMark from '../../base/controls/BrandMark.vue';
import { useSession } from '../../base/session/session.ts';

const session = useSession();
const router = useRouter();
const { busy, problem, attempt } = useAttempt();
const given = reactive({ token: '', yard: '', name: '', email: '', password: '' });

const fields = [
  {
    key: 'token',
    label: 'One-time token',
    type: 'text',
    hint: 'printed where the program was started',
    fill: 'off',
  },
  { key: 'yard', label: 'Name of the yard', type: 'text', hint: '', fill: 'organization' },
  { key: 'name', label: 'Your name', type: 'text', hint: '', fill: 'name' },
  { key: 'email', label: 'E-mail', type: 'email', hint: 'you sign in with it', fill: 'username' },
  {
    key: 'password',
    label: 'Password',
    type: 'password',
    hint: 'at least 12 characters',
    fill: 'new-password',
  },
] as const;

const make = (): Promise<boolean> =>
  attempt(async () => {
    await session.firstAccount({ ...given });
    await router.replace({ name: 'yard' });
  });
</script>

<template>
  <form class="first" @submit.prevent="make">
    <BrandMark />
    <h1>This yard is empty. Create its first account.</h1>
    <div v-for="field in fields" :key="field.key">
      <label :for="field.key"
        >{{ field.label }} <span class="soft small">{{ field.hint }}</span></label
      >
      <InputText
        :id="field.key"
        v-model="given[field.key]"
        :type="field.type"
        :autocomplete="field.fill"
        required
      />
    </div>
    <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
    <Button type="submit" label="Create account and open the yard" :loading="busy" />
  </form>
</template>

<style scoped>
.first {
  display: grid;
  gap: 14px;
  width: min(460px, 100%);
  margin: 0 auto;
  padding: 48px 24px;
}

.first > div {
  display: grid;
  gap: 4px;
}

h1 {
  font-size: 26px;
}

label {
  font-weight: 600;
}
</style>
