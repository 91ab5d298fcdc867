<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { ref } from 'vue';
import { formatDate } from '@fair-gable/core/base/dates';
import { buyerSchema, type Buyer, type KeptBuyer } from '@fair-gable/core/yard/follow-up';
import { useDraft } from '../../base/draft/index.ts';
import { useAttempt } from '../../base/attempt/index.ts';
import FormNews from '../../base/controls/FormNews.vue';

/** For whom a walk was given: only what a follow-up needs. */
const props = defineProps<{
  kept: KeptBuyer | undefined;
  /** Keeps it; throws what is wrong with it. */
  name: (buyer: Buyer) => Promise<void>;
  /** Of whose draft. */
  place: string;
}>();
const { draft, isTyped, keepWith } = useDraft({
  place: () => props.place,
  what: () => 'Who a walk was for',
  fresh: () => {
    const { name = '', email = '', phone = '' } = props.kept?.buyer ?? {};
    return { name, email, phone };
  },
});
const isOpen = ref(isTyped.value);
const { busy, done, problem, attempt } = useAttempt();

const keep = async (): Promise<void> => {
  const read = buyerSchema.safeParse({
    id: props.kept?.buyer.id ?? crypto.randomUUID(),
    name: draft.value.name,
    ...(draft.value.email.trim() ? { email: draft.value.email.trim() } : {}),
    ...(draft.value.phone.trim() ? { phone: draft.value.phone.trim() } : {}),
  });
  if (!read.success) {
    problem.value = read.error.issues[0]?.message ?? '';
    return;
  }
  if (await keepWith(() => attempt(() => props.name(read.data), 'Saved.'))) isOpen.value = false;
};
</script>

<template>
  <section aria-labelledby="buyer-title">
    <h3 id="buyer-title">Who’s it for?</h3>
    <p v-if="kept && !isOpen" class="who">
      <span>
        <strong>{{ kept.buyer.name }}</strong>
        {{ [kept.buyer.email, kept.buyer.phone].filter(Boolean).join(', ') }}
        <small class="soft">kept until {{ formatDate(kept.keepUntil) }}, then deleted</small>
      </span>
      <Button severity="secondary" size="small" label="Change" @click="isOpen = true" />
    </p>
    <form v-else class="fields" @submit.prevent="keep">
      <div>
        <label for="buyer-name">Name</label>
        <InputText id="buyer-name" v-model="draft.name" maxlength="80" autocomplete="off" />
      </div>
      <div>
        <label for="buyer-email">E-mail</label>
        <InputText
          id="buyer-email"
          v-model="draft.email"
          maxlength="200"
          inputmode="email"
          autocomplete="off"
        />
      </div>
      <div>
        <label for="buyer-phone">Or phone</label>
        <InputText
          id="buyer-phone"
          v-model="draft.phone"
          maxlength="30"
          inputmode="tel"
          autocomplete="off"
        />
      </div>
      <Button type="submit" severity="secondary" label="Save" :loading="busy" />
    </form>
    <FormNews :done="done" :problem="problem" />
  </section>
</template>

<style scoped>
h3 {
  padding: 22px 0 4px;
  border-bottom: 1px solid var(--ink);
  font-size: 16px;
}

.who {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: center;
  padding: 8px 0;
}

.who small {
  display: block;
}

form {
  padding-top: 8px;
}
</style>
