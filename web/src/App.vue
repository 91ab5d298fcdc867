<script setup lang="ts">
import { Search, Settings, Sun } from '@lucide/vue';
import { computed, defineAsyncComponent, nextTick, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import AnywhereKeys from './yard/list/AnywhereKeys.vue';
import BrandMark from './base/controls/BrandMark.vue';
import { useAlertsInView } from './base/controls/alerts.ts';
import SaveState from './unit/record/SaveState.vue';
import { useLive } from './base/live/live.ts';
import { useSession } from './base/session/session.ts';
import { useMode } from './base/style/mode.ts';

// Most people have one yard.
const YardChoice = defineAsyncComponent(() => import('./yard/people/YardChoice.vue'));
const SignOut = defineAsyncComponent(() => import('./yard/people/SignOut.vue'));

useAlertsInView();
const route = useRoute();
const router = useRouter();
const session = useSession();
const live = useLive();
const mode = useMode();

/** What lies over the page: the finder of units, or the keys. */
const over = ref<'keys' | 'finder'>();

const framed = computed(() => route.matched.length > 0 && !route.meta.bare && session.session);

/** On the phone a unit's own places take the room of these. */
const isAtUnit = computed(() => route.path.startsWith('/units/'));

/** The place at the top that one is in; none in the settings. */
const place = computed(() => {
  if (route.name === 'settings') return undefined;
  if (route.name === 'walks' || route.name === 'look-in') return 'walks';
  if (route.name === 'walk-in' || route.name === 'vehicles') return 'numbers';
  return String(route.name).startsWith('model-sheet') ? 'sheets' : 'yard';
});

/** What had the focus may be gone with its page: the keys go on at what came in its place. */
watch(
  () => route.path,
  async () => {
    await nextTick();
    if (document.activeElement === document.body)
      document.querySelector<HTMLElement>('#content')?.focus({ preventScroll: true });
  },
);

/** Nothing of the yard stays on a screen that the server knows no more; the page is left with all it holds. */
watch(
  () => session.isLapsed && session.session !== undefined && !route.meta.bare,
  (isOver) => {
    if (!isOver) return;
    const to = router.resolve({ name: 'sign-in', query: { then: route.fullPath } });
    window.location.assign(to.href);
  },
);

watch(
  () => session.session?.yard.id,
  (yard) => {
    live.stop();
    if (yard) live.start();
  },
);
</script>

<template>
  <a v-if="framed" class="skip" href="#content">To the content</a>
  <header v-if="framed && session.session" class="top">
    <RouterLink :to="{ name: 'yard' }" class="home" aria-label="Fair Gable, to the yard"
      ><BrandMark
    /></RouterLink>
    <nav aria-label="Places" :class="{ beside: isAtUnit }">
      <RouterLink :to="{ name: 'yard' }" :class="{ here: place === 'yard' }">Yard</RouterLink>
      <RouterLink :to="{ name: 'walks' }" :class="{ here: place === 'walks' }">Walks</RouterLink>
      <RouterLink
        :to="{ name: 'walk-in', params: { question: '' } }"
        :class="{ here: place === 'numbers' }"
        >Numbers</RouterLink
      >
      <RouterLink :to="{ name: 'model-sheets' }" :class="{ here: place === 'sheets' }"
        >Model sheets</RouterLink
      >
    </nav>
    <SaveState class="saved" />
    <p class="who">
      <YardChoice v-if="session.session.yards.length > 1" />
      <span class="name">{{ session.session.person.name }}, {{ session.session.person.role }}</span>
      <button
        type="button"
        class="icon"
        aria-label="Find a unit"
        title="Find a unit: F"
        @click="over = 'finder'"
      >
        <Search aria-hidden="true" />
      </button>
      <button
        type="button"
        class="icon"
        aria-label="Sunlight mode"
        :aria-pressed="mode.shown === 'sunlight'"
        title="Black on white for the sun"
        @click="mode.toggleSunlight()"
      >
        <Sun aria-hidden="true" />
      </button>
      <RouterLink
        :to="{ name: 'settings' }"
        class="icon"
        :class="{ beside: isAtUnit }"
        aria-label="Settings"
        title="Settings"
      >
        <Settings aria-hidden="true" />
      </RouterLink>
      <SignOut class="out" />
    </p>
  </header>
  <AnywhereKeys
    v-if="session.session && !route.meta.open"
    v-model:open="over"
    :may-leave="!route.meta.bare"
  />
  <main id="content" tabindex="-1">
    <RouterView />
  </main>
</template>

<style scoped>
.skip {
  position: absolute;
  left: -999px;
}

.skip:focus {
  left: 8px;
  top: 8px;
  z-index: 9;
  padding: 8px 12px;
  background: var(--leaf);
}

.top {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 4px 22px;
  min-height: 46px;
  padding: 4px 24px;
  border-bottom: 1px solid var(--hairline);
}

.home {
  text-decoration: none;
}

nav {
  display: flex;
  gap: 20px;
}

nav a {
  padding: 8px 0;
  text-decoration: none;
}

nav a.here {
  font-weight: 700;
  box-shadow: inset 0 -2px 0 var(--spruce);
}

.saved {
  flex: 1 1 16rem;
}

.who {
  display: flex;
  align-items: center;
  margin-left: auto;
  gap: 4px 12px;
  font-size: 15px;
  color: var(--soft);
}

.icon {
  min-height: 36px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

.who .icon {
  display: grid;
  place-items: center;
  min-width: 36px;
  border-radius: 5px;
}

.icon svg {
  width: 20px;
  height: 20px;
}

.icon[aria-pressed='true'],
.icon.router-link-active {
  box-shadow: inset 0 0 0 2px var(--ink);
}

main:focus {
  outline: none;
}

@media (width < 760px) {
  .top {
    gap: 0 10px;
    padding: 4px 16px;
  }

  /* On the phone one signs out in the settings. */
  .top .beside,
  .name,
  .out,
  .home :deep(.word) {
    display: none;
  }

  nav {
    order: 3;
    flex-basis: 100%;
  }

  nav a {
    display: grid;
    place-items: center;
    min-height: 44px;
  }

  .home {
    display: grid;
    place-items: center;
    min-height: 44px;
  }

  .saved {
    flex-basis: 0;
  }

  .who {
    gap: 4px;
  }

  .who .icon {
    min-width: 44px;
    min-height: 44px;
  }
}
</style>
