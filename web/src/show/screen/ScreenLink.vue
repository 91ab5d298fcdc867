<script setup lang="ts">
import { MonitorSmartphone } from '@lucide/vue';
import Button from 'primevue/button';
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { ask } from '../../base/api/client.ts';
import { useAttempt } from '../../base/attempt/index.ts';
import { useOutbox } from '../../base/device/index.ts';

/** Opens a second screen for the buyer: its address as a link and as a code to be photographed. */
const props = defineProps<{ walk: string }>();
const router = useRouter();
const outbox = useOutbox();
const address = ref('');
const code = ref('');
const { busy, problem, attempt } = useAttempt();

const open = (): Promise<boolean> =>
  attempt(async () => {
    // The plan has to be there before a screen can follow it.
    await outbox.flush();
    const { token } = await ask('POST /api/walks/:id/screens', { params: { id: props.walk } });
    const path = router.resolve({ name: 'screen', hash: `#${token}` }).href;
    address.value = new URL(path, location.origin).href;
    const { toSVG } = await import('bwip-js/browser');
    const drawn = toSVG({ bcid: 'qrcode', text: address.value, scale: 3, padding: 2 });
    code.value = `data:image/svg+xml,${encodeURIComponent(drawn)}`;
  });
const close = (): Promise<boolean> =>
  attempt(async () => {
    await ask('DELETE /api/walks/:id/screens', { params: { id: props.walk } });
    address.value = '';
    code.value = '';
  });
</script>

<template>
  <section aria-label="A screen for the buyer">
    <button v-if="!address" type="button" class="open" :disabled="busy" @click="open">
      <MonitorSmartphone aria-hidden="true" />A screen for the buyer
      <span class="small soft">picture, outline and numbers; needs a network</span>
    </button>
    <template v-else>
      <p>Scan this with the buyer’s tablet, or open the address there.</p>
      <img class="code" :src="code" alt="The address as a code" />
      <a :href="address" target="_blank" rel="noopener">Open it on this device</a>
      <Button severity="secondary" label="Close this walk’s screens" @click="close" />
    </template>
    <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 10px;
}

.open {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  min-height: 56px;
  padding: 6px 14px;
  border: 1px solid var(--edge);
  border-radius: 8px;
  background: var(--paper);
  font-size: 17px;
  text-align: left;
  cursor: pointer;
}

.code {
  width: 190px;
  background: #fff;
}

a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
</style>
