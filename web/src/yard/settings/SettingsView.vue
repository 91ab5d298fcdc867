<script setup lang="ts">
import { ref } from 'vue';
import { useSession } from '../../base/session/session.ts';
import KeysSettings from './KeysSettings.vue';
import MySessions from '../people/MySessions.vue';
import MySettings from './MySettings.vue';
import PasswordForm from '../people/PasswordForm.vue';
import ScreenMode from './ScreenMode.vue';
import HouseViews from './HouseViews.vue';
import PlanGlossary from './PlanGlossary.vue';
import BuyersKept from './BuyersKept.vue';
import YardChanges from './YardChanges.vue';
import YardPeople from '../people/YardPeople.vue';
import YardRoutes from './YardRoutes.vue';
import YardSettings from './YardSettings.vue';
import YardWater from './YardWater.vue';

/** One's own settings; and for a manager, the yard's and its people. */
const session = useSession();
/** Counts what was changed here, so that the list of changes is read again. */
const changes = ref(0);
</script>

<template>
  <div v-if="session.session" class="settings">
    <h1>Settings</h1>
    <div class="columns">
      <div>
        <ScreenMode />
        <MySettings />
        <PasswordForm />
        <MySessions />
        <KeysSettings />
      </div>
      <div v-if="session.may('manage')">
        <YardSettings @changed="changes += 1" />
        <YardPeople @changed="changes += 1" />
        <HouseViews @changed="changes += 1" />
        <YardRoutes @changed="changes += 1" />
        <YardWater @changed="changes += 1" />
        <PlanGlossary @changed="changes += 1" />
        <BuyersKept @changed="changes += 1" />
        <YardChanges :key="changes" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.settings {
  padding: 14px 24px 50px;
}

h1 {
  padding-bottom: 10px;
  border-bottom: 1px solid var(--hairline);
  font-size: 26px;
}

.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
  gap: 0 56px;
}

.columns :deep(section) {
  display: grid;
  gap: 12px;
  padding: 18px 0 24px;
  border-bottom: 1px solid var(--hairline);
}

.columns :deep(h2) {
  font-size: 19px;
}

.columns :deep(form) {
  display: grid;
  gap: 12px;
  max-width: 440px;
}

.columns :deep(label),
.columns :deep(.field > .label) {
  font-weight: 600;
}

.columns :deep(.field) {
  display: grid;
  gap: 4px;
}

.columns :deep(.plain) {
  min-height: 36px;
  padding: 0;
  border: 0;
  background: none;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

@media (width < 760px) {
  .settings {
    padding: 12px 16px 40px;
  }

  .columns :deep(.plain),
  .columns :deep(.p-button),
  .columns :deep(.p-togglebutton) {
    min-height: var(--thumb);
  }
}
</style>
