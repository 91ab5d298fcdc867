<script setup lang="ts">
import SelectButton from 'primevue/selectbutton';
import { vOneTab } from '../../base/controls/one-tab.ts';
import { modes, useMode } from '../../base/style/mode.ts';

/** How this screen is lit. */
const mode = useMode();
</script>

<template>
  <section aria-labelledby="mode-title">
    <h2 id="mode-title">This screen</h2>
    <SelectButton
      v-model="mode.chosen"
      v-one-tab
      :options="[...modes]"
      option-label="label"
      option-value="key"
      :allow-empty="false"
      aria-labelledby="mode-title"
    />
    <p class="small soft">
      Sunlight is black on white with heavier type. It’s saved on this device; the button at the top
      switches it, too.
    </p>
  </section>
</template>
