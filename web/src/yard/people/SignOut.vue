<script setup lang="ts">
import { useRouter } from 'vue-router';
import { useAttempt } from '../../base/attempt/index.ts';
import { useOutbox } from '../../base/device/index.ts';
import { useSession } from '../../base/session/session.ts';

/** Signs out, after a warning where something is not sent yet. */
const router = useRouter();
const session = useSession();
const outbox = useOutbox();
const { problem, attempt } = useAttempt();

const signOut = async (): Promise<void> => {
  const entries = outbox.unsent === 1 ? '1 entry is' : `${outbox.unsent} entries are`;
  const warning = `${entries} not sent yet. It stays on this device until you sign in here again. Sign out anyway?`;
  if (outbox.unsent > 0 && !window.confirm(warning)) return;
  await attempt(async () => {
    await session.signOut();
    window.location.assign(router.resolve({ name: 'sign-in' }).href);
  });
};
</script>

<template>
  <span>
    <button type="button" class="plain" @click="signOut">Sign out</button>
    <span v-if="problem" class="wrong" role="alert">{{ problem }}</span>
  </span>
</template>

<style scoped>
button {
  min-height: 36px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
</style>
