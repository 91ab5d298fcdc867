<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { ref } from 'vue';
import { ask } from '../../base/api/client.ts';
import FormNews from '../../base/controls/FormNews.vue';
import { useAttempt } from '../../base/attempt/index.ts';
import { useSession } from '../../base/session/session.ts';

/** A change of one's own password. */
const session = useSession();
const present = ref('');
const next = ref('');
const { busy, done, problem, field, attempt } = useAttempt();

const change = async (): Promise<void> => {
  const given = { present: present.value, next: next.value };
  const news = 'Changed. You’re signed out everywhere else.';
  if (await attempt(() => ask('PUT /api/me/password', { body: given }), news))
    present.value = next.value = '';
};
</script>

<template>
  <section aria-labelledby="password-title">
    <h2 id="password-title">Password</h2>
    <form @submit.prevent="change">
      <input
        type="email"
        class="visually-hidden"
        autocomplete="username"
        tabindex="-1"
        aria-hidden="true"
        :value="session.session?.person.email"
        readonly
      />
      <div class="field">
        <label for="present">Current password</label>
        <InputText
          id="present"
          v-model="present"
          type="password"
          autocomplete="current-password"
          :invalid="field === 'present'"
          required
        />
      </div>
      <div class="field">
        <label for="next"
          >New password <span class="soft small">at least 12 characters</span></label
        >
        <InputText
          id="next"
          v-model="next"
          type="password"
          autocomplete="new-password"
          minlength="12"
          required
        />
      </div>
      <div>
        <Button type="submit" severity="secondary" label="Change the password" :loading="busy" />
      </div>
      <FormNews :done="done" :problem="problem" />
    </form>
  </section>
</template>
