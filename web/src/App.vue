<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { saying } from './api/client.ts';
import BrandMark from './base/BrandMark.vue';
import SaveState from './base/SaveState.vue';
import { useOutbox } from './outbox/index.ts';
import { useSession } from './people/session.ts';

const route = useRoute();
const router = useRouter();
const session = useSession();
const outbox = useOutbox();
const problem = ref('');

const framed = computed(() => route.matched.length > 0 && !route.meta.bare && session.session);

const signOut = async (): Promise<void> => {
  const entries =
    outbox.unsent === 1 ? '1 entry of a walk is' : `${outbox.unsent} entries of a walk are`;
  const warning = `${entries} not sent yet. What is not sent stays on this device until you sign in here again. Sign out all the same?`;
  if (outbox.unsent > 0 && !window.confirm(warning)) return;
  try {
    await session.signOut();
    window.location.assign(router.resolve({ name: 'sign-in' }).href);
  } catch (error) {
    problem.value = saying(error);
  }
};
</script>

<template>
  <a v-if="framed" class="skip" href="#content">To the content</a>
  <header v-if="framed && session.session" class="top">
    <RouterLink :to="{ name: 'yard' }" class="home" aria-label="Fair Gable, to the yard"
      ><BrandMark
    /></RouterLink>
    <nav aria-label="Places">
      <RouterLink :to="{ name: 'yard' }" :class="{ here: true }">Yard</RouterLink>
    </nav>
    <SaveState class="saved" />
    <p class="who">
      <span class="name">{{ session.session.person.name }}, {{ session.session.person.role }}</span>
      <button type="button" @click="signOut">Sign out</button>
    </p>
    <p v-if="problem" class="wrong" role="alert">{{ problem }}</p>
  </header>
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

nav a {
  padding: 8px 0;
  font-weight: 700;
  text-decoration: none;
  box-shadow: inset 0 -2px 0 var(--spruce);
}

.saved {
  margin-left: auto;
}

.who {
  font-size: 15px;
  color: var(--soft);
}

.who button {
  min-height: 32px;
  margin-left: 8px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--ink);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}

main:focus {
  outline: none;
}

@media (width < 760px) {
  .top {
    gap: 0 14px;
    padding: 4px 16px;
  }

  nav {
    display: none;
  }

  .name {
    display: none;
  }

  .who button {
    min-height: 44px;
    margin: 0;
  }
}
</style>
